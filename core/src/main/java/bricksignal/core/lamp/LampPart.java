package bricksignal.core.lamp;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What one lamp, or several that go together, do over and over. The times are those that people find easy to read (common
 * practice), not those of any maker.
 *
 * @param kind the shape
 * @param count flashes in a group, or long ones in front; 0 where the shape has none
 * @param shorts short flashes after the long ones; 0 unless the kind is {@link Kind#LONG_SHORT}
 * @param lead colour that announces the group, or empty
 * @param colour colour of the lamp, or empty
 * @param lamps positions from 1, or empty for a single lamp
 * @param display letters and digits, or empty
 */
public record LampPart(Kind kind, int count, int shorts, String lead, String colour, List<Integer> lamps, String display) {

    /** The shapes of this grammar. */
    public enum Kind { OFF, STEADY, SLOW, FAST, HEARTBEAT, FLASHES, LONG_SHORT, DISPLAY }

    /** The largest group of flashes that a person still counts. */
    public static final int MOST_FLASHES = 15;

    /** Colours a lamp can have. */
    public static final List<String> COLOURS = List.of("red", "amber", "yellow", "green", "blue", "white");

    private static final int MOST_LAMPS = 8;
    private static final String COLOUR = String.join("|", COLOURS);
    private static final Pattern GRAMMAR = Pattern.compile("(?:lamps? (?<lamps>\\d(?: \\d)*) )?(?:(?<lead>" + COLOUR
            + ") then )?(?:(?<colour>" + COLOUR + ") )?(?:(?<count>\\d{1,3}) flash(?:es)?|(?<long>\\d{1,3}) long (?<short>\\d{1,3})"
            + " short|(?<word>off|steady|slow|fast|heartbeat))");
    private static final Pattern DISPLAY_TEXT = Pattern.compile("display ([a-z0-9-]{1,6})");

    public LampPart {
        lamps = List.copyOf(lamps);
        boolean group = kind == Kind.FLASHES || kind == Kind.LONG_SHORT;
        if (group && (count < 1 || count > MOST_FLASHES) || kind == Kind.LONG_SHORT && (shorts < 1 || shorts > MOST_FLASHES)) {
            throw new IllegalArgumentException("lamp pattern with " + Math.max(count, shorts) + " flashes; a group has 1 to "
                    + MOST_FLASHES);
        }
        if (lamps.stream().anyMatch(lamp -> lamp < 1 || lamp > MOST_LAMPS)) {
            throw new IllegalArgumentException("lamp positions are 1 to " + MOST_LAMPS + ", not " + lamps);
        }
    }

    static LampPart parse(String text, String whole) {
        String plain = text.trim().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        Matcher shown = DISPLAY_TEXT.matcher(plain);
        if (shown.matches()) {
            return new LampPart(Kind.DISPLAY, 0, 0, "", "", List.of(), shown.group(1).toUpperCase(Locale.ROOT));
        }
        Matcher m = GRAMMAR.matcher(plain);
        if (!m.matches()) {
            throw new IllegalArgumentException("'" + whole.trim() + "' is not a lamp pattern. Maybe one of off, steady, slow, "
                    + "fast, heartbeat, a count such as '4 flashes' or '2 long 3 short', with 'red' or 'lamp 2' in front, or "
                    + "'display E4'");
        }
        String word = m.group("word");
        Kind kind = word != null ? Kind.valueOf(word.toUpperCase(Locale.ROOT)) : m.group("count") != null ? Kind.FLASHES
                : Kind.LONG_SHORT;
        int count = kind == Kind.FLASHES ? Integer.parseInt(m.group("count"))
                : kind == Kind.LONG_SHORT ? Integer.parseInt(m.group("long")) : 0;
        List<Integer> lamps = new ArrayList<>();
        if (m.group("lamps") != null) {
            for (String lamp : m.group("lamps").split(" ")) {
                lamps.add(Integer.parseInt(lamp));
            }
        }
        return new LampPart(kind, count, kind == Kind.LONG_SHORT ? Integer.parseInt(m.group("short")) : 0,
                orEmpty(m.group("lead")), orEmpty(m.group("colour")), lamps, "");
    }

    String text() {
        if (kind == Kind.DISPLAY) {
            return "display " + display;
        }
        String lampWords = lamps.isEmpty() ? "" : (lamps.size() == 1 ? "lamp " : "lamps ") + position() + " ";
        String shape = switch (kind) {
            case FLASHES -> count + (count == 1 ? " flash" : " flashes");
            case LONG_SHORT -> count + " long " + shorts + " short";
            default -> kind.name().toLowerCase(Locale.ROOT);
        };
        return lampWords + (lead.isEmpty() ? "" : lead + " then ") + (colour.isEmpty() ? "" : colour + " ") + shape;
    }

    boolean blinks() {
        return kind != Kind.OFF && kind != Kind.STEADY && kind != Kind.DISPLAY;
    }

    /** What tells this lamp from another: position and colour. */
    String mark() {
        return mark(colour);
    }

    Set<String> marks() {
        Set<String> marks = new LinkedHashSet<>();
        if (!lead.isEmpty()) {
            marks.add(mark(lead));
        }
        marks.add(mark());
        return marks;
    }

    /** How long a round lasts, seconds; 0 for what does not blink. */
    double roundSeconds() {
        return round().stream().mapToDouble(LampPattern.Flash::period).sum();
    }

    /** The flashes of one round; empty for what does not blink. */
    List<LampPattern.Flash> round() {
        List<LampPattern.Flash> flashes = new ArrayList<>();
        if (!lead.isEmpty()) {
            flashes.add(new LampPattern.Flash(1.2, 0.6, mark(lead)));
        }
        switch (kind) {
            case SLOW -> flashes.add(flash(1.0, 1.0));
            case FAST -> flashes.add(flash(0.15, 0.15));
            case HEARTBEAT -> flashes.addAll(List.of(flash(0.15, 0.15), flash(0.15, 0.85)));
            case FLASHES -> group(flashes, count, 0.3, 2.0);
            case LONG_SHORT -> {
                group(flashes, count, 1.0, 0.6);
                group(flashes, shorts, 0.25, 2.5);
            }
            default -> flashes.clear();
        }
        return List.copyOf(flashes);
    }

    private void group(List<LampPattern.Flash> flashes, int size, double lit, double pause) {
        for (int i = 1; i <= size; i++) {
            flashes.add(flash(lit, i < size ? 0.3 : pause));
        }
    }

    private LampPattern.Flash flash(double lit, double dark) {
        return new LampPattern.Flash(lit, dark, mark());
    }

    private String mark(String ofColour) {
        return lamps.isEmpty() ? ofColour : (position() + " " + ofColour).trim();
    }

    private String position() {
        return String.join(" ", lamps.stream().map(String::valueOf).toList());
    }

    private static String orEmpty(@org.jspecify.annotations.Nullable String text) {
        return text == null ? "" : text;
    }
}
