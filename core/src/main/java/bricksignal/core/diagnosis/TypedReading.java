package bricksignal.core.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.words.Message;
import bricksignal.core.words.MeterUnits;
import bricksignal.core.words.Unfit;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A number as a technician types it from the display, with a unit behind it or none. What could be two things is asked back, never guessed. */
public final class TypedReading {

    private static final Pattern TYPED = Pattern.compile("([-+]?[0-9.,]*[0-9][0-9.,]*)\\s*([^0-9].*)?");
    private static final Pattern PLAIN = Pattern.compile("[-+]?([0-9]+([.,][0-9]*)?|[.,][0-9]+)");
    private static final Pattern TWO_THINGS = Pattern.compile("[-+]?[1-9][0-9]{0,2},[0-9]{3}");
    private static final Pattern GROUPED = Pattern.compile("[-+]?[0-9]{1,3}(,[0-9]{3}(,[0-9]{3})+|(,[0-9]{3})+\\.[0-9]+)");

    private TypedReading() {
    }

    /**
     * The value of a typed reading, in the unit of the mode.
     *
     * @param text a number with point or comma, and a unit of what the mode measures in any system ({@code 1.2 mbar}, {@code 4.7k}), or
     *     {@code OL} (open) on a mode that can read open
     * @return the value; infinite for OL
     * @throws Unfit if it is no number, could be two numbers, bears a unit of something else, is not finite, or is beyond
     *     what the mode can show
     */
    public static double parse(MeterMode mode, String text) {
        String typed = text.trim();
        if (open(typed)) {
            if (!mode.canReadOpen()) {
                throw new Unfit("typed.open", unit(mode));
            }
            return Double.POSITIVE_INFINITY;
        }
        double value = withUnit(mode, typed);
        if (value < mode.least() || value > mode.most()) {
            throw new Unfit("typed.beyond", Message.said(typed), new Message.Amount(mode, mode.least()), new Message.Amount(mode, mode.most()));
        }
        return value;
    }

    /** As displays show it and people write it: OL, O.L, 0.L, 0L, with a unit behind it at times. */
    private static boolean open(String typed) {
        String plain = typed.replace(".", "").replace(" ", "").toLowerCase(Locale.ROOT);
        return plain.matches("[o0]l([km]?(\u03c9|ohms?))?") || plain.equals("open");
    }

    private static double withUnit(MeterMode mode, String typed) {
        Matcher parts = TYPED.matcher(typed);
        if (!parts.matches()) {
            throw noNumber(typed);
        }
        double number = number(typed, parts.group(1));
        String unit = parts.group(2);
        if (unit == null) {
            return number;
        }
        return MeterUnits.of(mode, unit).orElseThrow(() -> MeterUnits.ofAnother(unit)
                ? new Unfit("typed.other-unit", Message.said(typed), unit(mode))
                : noNumber(typed)).of(number);
    }

    private static double number(String typed, String digits) {
        if (TWO_THINGS.matcher(digits).matches()) {
            throw new Unfit("typed.two-things", Message.said(typed), Message.said(digits.replace(",", "")), Message.said(digits.replaceAll(",0*$|,", ".").replaceAll("\\.$", "")));
        } else if (GROUPED.matcher(digits).matches()) {
            return Double.parseDouble(digits.replace(",", ""));
        } else if (!PLAIN.matcher(digits).matches()) {
            throw noNumber(typed);
        }
        return Double.parseDouble(digits.replace(',', '.'));
    }

    private static Unfit noNumber(String typed) {
        return new Unfit("typed.no-number", Message.said(typed));
    }

    private static Message unit(MeterMode mode) {
        return new Message.Unit(mode, false);
    }
}
