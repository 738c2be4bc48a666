package bricksignal.core.lamp;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/**
 * Finds the flashes in a trace. The threshold follows the darkest and the brightest of the seconds around, so that a slow
 * change of the room's light does not matter; it has hysteresis, so that the flicker of lamps on the mains does not either.
 * A lamp that never changes is steady or off by its brightness against what is beside it.
 */
public final class EdgeFinder {

    private static final double WINDOW_SECONDS = 5;
    private static final double SMOOTH_SECONDS = 0.045;
    private static final double RISES = 0.58;
    private static final double FALLS = 0.42;
    private static final double LEAST_SWING_OF_NOISE = 9;
    private static final double LEAST_SWING_OF_ALL = 0.35;
    private static final double SHORTEST_SECONDS = 0.055;
    private static final double LEAST_SHARE = 0.004;
    private static final double STEADY_CONTRAST = 0.2;

    private final Trace trace;
    private final double[] time;
    private final double[] signal;
    private final double[] threshold;
    private final double[] swing;

    private EdgeFinder(Trace trace) {
        this.trace = trace;
        this.time = trace.seconds().stream().mapToDouble(Double::doubleValue).toArray();
        double[] raw = new double[time.length];
        for (int i = 0; i < raw.length; i++) {
            raw[i] = trace.level().get(i) - (trace.around().isEmpty() ? 0 : trace.around().get(i));
        }
        this.signal = smoothed(raw);
        this.threshold = new double[time.length];
        this.swing = new double[time.length];
        adapt();
    }

    /**
     * What was found.
     *
     * @param sighting flashes and steady lamps
     * @param threshold the brightness that separates lit from dark, for each sample that was read
     * @param told whether it can be told if a lamp that does not change is lit
     */
    public record Found(Sighting sighting, List<Double> threshold, boolean told) {
    }

    /** The flashes of a trace. */
    public static Found find(Trace trace) {
        return new EdgeFinder(trace).found();
    }

    private Found found() {
        List<Sighting.Seen> flashes = flashes();
        boolean told = !trace.around().isEmpty();
        Set<String> steady = flashes.isEmpty() && told && contrast() > STEADY_CONTRAST ? Set.of(trace.mark()) : Set.of();
        List<Double> shown = new ArrayList<>();
        for (int i = 0; i < threshold.length; i++) {
            shown.add(threshold[i] + (trace.around().isEmpty() ? 0 : trace.around().get(i)));
        }
        return new Found(new Sighting(flashes, steady, told, Sighting.Observer.CAMERA), List.copyOf(shown), told);
    }

    private double contrast() {
        double lamp = 0;
        double beside = 0;
        for (int i = 0; i < time.length; i++) {
            lamp += trace.level().get(i);
            beside += trace.around().get(i);
        }
        return (lamp - beside) / Math.max(beside, 8.0 * time.length);
    }

    private List<Sighting.Seen> flashes() {
        List<Sighting.Seen> flashes = new ArrayList<>();
        double noise = noise();
        double most = Arrays.stream(swing).max().orElse(0);
        double least = Math.max(LEAST_SWING_OF_NOISE * noise, LEAST_SWING_OF_ALL * most);
        if (!(most > LEAST_SWING_OF_NOISE * noise) || !(most > 1e-9)) {
            return flashes;
        }
        List<Integer> stretches = trace.stretches();
        for (int stretch = 0; stretch + 1 < stretches.size(); stretch++) {
            flashes.addAll(flashes(stretches.get(stretch), stretches.get(stretch + 1), least));
        }
        return flashes;
    }

    /** Those of one stretch; one that was lit when it began is not counted, and one that was lit when it ended has no length. */
    private List<Sighting.Seen> flashes(int from, int to, double least) {
        Sighting.Stretch watched = new Sighting.Stretch(time[from], time[to - 1]);
        List<Sighting.Seen> flashes = new ArrayList<>();
        boolean lit = signal[from] > threshold[from];
        boolean whole = false;
        double since = time[from];
        int first = from;
        for (int i = from + 1; i < to; i++) {
            double level = threshold[i] + ((lit ? FALLS : RISES) - 0.5) * swing[i];
            boolean now = lit ? signal[i] > level : signal[i] >= level && swing[i] >= least;
            if (now != lit) {
                double edge = crossing(i, level);
                if (lit && whole && edge - since >= SHORTEST_SECONDS && swing[i] >= least) {
                    flashes.add(new Sighting.Seen(since, edge - since, mark(first, i), watched));
                }
                lit = now;
                whole = true;
                since = edge;
                first = i;
            }
        }
        if (lit && whole) {
            flashes.add(new Sighting.Seen(since, Double.NaN, mark(first, to), watched));
        }
        return flashes;
    }

    /** The instant between two samples at which the level was passed. */
    private double crossing(int i, double level) {
        double step = signal[i] - signal[i - 1];
        double share = step == 0 ? 1 : (level - signal[i - 1]) / step;
        return time[i - 1] + Math.min(1, Math.max(0, share)) * (time[i] - time[i - 1]);
    }

    /** The colour of a flash against the dark before it; the mark a person told where no colours were recorded. */
    private String mark(int from, int to) {
        if (trace.colours().isEmpty()) {
            return trace.mark();
        }
        int dark = Math.max(0, from - 2);
        Trace.Rgb off = trace.colours().get(dark);
        double[] on = new double[3];
        for (int i = from; i < to; i++) {
            Trace.Rgb c = trace.colours().get(i);
            on[0] += (c.red() - off.red()) / (to - from);
            on[1] += (c.green() - off.green()) / (to - from);
            on[2] += (c.blue() - off.blue()) / (to - from);
        }
        String colour = Hue.name(on[0], on[1], on[2]);
        boolean positioned = !trace.mark().isEmpty() && Character.isDigit(trace.mark().charAt(0));
        return positioned ? trace.mark() : colour;
    }

    /** Darkest and brightest within the seconds around each sample, found anew a few times a second. */
    private void adapt() {
        int n = time.length;
        int stride = Math.max(1, n / 400);
        for (int i = 0; i < n; i += stride) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int j = i; j >= 0 && time[i] - time[j] <= WINDOW_SECONDS / 2; j--) {
                least = Math.min(least, signal[j]);
                most = Math.max(most, signal[j]);
            }
            for (int j = i; j < n && time[j] - time[i] <= WINDOW_SECONDS / 2; j++) {
                least = Math.min(least, signal[j]);
                most = Math.max(most, signal[j]);
            }
            for (int j = i; j < Math.min(n, i + stride); j++) {
                threshold[j] = (least + most) / 2;
                swing[j] = most - least;
            }
        }
    }

    /** A mean over a few hundredths of a second, which takes the mains flicker out of a quick recording. */
    private double[] smoothed(double[] raw) {
        double[] smooth = new double[raw.length];
        int from = 0;
        int to = 0;
        double sum = 0;
        for (int i = 0; i < raw.length; i++) {
            for (; to < raw.length && time[to] <= time[i] + SMOOTH_SECONDS / 2; to++) {
                sum += raw[to];
            }
            for (; time[from] < time[i] - SMOOTH_SECONDS / 2; from++) {
                sum -= raw[from];
            }
            smooth[i] = sum / (to - from);
        }
        return smooth;
    }

    /** Scatter from sample to sample, robust against edges: the median step over 0.95 (normal noise); at least a step of a display. */
    private double noise() {
        double[] steps = new double[signal.length - 1];
        for (int i = 1; i < signal.length; i++) {
            steps[i - 1] = Math.abs(signal[i] - signal[i - 1]);
        }
        Arrays.sort(steps);
        double brightest = trace.level().stream().mapToDouble(Math::abs).max().orElse(0);
        return Math.max(steps[steps.length / 2] / 0.95, LEAST_SHARE * brightest);
    }
}
