package bricksignal.core.words;

import bricksignal.core.circuit.solve.MeterMode;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Units that stand behind a typed number, and what they are in the unit of a mode. Factors by NIST Special Publication 811, appendix B
 * (inch of water at 4 °C 249.0889 Pa, psi 6894.757 Pa, gallon 3.785412 l, pound 0.45359237 kg), from memory.
 */
public final class MeterUnits {

    static final double PASCALS_OF_AN_INCH = 249.0889;
    private static final double PASCALS_OF_A_PSI = 6894.757;
    static final double LITRES_OF_A_GALLON = 3.785412;
    static final double KILOGRAMS_OF_A_POUND = 0.45359237;
    private static final double BAR = 1e5;
    private static final double MILLIBAR = 100;
    private static final double KILO = 1e3;
    private static final double MILLI = 1e-3;
    static final double FAHRENHEIT_OF_A_CELSIUS = 1.8;
    static final double FREEZING = 32;
    private static final double MINUTES_OF_AN_HOUR = 60;
    private static final double MILLIMETRES_OF_AN_INCH = 25.4;

    /** What a unit is in that of the mode: times the factor, and then the shift. */
    public record Scale(double factor, double shift) {

        /** A number in that unit, in the unit of the mode. */
        public double of(double typed) {
            return typed * factor + shift;
        }

        /** A number in the unit of the mode, in that unit. */
        double from(double value) {
            return (value - shift) / factor;
        }
    }

    private static final Map<MeterMode, Map<String, Scale>> ALL = all();

    private MeterUnits() {
    }

    /** The scale of a unit as somebody types it on a mode; empty where it is none of that mode. */
    public static Optional<Scale> of(MeterMode mode, String unit) {
        return Optional.ofNullable(ALL.getOrDefault(mode, Map.of()).get(plain(mode, unit)));
    }

    /** True for a unit of some other mode. */
    public static boolean ofAnother(String unit) {
        return Arrays.stream(MeterMode.values()).anyMatch(mode -> of(mode, unit).isPresent());
    }

    /** Without blanks, points and signs of degree; capitals tell mega from milli at a resistance and nowhere else. */
    private static String plain(MeterMode mode, String unit) {
        String bare = unit.replaceAll("[\\s.\u00b0]", "").replace('\u03bc', '\u00b5').replace('\u2126', '\u03a9').replace("''", "\"").replace('\u2033', '"');
        String small = bare.toLowerCase(Locale.ROOT).replace('\u00b5', 'u').replace("\u03c9", "ohm").replace("ohms", "ohm");
        return mode == MeterMode.OHMS && bare.startsWith("M") ? "mega" + small.substring(1).replace("eg", "") : small;
    }

    private static Map<MeterMode, Map<String, Scale>> all() {
        Map<MeterMode, Map<String, Scale>> all = new EnumMap<>(MeterMode.class);
        volts(all, "ac", MeterMode.AC_VOLTS, MeterMode.AC_VOLTS_LOW_Z);
        volts(all, "dc", MeterMode.DC_VOLTS);
        put(all, MeterMode.OHMS, 1, "ohm", "r");
        put(all, MeterMode.OHMS, KILO, "k", "kohm");
        put(all, MeterMode.OHMS, KILO * KILO, "mega", "megaohm", "megaaohm", "megohm");
        put(all, MeterMode.DC_MICROAMPS, 1, "ua", "uadc", "microamp", "microamps");
        put(all, MeterMode.DC_MICROAMPS, KILO, "ma", "madc");
        for (MeterMode clamp : new MeterMode[] {MeterMode.CLAMP_AMPS, MeterMode.CLAMP_DC_AMPS}) {
            String kind = clamp == MeterMode.CLAMP_AMPS ? "ac" : "dc";
            put(all, clamp, 1, "a", "a" + kind, "amp", "amps");
            put(all, clamp, MILLI, "ma", "ma" + kind);
        }
        put(all, MeterMode.MICROFARADS, 1, "uf", "mfd", "microfarad", "microfarads");
        put(all, MeterMode.MICROFARADS, MILLI, "nf");
        put(all, MeterMode.INCHES_WC, 1, "in", "\"", "inwc", "\"wc", "wc", "iwc", "inh2o", "inch", "inches");
        put(all, MeterMode.INCHES_WC, 1 / MILLIMETRES_OF_AN_INCH, "mmwc", "mmh2o");
        pressure(all, MeterMode.INCHES_WC, PASCALS_OF_AN_INCH);
        put(all, MeterMode.INCHES_WC, PASCALS_OF_A_PSI / PASCALS_OF_AN_INCH, "psi");
        put(all, MeterMode.PSI, 1, "psi", "psig");
        pressure(all, MeterMode.PSI, PASCALS_OF_A_PSI);
        put(all, MeterMode.FAHRENHEIT, 1, "f", "degf");
        put(all, MeterMode.FAHRENHEIT, new Scale(FAHRENHEIT_OF_A_CELSIUS, FREEZING), "c", "degc");
        put(all, MeterMode.MILLIVOLTS, 1, "mv", "mvdc");
        put(all, MeterMode.MILLIVOLTS, KILO, "v", "vdc");
        put(all, MeterMode.GPM, 1, "gpm", "gal/min");
        put(all, MeterMode.GPM, 1 / LITRES_OF_A_GALLON, "l/min", "lpm");
        put(all, MeterMode.GPM, 1 / LITRES_OF_A_GALLON / MINUTES_OF_AN_HOUR, "l/h");
        put(all, MeterMode.GPM, KILO / LITRES_OF_A_GALLON / MINUTES_OF_AN_HOUR, "m3/h");
        put(all, MeterMode.RPM, 1, "rpm", "1/min");
        put(all, MeterMode.PERCENT, 1, "%", "percent");
        put(all, MeterMode.POUNDS_PER_HOUR, 1, "lb/h", "lbs/h", "lb/hr", "lbs/hr");
        put(all, MeterMode.POUNDS_PER_HOUR, 1 / KILOGRAMS_OF_A_POUND, "kg/h", "kg/hr");
        return all;
    }

    private static void volts(Map<MeterMode, Map<String, Scale>> all, String kind, MeterMode... modes) {
        for (MeterMode mode : modes) {
            put(all, mode, 1, "v", "volt", "volts", "v" + kind);
            put(all, mode, MILLI, "mv", "mv" + kind);
            put(all, mode, KILO, "kv", "kv" + kind);
        }
    }

    private static void pressure(Map<MeterMode, Map<String, Scale>> all, MeterMode mode, double pascals) {
        put(all, mode, 1 / pascals, "pa");
        put(all, mode, MILLIBAR / pascals, "mbar", "hpa");
        put(all, mode, KILO / pascals, "kpa");
        put(all, mode, BAR / pascals, "bar");
    }

    private static void put(Map<MeterMode, Map<String, Scale>> all, MeterMode mode, double factor, String... units) {
        put(all, mode, new Scale(factor, 0), units);
    }

    private static void put(Map<MeterMode, Map<String, Scale>> all, MeterMode mode, Scale scale, String... units) {
        for (String unit : units) {
            all.computeIfAbsent(mode, none -> new HashMap<>()).put(unit, scale);
        }
    }
}
