package bricksignal.core.diagnosis.plan;

import java.util.Arrays;

/**
 * A troubleshooting problem in numbers: hypotheses, tests with their cost and the chance of each outcome, and what it costs to
 * stop and repair with what is known. Small ones are solved exactly; that is the limit which the quick policies are measured
 * against.
 *
 * @param prior probability of each hypothesis; sums to one
 * @param testCost of each test, above 0
 * @param chance by test, outcome and hypothesis; over the outcomes they sum to one
 * @param stop what it costs to stop
 */
public record Decision(double[] prior, double[] testCost, double[][][] chance, StopCost stop) {

    /** Largest number of states that is solved exactly. */
    public static final long MOST_STATES = 20_000_000;

    private static final double IMPOSSIBLE = 1e-12;

    /** The expected cost of stopping under weights that sum to a total; scales with the weights. */
    public interface StopCost {
        double expectedCost(double[] weights, double total);
    }

    /** Chooses the next test under some weights, or says -1 to stop. */
    public interface Chooser {
        int choose(double[] weights, double total, boolean[] made);
    }

    /** How many states the exact solution visits at most: each test is open or has one of its outcomes. */
    public long states() {
        double states = 1;
        for (double[][] outcomes : chance) {
            states *= outcomes.length + 1;
        }
        return states > Long.MAX_VALUE / 4.0 ? Long.MAX_VALUE : (long) states;
    }

    /**
     * The least expected cost that any plan can have: dynamic programming over what each test may have shown. Tests do not
     * depend on each other given the hypothesis, so their order does not matter to the belief.
     *
     * @throws IllegalArgumentException if there are more than {@link #MOST_STATES} states
     */
    public double exact() {
        if (states() > MOST_STATES) {
            throw new IllegalArgumentException(states() + " states are too many to solve exactly; at most " + MOST_STATES);
        }
        double[] known = new double[(int) states()];
        Arrays.fill(known, Double.NaN);
        int[] digit = new int[chance.length];
        int unit = 1;
        for (int t = 0; t < digit.length; t++) {
            digit[t] = unit;
            unit *= chance[t].length + 1;
        }
        return exact(prior.clone(), 1, 0, digit, known);
    }

    private double exact(double[] weights, double total, int state, int[] digit, double[] known) {
        if (!Double.isNaN(known[state])) {
            return known[state] * total;
        }
        double best = stop.expectedCost(weights, total);
        for (int t = 0; t < chance.length; t++) {
            if (state / digit[t] % (chance[t].length + 1) == 0) {
                double cost = testCost[t] * total;
                for (int k = 0; k < chance[t].length && cost < best; k++) {
                    double[] after = after(weights, t, k);
                    double sum = Arrays.stream(after).sum();
                    if (sum > IMPOSSIBLE * total) {
                        cost += exact(after, sum, state + (k + 1) * digit[t], digit, known);
                    }
                }
                best = Math.min(best, cost);
            }
        }
        known[state] = best / total;
        return best;
    }

    /** The expected cost of following a policy to its end. */
    public double follow(Chooser policy) {
        return follow(policy, prior.clone(), 1, new boolean[chance.length]);
    }

    private double follow(Chooser policy, double[] weights, double total, boolean[] made) {
        int t = policy.choose(weights, total, made);
        if (t < 0) {
            return stop.expectedCost(weights, total);
        }
        boolean[] now = made.clone();
        now[t] = true;
        double cost = testCost[t] * total;
        for (int k = 0; k < chance[t].length; k++) {
            double[] after = after(weights, t, k);
            double sum = Arrays.stream(after).sum();
            if (sum > IMPOSSIBLE) {
                cost += follow(policy, after, sum, now);
            }
        }
        return cost;
    }

    /** The test that saves most, looking so many tests ahead; -1 where none saves anything. */
    public Chooser lookAhead(int depth) {
        return (weights, total, made) -> {
            double best = stop.expectedCost(weights, total) - IMPOSSIBLE;
            int chosen = -1;
            for (int t = 0; t < chance.length; t++) {
                if (!made[t]) {
                    double cost = costOf(t, weights, total, made, depth);
                    if (cost < best) {
                        best = cost;
                        chosen = t;
                    }
                }
            }
            return chosen;
        };
    }

    /** The test with the most information for its cost (de Kleer and Williams, 1987); -1 where none tells anything. */
    public Chooser informationPerCost(double leastBits) {
        return (weights, total, made) -> {
            int chosen = -1;
            double best = 0;
            for (int t = 0; t < chance.length; t++) {
                double bits = made[t] ? 0 : bits(t, weights, total);
                if (bits > leastBits && bits / testCost[t] > best) {
                    best = bits / testCost[t];
                    chosen = t;
                }
            }
            return chosen;
        };
    }

    /** Expected information of a test about the hypotheses, bits. */
    public double bits(int test, double[] weights, double total) {
        double bits = 0;
        for (double[] outcome : chance[test]) {
            double sum = 0;
            for (int h = 0; h < weights.length; h++) {
                sum += weights[h] * outcome[h];
            }
            for (int h = 0; h < weights.length; h++) {
                double joint = weights[h] * outcome[h];
                if (joint > 0) {
                    bits += joint / total * Math.log(joint * total / (sum * weights[h])) / Math.log(2);
                }
            }
        }
        return bits;
    }

    private double costOf(int test, double[] weights, double total, boolean[] made, int depth) {
        double cost = testCost[test] * total;
        boolean[] now = made;
        if (depth > 1) {
            now = made.clone();
            now[test] = true;
        }
        for (int k = 0; k < chance[test].length; k++) {
            double[] after = after(weights, test, k);
            double sum = Arrays.stream(after).sum();
            if (sum > IMPOSSIBLE * total) {
                cost += depth > 1 ? ahead(after, sum, now, depth - 1) : stop.expectedCost(after, sum);
            }
        }
        return cost;
    }

    private double ahead(double[] weights, double total, boolean[] made, int depth) {
        double best = stop.expectedCost(weights, total);
        for (int t = 0; t < chance.length; t++) {
            if (!made[t]) {
                best = Math.min(best, costOf(t, weights, total, made, depth));
            }
        }
        return best;
    }

    private double[] after(double[] weights, int test, int outcome) {
        double[] after = new double[weights.length];
        for (int h = 0; h < weights.length; h++) {
            after[h] = weights[h] * chance[test][outcome][h];
        }
        return after;
    }
}
