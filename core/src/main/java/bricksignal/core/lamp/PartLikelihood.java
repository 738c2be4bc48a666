package bricksignal.core.lamp;

import java.util.Arrays;
import java.util.List;

/**
 * How likely a part of a pattern makes what was seen: a hidden Markov chain over the flashes of its round, by the forward
 * recursion (Rabiner, A tutorial on hidden Markov models, 1989). From one flash seen to the next the lamp goes one flash on,
 * or two where one was missed, or none where one was seen too many. Interval lengths are normal about the pattern's own, for
 * a range of tempos and pauses, because lamps differ and people tap late. The first may be any flash of the round,
 * and so may the first after a break in which nobody looked.
 */
final class PartLikelihood {

    private static final double MISSED = 0.03;
    private static final double EXTRA = 0.01;
    /** A flash that falls into a break of the watching; and that it was no break but a recording that stood still (our own judgement, by the lamp bench). */
    private static final double HIDDEN = 0.2;
    private static final double STOOD_STILL = 0.2;
    private static final double OTHER_MARK = 0.03;
    private static final double LONG_SECONDS = 0.6;
    /** The logistic curve is nearest the normal distribution's with this slope (Johnson and Kotz, Continuous univariate distributions, from memory). */
    private static final double LOGISTIC = 1.702;
    private static final double[] TEMPOS = {0.6, 0.7, 0.8, 0.9, 1, 1.12, 1.25, 1.4, 1.6};
    private static final double[] PAUSES = {0.6, 0.8, 1, 1.3, 1.7};

    private final List<Sighting.Seen> seen;
    private final List<LampPattern.Flash> round;
    private final Sighting.Observer by;
    private final double[] periods;
    private final double tempo;

    private PartLikelihood(List<Sighting.Seen> seen, List<LampPattern.Flash> round, Sighting.Observer by, double tempo,
            double pause) {
        this.seen = seen;
        this.round = round;
        this.by = by;
        this.tempo = tempo;
        this.periods = new double[round.size()];
        for (int i = 0; i < periods.length; i++) {
            LampPattern.Flash flash = round.get(i);
            boolean last = i == periods.length - 1 && periods.length > 1;
            periods[i] = last ? tempo * flash.litSeconds() + pause * flash.darkSeconds() : tempo * flash.period();
        }
    }

    /** Logarithm of the mean likelihood over tempos and pauses. A part that blinks and of which nothing was seen is unlikely. */
    static double log(List<Sighting.Seen> seen, LampPart part, Sighting.Observer by) {
        List<LampPattern.Flash> round = part.round();
        if (seen.isEmpty()) {
            return 4 * Math.log(MISSED);
        }
        double best = Double.NEGATIVE_INFINITY;
        double sum = 0;
        int count = 0;
        for (double tempo : TEMPOS) {
            for (double pause : round.size() > 1 ? PAUSES : new double[] {1}) {
                double log = new PartLikelihood(seen, round, by, tempo, pause).forward();
                if (log > best) {
                    sum = sum * Math.exp(best - log) + 1;
                    best = log;
                } else if (log > Double.NEGATIVE_INFINITY) {
                    sum += Math.exp(log - best);
                }
                count++;
            }
        }
        return best + Math.log(sum / count);
    }

    private double forward() {
        int n = periods.length;
        double[] at = new double[n];
        double log = 0;
        for (int k = 0; k < seen.size(); k++) {
            Sighting.Seen flash = seen.get(k);
            at = k == 0 ? anyOf(flash) : flash.afterABreak(seen.get(k - 1)) ? overABreak(at, seen.get(k - 1), flash) : step(at, flash, flash.at() - seen.get(k - 1).at(), MISSED);
            if (k == seen.size() - 1) {
                at = darkAfter(at, flash);
            }
            double sum = 0;
            for (double p : at) {
                sum += p;
            }
            if (!(sum > 1e-300)) {
                return Double.NEGATIVE_INFINITY;
            }
            for (int i = 0; i < n; i++) {
                at[i] /= sum;
            }
            log += Math.log(sum);
        }
        return log;
    }

    /** The first flash that is seen may be any of the round, if the one before it could have come before the watching began. */
    private double[] anyOf(Sighting.Seen flash) {
        int n = periods.length;
        double[] at = new double[n];
        for (int i = 0; i < n; i++) {
            at[i] = emission(flash, i) / n * longerThan(flash.at() - flash.watched().from(), periods[(i + n - 1) % n]);
        }
        return at;
    }

    /** After the last flash that was seen it stayed dark until the watching ended. */
    private double[] darkAfter(double[] at, Sighting.Seen flash) {
        double[] dark = at.clone();
        for (int i = 0; i < dark.length; i++) {
            dark[i] *= longerThan(flash.watched().to() - flash.at(), periods[i]);
        }
        return dark;
    }

    /** Either the lamp went on meanwhile, unseen, or the recording itself stood still: then any flash of the round may come next, after any time. */
    private double[] overABreak(double[] at, Sighting.Seen before, Sighting.Seen flash) {
        double interval = flash.at() - before.at();
        double[] went = step(at, flash, interval, HIDDEN);
        double[] stood = anyOf(flash);
        double dark = Arrays.stream(darkAfter(at, before)).sum();
        for (int i = 0; i < went.length; i++) {
            went[i] = (1 - STOOD_STILL) * went[i] + STOOD_STILL * dark * stood[i] * AnyLamp.interval(interval);
        }
        return went;
    }

    /** How likely an interval is longer than the seconds that were watched, or its flash was missed; certain where nobody told how long that was. */
    private double longerThan(double watched, double expected) {
        return Double.isNaN(watched) ? 1 : MISSED + (1 - MISSED) / (1 + Math.exp(LOGISTIC * (watched - expected) / by.sigma(expected)));
    }

    private double[] step(double[] at, Sighting.Seen flash, double interval, double missed) {
        int n = periods.length;
        double[] next = new double[n];
        for (int i = 0; i < n; i++) {
            int one = (i + 1) % n;
            int two = (i + 2) % n;
            next[one] += at[i] * (1 - missed - EXTRA) * normal(interval, periods[i]);
            next[two] += at[i] * missed * normal(interval, periods[i] + periods[one]);
            next[i] += at[i] * EXTRA * (interval < periods[i] ? 1 / periods[i] : 1e-6);
        }
        for (int i = 0; i < n; i++) {
            next[i] *= emission(flash, i);
        }
        return next;
    }

    /** How likely this flash of the round looks as that one was seen: its mark and how long it was lit. */
    private double emission(Sighting.Seen flash, int i) {
        LampPattern.Flash expected = round.get(i);
        boolean told = !flash.mark().isEmpty() && !expected.mark().isEmpty();
        double mark = !told ? 1 : flash.mark().equals(expected.mark()) ? 1 - OTHER_MARK : OTHER_MARK;
        return mark * length(flash.litSeconds(), expected.litSeconds());
    }

    /** A person's tap is short, and held where the flash is long if short ones ask for it; a camera sees the length. */
    private double length(double lit, double expected) {
        if (Double.isNaN(lit)) {
            return 1;
        }
        if (by == Sighting.Observer.CAMERA) {
            return logNormal(lit, expected * tempo, 0.35);
        }
        boolean both = round.stream().anyMatch(f -> f.litSeconds() > LONG_SECONDS)
                && round.stream().anyMatch(f -> f.litSeconds() <= LONG_SECONDS);
        boolean isLong = expected > LONG_SECONDS;
        double tapped = logNormal(lit, 0.15, 0.8);
        double held = logNormal(lit, 0.6, 0.55);
        if (both) {
            return isLong ? held : logNormal(lit, 0.13, 0.55);
        }
        return isLong ? (tapped + held) / 2 : tapped;
    }

    private double normal(double interval, double expected) {
        double sigma = by.sigma(expected);
        double z = (interval - expected) / sigma;
        return Math.exp(-z * z / 2) / (sigma * Math.sqrt(2 * Math.PI));
    }

    static double logNormal(double value, double median, double sigma) {
        double z = Math.log(Math.max(value, 0.02) / median) / sigma;
        return Math.exp(-z * z / 2) / (sigma * Math.max(value, 0.02) * Math.sqrt(2 * Math.PI));
    }
}
