package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Part;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The repairs of some hypotheses and the expected cost of making them one after the other, most probable for its cost first,
 * until the unit runs. With one fault and repairs of independent cost this order is the cheapest (Heckerman, Breese and
 * Rommelse, Decision-theoretic troubleshooting, 1995, section 2). To that is added what it costs to have named the wrong part,
 * if the most probable one were named now. A pair of faults is one repair that costs as much as both.
 */
final class Repairs implements Decision.StopCost {

    /** Repairs less probable than this do not change the expected cost by a cent. */
    private static final double NEGLIGIBLE = 1e-6;

    private final int[] repairOf;
    private final double[] cost;
    private final double mistakeCost;

    Repairs(int[] repairOf, double[] cost, double mistakeCost) {
        this.repairOf = repairOf;
        this.cost = cost;
        this.mistakeCost = mistakeCost;
    }

    /** The repairs of these hypotheses. */
    static Repairs of(CompiledPack pack, List<HypothesisId> ids, Policy policy) {
        Map<String, Integer> index = new LinkedHashMap<>();
        Map<Integer, Double> costs = new LinkedHashMap<>();
        int[] repairOf = new int[ids.size()];
        for (int h = 0; h < ids.size(); h++) {
            Hypothesis hypothesis = pack.space().get(ids.get(h));
            String parts = hypothesis.parts().stream().map(Part::id).collect(Collectors.joining("+"));
            repairOf[h] = index.computeIfAbsent(parts, id -> index.size());
            costs.computeIfAbsent(repairOf[h], i -> hypothesis.parts().stream().mapToDouble(p -> cost(p, policy)).sum());
        }
        double[] cost = new double[costs.size()];
        costs.forEach((i, c) -> cost[i] = c);
        return new Repairs(repairOf, cost, policy.mistakeCost());
    }

    /** What exchanging a part and trying the unit costs. */
    static double cost(Part part, Policy policy) {
        return part.price() + (part.minutes() + policy.verifyMinutes()) * policy.labourPerMinute()
                + (part.stocked() ? 0 : policy.tripCost());
    }

    /** Expected cost of repair under weights that sum to {@code total}; scales with the weights. */
    @Override
    public double expectedCost(double[] weights, double total) {
        double[] p = new double[cost.length];
        for (int h = 0; h < weights.length; h++) {
            p[repairOf[h]] += weights[h];
        }
        double most = 0;
        int[] open = new int[cost.length];
        int count = 0;
        for (int i = 0; i < cost.length; i++) {
            most = Math.max(most, p[i]);
            if (p[i] > NEGLIGIBLE * total) {
                open[count++] = i;
            }
        }
        double remaining = total;
        double expected = mistakeCost * (total - most);
        while (count > 0) {
            int best = 0;
            for (int i = 1; i < count; i++) {
                best = p[open[i]] * cost[open[best]] > p[open[best]] * cost[open[i]] ? i : best;
            }
            expected += remaining * cost[open[best]];
            remaining -= p[open[best]];
            open[best] = open[--count];
        }
        return expected;
    }
}
