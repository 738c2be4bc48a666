package bricksignal.core.lamp;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Reads tapped flashes by likelihood. Each pattern is a small hidden Markov chain over the flashes of its round (Rabiner,
 * 1989, the forward recursion): from one tap to the next the lamp goes one flash on, or two where a flash was missed, or
 * none where a tap was too many. Interval lengths are normal about the pattern's own, for a range of tempos and pauses,
 * because lamps differ and people tap late. The first tap may be any flash of the round.
 */
public final class LampDecoder {

    private static final double MISSED = 0.03;
    private static final double EXTRA = 0.01;
    private static final double NONE_PRIOR = 0.03;
    private static final double JITTER_SECONDS = 0.08;
    private static final double JITTER_SHARE = 0.06;
    private static final double SHORTEST_SECONDS = 0.05;
    private static final double[] TEMPOS = {0.6, 0.7, 0.8, 0.9, 1, 1.12, 1.25, 1.4, 1.6};
    private static final double[] PAUSES = {0.6, 0.8, 1, 1.3, 1.7};

    private LampDecoder() {
    }

    /**
     * What the taps say.
     *
     * @param weights for each pattern the probability that it was this one, all being equally likely before
     * @param none the probability that it was none of them; together they sum to one
     */
    public record Decoding(Map<LampPattern, Double> weights, double none) {
        public Decoding {
            weights = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(weights));
        }

        /** The pattern with the largest weight. */
        public LampPattern best() {
            return weights.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        }
    }

    /**
     * Decodes taps against the patterns a lamp can show.
     *
     * @param patterns at least one that blinks; off and steady cannot be tapped and are passed over
     * @throws IllegalArgumentException if no pattern blinks
     */
    public static Decoding decode(Taps taps, List<LampPattern> patterns) {
        Set<LampPattern> blinking = new LinkedHashSet<>(patterns);
        blinking.removeIf(pattern -> !pattern.blinks());
        if (blinking.isEmpty()) {
            throw new IllegalArgumentException("no pattern of this lamp blinks; there is nothing to tap");
        }
        Map<LampPattern, Double> logs = new LinkedHashMap<>();
        for (LampPattern pattern : blinking) {
            logs.put(pattern, logLikelihood(taps, pattern) + Math.log((1 - NONE_PRIOR) / blinking.size()));
        }
        double none = logNone(taps) + Math.log(NONE_PRIOR);
        double top = Math.max(none, logs.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow());
        double sum = Math.exp(none - top);
        for (double log : logs.values()) {
            sum += Math.exp(log - top);
        }
        Map<LampPattern, Double> weights = new LinkedHashMap<>();
        for (Map.Entry<LampPattern, Double> entry : logs.entrySet()) {
            weights.put(entry.getKey(), Math.exp(entry.getValue() - top) / sum);
        }
        return new Decoding(weights, Math.exp(none - top) / sum);
    }

    private static double logLikelihood(Taps taps, LampPattern pattern) {
        boolean pauses = pattern.round().size() > 1;
        double best = Double.NEGATIVE_INFINITY;
        double sum = 0;
        int count = 0;
        for (double tempo : TEMPOS) {
            for (double pause : pauses ? PAUSES : new double[] {1}) {
                double log = logForward(taps.intervals(), periods(pattern, tempo, pause));
                if (log > best) {
                    sum = sum * Math.exp(best - log) + 1;
                    best = log;
                } else {
                    sum += Math.exp(log - best);
                }
                count++;
            }
        }
        return best + Math.log(sum / count);
    }

    private static double[] periods(LampPattern pattern, double tempo, double pause) {
        List<LampPattern.Flash> round = pattern.round();
        double[] periods = new double[round.size()];
        for (int i = 0; i < periods.length; i++) {
            boolean last = i == periods.length - 1 && periods.length > 1;
            LampPattern.Flash flash = round.get(i);
            periods[i] = last ? tempo * flash.litSeconds() + pause * flash.darkSeconds() : tempo * flash.period();
        }
        return periods;
    }

    private static double logForward(List<Double> intervals, double[] periods) {
        int n = periods.length;
        double[] at = new double[n];
        java.util.Arrays.fill(at, 1.0 / n);
        double log = 0;
        for (double interval : intervals) {
            double[] next = new double[n];
            for (int i = 0; i < n; i++) {
                int one = (i + 1) % n;
                int two = (i + 2) % n;
                next[one] += at[i] * (1 - MISSED - EXTRA) * normal(interval, periods[i]);
                next[two] += at[i] * MISSED * normal(interval, periods[i] + periods[one]);
                next[i] += at[i] * EXTRA * (interval < periods[i] ? 1 / periods[i] : 1e-6);
            }
            double sum = 0;
            for (double p : next) {
                sum += p;
            }
            if (!(sum > 1e-300)) {
                return Double.NEGATIVE_INFINITY;
            }
            for (int i = 0; i < n; i++) {
                at[i] = next[i] / sum;
            }
            log += Math.log(sum);
        }
        return log;
    }

    private static double normal(double interval, double expected) {
        double sigma = JITTER_SECONDS + JITTER_SHARE * expected;
        double z = (interval - expected) / sigma;
        return Math.exp(-z * z / 2) / (sigma * Math.sqrt(2 * Math.PI));
    }

    /** Anything at all: intervals spread evenly over the logarithm from a twentieth of a second to a minute. */
    private static double logNone(Taps taps) {
        double width = Math.log(Taps.LONGEST_PAUSE_SECONDS / SHORTEST_SECONDS);
        double log = 0;
        for (double interval : taps.intervals()) {
            log -= Math.log(Math.max(interval, SHORTEST_SECONDS) * width);
        }
        return log;
    }
}
