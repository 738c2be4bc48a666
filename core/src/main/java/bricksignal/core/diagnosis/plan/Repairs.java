package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.unit.Part;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The repairs of a pack and the expected cost of making them one after the other, most probable for its cost first, until
 * the unit runs. With one fault and repairs of independent cost this order is the cheapest (Heckerman, Breese and
 * Rommelse, Decision-theoretic troubleshooting, 1995, section 2). To that is added what it costs to have named the wrong
 * part, if the most probable one were named now.
 */
final class Repairs {

    private final int[] repairOf;
    private final double[] cost;
    private final double mistakeCost;

    Repairs(int[] repairOf, double[] cost, double mistakeCost) {
        this.repairOf = repairOf;
        this.cost = cost;
        this.mistakeCost = mistakeCost;
    }

    static Repairs of(CompiledPack pack, Policy policy) {
        Map<String, Integer> index = new LinkedHashMap<>();
        int[] repairOf = new int[pack.hypotheses().size()];
        for (int h = 0; h < repairOf.length; h++) {
            Hypothesis hypothesis = pack.hypotheses().get(h);
            repairOf[h] = index.computeIfAbsent(hypothesis.part().id(), part -> index.size());
        }
        double[] cost = new double[index.size()];
        index.forEach((part, i) -> cost[i] = cost(pack.model().part(part), policy));
        return new Repairs(repairOf, cost, policy.mistakeCost());
    }

    /** What exchanging a part and trying the unit costs. */
    static double cost(Part part, Policy policy) {
        return part.price() + (part.minutes() + policy.verifyMinutes()) * policy.labourPerMinute()
                + (part.stocked() ? 0 : policy.tripCost());
    }

    /** Expected cost of repair under weights that sum to {@code total}; scales with the weights. */
    double expectedCost(double[] weights, double total) {
        double[] p = new double[cost.length];
        for (int h = 0; h < weights.length; h++) {
            p[repairOf[h]] += weights[h];
        }
        double remaining = total;
        double expected = mistakeCost * (total - java.util.Arrays.stream(p).max().orElse(0));
        boolean[] done = new boolean[cost.length];
        for (int step = 0; step < cost.length; step++) {
            int best = -1;
            for (int i = 0; i < cost.length; i++) {
                if (!done[i] && p[i] > 0 && (best < 0 || p[i] * cost[best] > p[best] * cost[i])) {
                    best = i;
                }
            }
            if (best < 0 || remaining < 1e-9 * total) {
                break;
            }
            done[best] = true;
            expected += remaining * cost[best];
            remaining -= p[best];
        }
        return expected;
    }
}
