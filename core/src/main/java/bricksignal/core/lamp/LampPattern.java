package bricksignal.core.lamp;

import java.util.ArrayList;
import java.util.List;

/**
 * What a lamp does over and over. The times drive the lamp on the bench and are what the decoder expects of taps; they are
 * those people find easy to read (common practice), not those of any maker.
 *
 * @param kind the shape
 * @param count flashes in a group; 0 unless the kind is {@link Kind#FLASHES}
 */
public record LampPattern(Kind kind, int count) {

    /** The shapes of this grammar. */
    public enum Kind { OFF, STEADY, SLOW, FAST, HEARTBEAT, FLASHES }

    public static final LampPattern OFF = new LampPattern(Kind.OFF, 0);
    public static final LampPattern STEADY = new LampPattern(Kind.STEADY, 0);
    public static final LampPattern SLOW = new LampPattern(Kind.SLOW, 0);
    public static final LampPattern FAST = new LampPattern(Kind.FAST, 0);
    public static final LampPattern HEARTBEAT = new LampPattern(Kind.HEARTBEAT, 0);

    /** The largest group of flashes that a person still counts. */
    public static final int MOST_FLASHES = 15;

    public LampPattern {
        boolean flashes = kind == Kind.FLASHES;
        if (flashes && (count < 1 || count > MOST_FLASHES) || !flashes && count != 0) {
            throw new IllegalArgumentException("lamp pattern " + kind + " with " + count + " flashes; a group has 1 to "
                    + MOST_FLASHES);
        }
    }

    /** So many flashes and a pause. */
    public static LampPattern flashes(int count) {
        return new LampPattern(Kind.FLASHES, count);
    }

    /**
     * Reads {@code off}, {@code steady}, {@code slow}, {@code fast}, {@code heartbeat} or {@code 4 flashes}.
     *
     * @throws IllegalArgumentException if the text is none of these
     */
    public static LampPattern parse(String text) {
        for (Kind kind : Kind.values()) {
            if (kind != Kind.FLASHES && kind.name().equalsIgnoreCase(text.trim())) {
                return new LampPattern(kind, 0);
            }
        }
        String[] words = text.trim().split(" ");
        if (words.length == 2 && words[0].matches("[0-9]{1,3}") && words[1].matches("flash(es)?")) {
            return flashes(Integer.parseInt(words[0]));
        }
        throw new IllegalArgumentException("'" + text + "' is not a lamp pattern. Maybe one of off, steady, slow, fast, "
                + "heartbeat, or a count such as '4 flashes'");
    }

    /** The text that {@link #parse} reads. */
    public String text() {
        return kind == Kind.FLASHES ? count + (count == 1 ? " flash" : " flashes") : kind.name().toLowerCase(java.util.Locale.ROOT);
    }

    /** True where the lamp goes on and off. */
    public boolean blinks() {
        return kind != Kind.OFF && kind != Kind.STEADY;
    }

    /** The flashes of one round, each with the seconds it is lit and the seconds of dark after it; empty for off and steady. */
    public List<Flash> round() {
        return switch (kind) {
            case OFF, STEADY -> List.of();
            case SLOW -> List.of(new Flash(1.0, 1.0));
            case FAST -> List.of(new Flash(0.15, 0.15));
            case HEARTBEAT -> List.of(new Flash(0.15, 0.15), new Flash(0.15, 0.85));
            case FLASHES -> group();
        };
    }

    private List<Flash> group() {
        List<Flash> flashes = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            flashes.add(new Flash(0.3, i < count ? 0.3 : 2.0));
        }
        return flashes;
    }

    /**
     * One flash.
     *
     * @param litSeconds above 0
     * @param darkSeconds until the next flash, above 0
     */
    public record Flash(double litSeconds, double darkSeconds) {

        /** From the start of this flash to the start of the next. */
        public double period() {
            return litSeconds + darkSeconds;
        }
    }
}
