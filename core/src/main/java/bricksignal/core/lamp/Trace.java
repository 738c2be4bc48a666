package bricksignal.core.lamp;

import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A recording of a lamp's brightness.
 *
 * @param seconds time of each sample, rising
 * @param level brightness of the lamp, any unit
 * @param around brightness beside the lamp in the same unit, or empty: with it a steady lamp is told from a dark one and a
 *     change of the room's light does not matter
 * @param colours red, green and blue of each sample, or empty: tells the colour of the flashes
 * @param mark colour or position of the lamp as told by a person, or empty
 */
public record Trace(List<Double> seconds, List<Double> level, List<Double> around, List<Rgb> colours, String mark) {

    public static final int MOST_SAMPLES = 20_000;
    /** No pattern of a lamp has a flash that is shorter (the quickest of {@link LampPart}). */
    private static final double BLIND_SECONDS = 0.1;
    /** A slow camera has long steps all along; a break is more than two of them. */
    private static final double BLIND_STEPS = 2.2;
    private static final int FEWEST_SAMPLES = 10;

    /** A colour, each part from 0 to 255. */
    public record Rgb(double red, double green, double blue) {
    }

    /** @throws IllegalArgumentException if the lists do not match, a time does not rise or a value is not finite */
    public Trace {
        seconds = List.copyOf(seconds);
        level = List.copyOf(level);
        around = List.copyOf(around);
        colours = List.copyOf(colours);
        if (seconds.size() < FEWEST_SAMPLES) {
            throw new Unfit("trace.few", new Message.Number(seconds.size()));
        }
        if (seconds.size() > MOST_SAMPLES) {
            throw new Unfit("trace.many", new Message.Number(seconds.size()), new Message.Number(MOST_SAMPLES));
        }
        if (level.size() != seconds.size() || !around.isEmpty() && around.size() != seconds.size()
                || !colours.isEmpty() && colours.size() != seconds.size()) {
            throw new IllegalArgumentException("times and brightness differ in number: " + seconds.size() + " and "
                    + level.size() + "; each sample has both");
        }
        for (int i = 0; i < seconds.size(); i++) {
            if (!Double.isFinite(seconds.get(i)) || !Double.isFinite(level.get(i))) {
                throw new IllegalArgumentException("sample " + (i + 1) + " is not a number: " + seconds.get(i) + " s, "
                        + level.get(i));
            }
            if (i > 0 && !(seconds.get(i) > seconds.get(i - 1))) {
                throw new IllegalArgumentException("sample " + (i + 1) + " is at " + seconds.get(i) + " s, not later than the "
                        + "one before it; times must rise");
            }
        }
    }

    /**
     * Where each stretch that was watched without a break begins, and the end of the last: indices of samples, rising. A break is a gap long enough to hide a flash
     * or the dark between two, and longer than the recording's own step.
     */
    public List<Integer> stretches() {
        double[] steps = steps();
        double[] sorted = steps.clone();
        Arrays.sort(sorted);
        double blind = Math.max(BLIND_SECONDS, BLIND_STEPS * sorted[sorted.length / 2]);
        List<Integer> from = new ArrayList<>(List.of(0));
        for (int i = 0; i < steps.length; i++) {
            if (steps[i] > blind) {
                from.add(i + 1);
            }
        }
        from.add(seconds.size());
        return from;
    }

    /** The longest time between two samples, seconds. */
    public double longestGap() {
        return Arrays.stream(steps()).max().orElseThrow();
    }

    private double[] steps() {
        return IntStream.range(1, seconds.size()).mapToDouble(i -> seconds.get(i) - seconds.get(i - 1)).toArray();
    }
}
