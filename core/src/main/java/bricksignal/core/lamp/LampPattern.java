package bricksignal.core.lamp;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What a board's lamps do over and over: one part for each lamp that does something of its own. The same grammar drives the
 * bench lamp, reads taps and traces, and writes charts.
 *
 * <pre>
 * off | steady | slow | fast | heartbeat | 4 flashes | 2 long 3 short        one lamp
 * red 4 flashes | amber then red 2 flashes | green steady                    with a colour, or a colour that announces the count
 * lamp 3 slow | lamps 2 4 steady                                             several lamps, by position from the left or the top
 * green steady + red 2 flashes                                               several lamps that do different things
 * display E4                                                                 letters and digits
 * </pre>
 *
 * @param parts at least one
 */
public record LampPattern(List<LampPart> parts) {

    public static final LampPattern OFF = parse("off");
    public static final LampPattern STEADY = parse("steady");
    public static final LampPattern SLOW = parse("slow");
    public static final LampPattern FAST = parse("fast");
    public static final LampPattern HEARTBEAT = parse("heartbeat");

    public LampPattern {
        parts = List.copyOf(parts);
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a lamp pattern has at least one part");
        }
    }

    /** So many flashes and a pause. */
    public static LampPattern flashes(int count) {
        return parse(count + " flashes");
    }

    /**
     * Reads a pattern.
     *
     * @throws IllegalArgumentException if the text does not follow the grammar
     */
    public static LampPattern parse(String text) {
        List<LampPart> parts = new ArrayList<>();
        for (String part : text.trim().split("\\s*\\+\\s*")) {
            parts.add(LampPart.parse(part, text));
        }
        return new LampPattern(parts);
    }

    /** The text that {@link #parse} reads. */
    public String text() {
        return String.join(" + ", parts.stream().map(LampPart::text).toList());
    }

    /** True where some lamp goes on and off. */
    public boolean blinks() {
        return parts.stream().anyMatch(LampPart::blinks);
    }

    /** The flashes of one round of the first part that blinks; empty where none does. */
    public List<Flash> round() {
        return parts.stream().filter(LampPart::blinks).findFirst().map(LampPart::round).orElse(List.of());
    }

    /** True for a pattern that somebody takes for this one who counts one flash too many or too few. */
    public boolean miscounted(LampPattern other) {
        return blinks() && other.blinks() && marks().equals(other.marks()) && Math.abs(round().size() - other.round().size()) == 1;
    }

    /** How long such a round lasts, seconds; 0 where nothing blinks. */
    public double roundSeconds() {
        return parts.stream().filter(LampPart::blinks).findFirst().map(LampPart::roundSeconds).orElse(0.0);
    }

    /** The names by which its flashes are told apart: colour, position or both; one empty name for a plain lamp. */
    public Set<String> marks() {
        Set<String> marks = new LinkedHashSet<>();
        parts.forEach(part -> marks.addAll(part.marks()));
        return marks;
    }

    /**
     * One flash.
     *
     * @param litSeconds above 0
     * @param darkSeconds until the next flash, above 0
     * @param mark colour, position or both; empty for a plain lamp
     */
    public record Flash(double litSeconds, double darkSeconds, String mark) {

        /** From the start of this flash to the start of the next. */
        public double period() {
            return litSeconds + darkSeconds;
        }
    }
}
