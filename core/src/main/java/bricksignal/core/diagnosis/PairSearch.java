package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * Finds the pairs of faults that are worth running. A pair can hardly explain an observation better than the better of its two
 * faults does, so the product of the better likelihoods times the prior of the pair bounds what it can weigh; pairs whose bound
 * is negligible against the single faults are never run. The bound is a heuristic where one fault hides the other.
 */
final class PairSearch {

    private static final double LEAST_SHARE = 4e-3;
    private static final int MOST = 64;

    private PairSearch() {
    }

    /** A pair to be run. */
    record Pair(int place, double prior, double logBound) {
    }

    /**
     * The pairs to run, heaviest bound first.
     *
     * @param singles for each observation the logarithm of its likelihood under each single hypothesis, by place
     * @param posterior logarithm of the unscaled posterior of each single hypothesis, by place
     */
    static List<Pair> of(CompiledPack pack, List<double[]> singles, Map<Integer, Double> posterior) {
        if (singles.size() < 2) {
            return List.of();
        }
        double top = posterior.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double evidence = top + Math.log(posterior.values().stream().mapToDouble(l -> Math.exp(l - top)).sum());
        double least = Math.log(LEAST_SHARE) + evidence;
        double ceiling = Math.log(2 * CompiledPack.PAIRS);
        for (double[] logs : singles) {
            double best = Double.NEGATIVE_INFINITY;
            for (int h = 0; h < pack.faults(); h++) {
                best = Math.max(best, logs[h]);
            }
            ceiling += best;
        }
        return ceiling < least ? List.of() : candidates(pack, singles, least);
    }

    private static List<Pair> candidates(CompiledPack pack, List<double[]> singles, double least) {
        List<Pair> pairs = new ArrayList<>();
        for (int a = 0; a < pack.faults(); a++) {
            for (int b = a + 1; b < pack.faults(); b++) {
                if (a == pack.sound() || b == pack.sound() || samePart(pack, a, b)) {
                    continue;
                }
                double prior = pack.pairPrior(a, b);
                double bound = Math.log(prior);
                for (double[] logs : singles) {
                    bound += Math.max(logs[a], logs[b]);
                }
                if (bound > least) {
                    pairs.add(new Pair(pack.pairPlace(a, b), prior, bound));
                }
            }
        }
        pairs.sort(Comparator.comparingDouble((Pair p) -> -p.logBound()).thenComparingInt(Pair::place));
        return pairs.subList(0, Math.min(MOST, pairs.size()));
    }

    private static boolean samePart(CompiledPack pack, int a, int b) {
        return pack.hypotheses().get(a).part().equals(pack.hypotheses().get(b).part());
    }
}
