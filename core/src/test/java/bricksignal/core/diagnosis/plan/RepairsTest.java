package bricksignal.core.diagnosis.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Expected cost of repair in p/c order: Heckerman, Breese and Rommelse (1995), equations 1 to 3, derived by hand here. */
class RepairsTest {

    @Test
    void twoRepairsInTheBetterOrder() {
        // p 0.8 and 0.2, cost 100 and 10. p/c is 0.008 and 0.02: the cheap one first.
        // 10 + 0.8 x 100 = 90; the other way round 100 + 0.2 x 10 = 102
        Repairs repairs = new Repairs(new int[] {0, 1}, new double[] {100, 10}, 0);
        assertThat(repairs.expectedCost(new double[] {0.8, 0.2}, 1)).isCloseTo(90, within(1e-9));
    }

    @Test
    void faultsOfOnePartShareItsRepair() {
        Repairs repairs = new Repairs(new int[] {0, 0, 1}, new double[] {50, 60}, 0);
        // 0.9 and 0.1: 50 + 0.1 x 60
        assertThat(repairs.expectedCost(new double[] {0.5, 0.4, 0.1}, 1)).isCloseTo(56, within(1e-9));
    }

    @Test
    void mistakeCostsWhatIsNotTheMostProbable() {
        Repairs repairs = new Repairs(new int[] {0, 1}, new double[] {10, 10}, 200);
        assertThat(repairs.expectedCost(new double[] {0.9, 0.1}, 1)).isCloseTo(10 + 0.1 * 10 + 0.1 * 200, within(1e-9));
    }

    @Test
    void costScalesWithTheWeights() {
        Repairs repairs = new Repairs(new int[] {0, 1}, new double[] {30, 10}, 50);
        assertThat(repairs.expectedCost(new double[] {0.35, 0.15}, 0.5))
                .isCloseTo(0.5 * repairs.expectedCost(new double[] {0.7, 0.3}, 1), within(1e-9));
    }

    @Test
    void noOrderIsCheaperThanThatByProbabilityOverCost() {
        Random random = new Random(7);
        for (int round = 0; round < 50; round++) {
            int n = 5;
            double[] p = random.doubles(n, 0.05, 1).toArray();
            double sum = java.util.Arrays.stream(p).sum();
            double[] cost = random.doubles(n, 1, 100).toArray();
            int[] own = new int[n];
            for (int i = 0; i < n; i++) {
                p[i] /= sum;
                own[i] = i;
            }
            double ours = new Repairs(own, cost, 0).expectedCost(p, 1);
            assertThat(ours).isCloseTo(cheapest(p, cost, new ArrayList<>()), within(1e-9));
        }
    }

    /** The cheapest of all orders, tried one by one. */
    private static double cheapest(double[] p, double[] cost, List<Integer> order) {
        if (order.size() == p.length) {
            double remaining = 1;
            double expected = 0;
            for (int i : order) {
                expected += remaining * cost[i];
                remaining -= p[i];
            }
            return expected;
        }
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < p.length; i++) {
            if (!order.contains(i)) {
                List<Integer> longer = new ArrayList<>(order);
                longer.add(i);
                best = Math.min(best, cheapest(p, cost, longer));
            }
        }
        return best;
    }

    @Test
    void impossiblePolicyIsRefused() {
        assertThatThrownBy(() -> new Policy(0, 1, 1, 1, java.util.Set.of(), School.STRICT)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Policy(1, Double.NaN, 1, 1, java.util.Set.of(), School.STRICT)).isInstanceOf(IllegalArgumentException.class);
    }
}
