package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds the pairs of faults that are worth running. A pair can hardly explain an observation better than the better of its two
 * faults does, so the product of the better likelihoods times the prior of the pair bounds what it can weigh; pairs whose bound
 * is negligible against the single faults are never run. The bound is a heuristic where one fault hides the other.
 */
final class PairSearch {

    private static final double LEAST_SHARE = 4e-3;
    /** So many are run for one belief, heaviest first. With half as many, pairs were missed (docs/benchmarks.md). */
    private static final int MOST = 64;

    private PairSearch() {
    }

    /** A pair to be run. */
    record Candidate(HypothesisId.Pair pair, double prior, double logBound) {
    }

    /**
     * The pairs to run, heaviest bound first.
     *
     * @param columns for each observation the logarithm of its likelihood under each considered hypothesis, in their order
     * @param posterior logarithm of the unscaled posterior of each considered hypothesis, in their order
     */
    static List<Candidate> of(HypothesisSpace space, List<double[]> columns, double[] posterior) {
        if (columns.size() < 2) {
            return List.of();
        }
        double least = Math.log(LEAST_SHARE) + logSum(posterior);
        double[] further = further(columns, space.faults().size());
        return Math.log(2 * HypothesisSpace.PAIRS) + further[0] < least ? List.of() : candidates(space, columns, further, least);
    }

    /** Logarithm of the sum of what these are the logarithms of. */
    static double logSum(double[] logs) {
        double top = Double.NEGATIVE_INFINITY;
        for (double log : logs) {
            top = Math.max(top, log);
        }
        double sum = 0;
        for (double log : logs) {
            sum += Math.exp(log - top);
        }
        return top + Math.log(sum);
    }

    /** For each observation how much it and those after it can add at most, whatever the fault. */
    private static double[] further(List<double[]> columns, int faults) {
        double[] further = new double[columns.size() + 1];
        for (int i = columns.size() - 1; i >= 0; i--) {
            double best = Double.NEGATIVE_INFINITY;
            for (int h = 0; h < faults; h++) {
                best = Math.max(best, columns.get(i)[h]);
            }
            further[i] = further[i + 1] + best;
        }
        return further;
    }

    private static List<Candidate> candidates(HypothesisSpace space, List<double[]> columns, double[] further, double least) {
        List<Hypothesis> faults = space.faults();
        double[] logPriors = faults.stream().mapToDouble(h -> Math.log(h.prior())).toArray();
        double[][] each = columns.toArray(new double[0][]);
        List<Candidate> candidates = new ArrayList<>();
        for (int a = 0; a < faults.size(); a++) {
            for (int b = a + 1; b < faults.size(); b++) {
                double bound = Math.log(2 * HypothesisSpace.PAIRS) + logPriors[a] + logPriors[b];
                int seen = 0;
                for (; seen < each.length && bound + further[seen] > least; seen++) {
                    bound += Math.max(each[seen][a], each[seen][b]);
                }
                if (seen == each.length && bound > least && possible(faults.get(a), faults.get(b))) {
                    candidates.add(new Candidate(new HypothesisId.Pair(faults.get(a).fault().id(), faults.get(b).fault().id()),
                            HypothesisSpace.pairPrior(faults.get(a), faults.get(b)), bound));
                }
            }
        }
        candidates.sort(Comparator.comparingDouble(candidate -> -candidate.logBound()));
        return candidates.subList(0, Math.min(MOST, candidates.size()));
    }

    private static boolean possible(Hypothesis one, Hypothesis other) {
        return !one.part().id().equals(other.part().id()) && !one.nothing() && !other.nothing();
    }
}
