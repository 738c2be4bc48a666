package bricksignal.core.lamp;

import java.util.List;
import java.util.Set;

/**
 * What was seen of a board's lamps, by a person's taps or by a camera.
 *
 * @param flashes in order of time
 * @param steady marks of lamps that were lit all the time
 * @param lightTold whether a lamp that does not change was told to be lit or dark
 * @param by who saw it, which says how far the times may be off
 */
public record Sighting(List<Seen> flashes, Set<String> steady, boolean lightTold, Observer by) {

    /** Who saw it. */
    public enum Observer {
        /** Taps of a thumb: late by a person's jitter; how long a tap is held says long or short, no more. */
        PERSON(0.08, 0.06),
        /** A camera or a recorded trace: off by a frame. */
        CAMERA(0.03, 0.05);

        private final double seconds;
        private final double share;

        Observer(double seconds, double share) {
            this.seconds = seconds;
            this.share = share;
        }

        /** One standard deviation of an interval of this length, seconds. */
        double sigma(double interval) {
            return seconds + share * interval;
        }
    }

    /**
     * One flash as seen.
     *
     * @param at when it began, seconds
     * @param litSeconds how long it was lit; NaN where nobody knows
     * @param mark colour, position or both as told; empty where nobody told
     * @param watched the time around it that was watched without a break
     */
    public record Seen(double at, double litSeconds, String mark, Stretch watched) {

        /** Where nobody told when the watching began and ended, and it had no break. */
        public Seen(double at, double litSeconds, String mark) {
            this(at, litSeconds, mark, Stretch.UNTOLD);
        }

        /** Whether nobody looked for a while between that one and this. */
        boolean afterABreak(Seen before) {
            return !watched.equals(before.watched);
        }
    }

    /**
     * A time that was watched without a break: no flash in it was overlooked for want of looking.
     *
     * @param from seconds on the clock of the flashes; NaN where nobody told
     * @param to seconds, likewise
     */
    public record Stretch(double from, double to) {

        public static final Stretch UNTOLD = new Stretch(Double.NaN, Double.NaN);
    }

    public Sighting {
        flashes = List.copyOf(flashes);
        steady = Set.copyOf(steady);
    }
}
