package bricksignal.core.diagnosis.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Troubleshooting problems in numbers, against published examples, brute force and arithmetic by hand. */
class DecisionTest {

    // --- the polybox: de Kleer and Williams, Diagnosing multiple faults, Artificial Intelligence 32 (1987), section 1 ------
    // Three multipliers and two adders: X = A C, Y = B D, Z = C E, F = X + Y, G = Y + Z, with A = 3, B = 2, C = 2, D = 3,
    // E = 3. Sound: X = Y = Z = 6 and F = G = 12. Observed: F = 10 and G = 12.

    private static final List<String> COMPONENTS = List.of("M1", "M2", "M3", "A1", "A2");
    private static final double FAILS = 0.01;
    private static final int VALUES = 13;

    /** A set of failed components, as bits. */
    private static Set<String> names(int failed) {
        Set<String> names = new LinkedHashSet<>();
        for (int i = 0; i < COMPONENTS.size(); i++) {
            if ((failed >> i & 1) == 1) {
                names.add(COMPONENTS.get(i));
            }
        }
        return names;
    }

    private static double prior(int failed) {
        return Math.pow(FAILS, Integer.bitCount(failed)) * Math.pow(1 - FAILS, 5 - Integer.bitCount(failed));
    }

    /** What a failed component puts out can be any value from 0 to 12; summed over all of them. Calls back with X, Y, Z, F, G. */
    private static double sum(int failed, IntFunction<IntFunction<IntFunction<IntFunction<IntFunction<Double>>>>> f) {
        double sum = 0;
        for (int x : values(failed, 0, 6)) {
            for (int y : values(failed, 1, 6)) {
                for (int z : values(failed, 2, 6)) {
                    for (int ff : values(failed, 3, x + y)) {
                        for (int g : values(failed, 4, y + z)) {
                            sum += f.apply(x).apply(y).apply(z).apply(ff).apply(g);
                        }
                    }
                }
            }
        }
        return sum / Math.pow(VALUES, Integer.bitCount(failed));
    }

    private static int[] values(int failed, int component, int sound) {
        if ((failed >> component & 1) == 0) {
            return new int[] {sound};
        }
        int[] any = new int[VALUES];
        Arrays.setAll(any, i -> i);
        return any;
    }

    private static double[] polyboxPosterior() {
        double[] posterior = new double[32];
        for (int failed = 0; failed < 32; failed++) {
            posterior[failed] = prior(failed) * sum(failed, x -> y -> z -> f -> g -> f == 10 && g == 12 ? 1.0 : 0.0);
        }
        double total = Arrays.stream(posterior).sum();
        return Arrays.stream(posterior).map(p -> p / total).toArray();
    }

    @Test
    void candidatesOfThePolyboxAreThosePublished() {
        double[] posterior = polyboxPosterior();
        List<Set<String>> minimal = new ArrayList<>();
        for (int size = 0; size <= 5; size++) {
            for (int failed = 0; failed < 32; failed++) {
                Set<String> candidate = names(failed);
                if (candidate.size() == size && posterior[failed] > 0 && minimal.stream().noneMatch(candidate::containsAll)) {
                    minimal.add(candidate);
                }
            }
        }
        assertThat(minimal).containsExactlyInAnyOrder(Set.of("A1"), Set.of("M1"), Set.of("A2", "M2"), Set.of("M2", "M3"));
    }

    @Test
    void bestMeasurementOfThePolyboxIsX() {
        double[] posterior = polyboxPosterior();
        double[][][] chance = new double[3][32][VALUES];
        for (int failed = 0; failed < 32; failed++) {
            if (posterior[failed] > 0) {
                int candidate = failed;
                double evidence = sum(failed, x -> y -> z -> f -> g -> f == 10 && g == 12 ? 1.0 : 0.0);
                double each = 1 / (evidence * Math.pow(VALUES, Integer.bitCount(failed)));
                sum(failed, x -> y -> z -> f -> g -> {
                    if (f == 10 && g == 12) {
                        chance[0][candidate][x] += each;
                        chance[1][candidate][y] += each;
                        chance[2][candidate][z] += each;
                    }
                    return 0.0;
                });
            }
        }
        // what the planner ranks by where no test saves money yet: information, all three at the same cost
        double[] bits = Arrays.stream(chance).mapToDouble(c -> Weighing.of(c, VALUES, posterior, (weights, total) -> 0).bits())
                .toArray();
        assertThat(bits[0]).as("X tells the two single candidates apart").isGreaterThan(0.9).isGreaterThan(bits[1])
                .isGreaterThan(bits[2]);
    }

    /** The quick form that ranks and the form that the exact solution is measured by are one quantity. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void whatThePlannerWeighsIsWhatTheDecisionCounts(long seed) {
        Decision d = problem(seed, 6, 3);
        for (int t = 0; t < 3; t++) {
            double[][] byHypothesis = new double[6][2];
            for (int h = 0; h < 6; h++) {
                byHypothesis[h] = new double[] {d.chance()[t][0][h], d.chance()[t][1][h]};
            }
            Weighing weighing = Weighing.of(byHypothesis, 2, d.prior(), d.stop());
            assertThat(weighing.bits()).isCloseTo(d.bits(t, d.prior(), 1), within(1e-9));
        }
    }

    // --- order of repair: Heckerman, Breese and Rommelse, Communications of the ACM 38 (1995): by p over c --------------------

    @Test
    void orderByProbabilityOverCostIsWorkedOutByHand() {
        // p = 0.5, 0.3, 0.2 and c = 10, 4, 1: p/c = 0.05, 0.075, 0.2, so the third, the second, the first:
        // 1 + 0.8 x 4 + 0.5 x 10 = 9.2
        Repairs repairs = new Repairs(new int[] {0, 1, 2}, new double[] {10, 4, 1}, 0);
        assertThat(repairs.expectedCost(new double[] {0.5, 0.3, 0.2}, 1)).isCloseTo(9.2, within(1e-12));
    }

    // --- exact optimum -----------------------------------------------------------------------------------------------------------

    /** A problem by chance: hypotheses with repairs of their own, noisy tests. */
    private static Decision problem(long seed, int hypotheses, int tests) {
        Random random = new Random(seed);
        double[] prior = random.doubles(hypotheses, 0.05, 1).toArray();
        double total = Arrays.stream(prior).sum();
        double[] cost = random.doubles(tests, 1, 15).toArray();
        double[][][] chance = new double[tests][2][hypotheses];
        for (int t = 0; t < tests; t++) {
            for (int h = 0; h < hypotheses; h++) {
                chance[t][0][h] = random.nextBoolean() ? 0.97 : 0.03;
                chance[t][1][h] = 1 - chance[t][0][h];
            }
        }
        int[] own = new int[hypotheses];
        Arrays.setAll(own, i -> i);
        return new Decision(Arrays.stream(prior).map(p -> p / total).toArray(), cost, chance,
                new Repairs(own, random.doubles(hypotheses, 10, 400).toArray(), 100));
    }

    /** The optimum by trying every plan, without memory. */
    private static double bruteForce(Decision d, double[] weights, int made) {
        double best = d.stop().expectedCost(weights, Arrays.stream(weights).sum());
        for (int t = 0; t < d.testCost().length; t++) {
            if ((made >> t & 1) == 0) {
                double cost = d.testCost()[t] * Arrays.stream(weights).sum();
                for (double[] outcome : d.chance()[t]) {
                    double[] after = new double[weights.length];
                    Arrays.setAll(after, h -> weights[h] * outcome[h]);
                    cost += bruteForce(d, after, made | 1 << t);
                }
                best = Math.min(best, cost);
            }
        }
        return best;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void exactOptimumIsThatOfBruteForce(long seed) {
        Decision decision = problem(seed, 5, 4);
        assertThat(decision.exact()).isCloseTo(bruteForce(decision, decision.prior(), 0), within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void noPolicyBeatsTheOptimumAndStoppingAtOnceIsNeverBetter(long seed) {
        Decision decision = problem(seed, 8, 7);
        double exact = decision.exact();
        double atOnce = decision.stop().expectedCost(decision.prior(), 1);
        for (Decision.Chooser policy : List.of(decision.lookAhead(1), decision.lookAhead(2), decision.informationPerCost(0.05))) {
            assertThat(decision.follow(policy)).isGreaterThanOrEqualTo(exact - 1e-9);
        }
        assertThat(decision.follow(decision.lookAhead(1))).isLessThanOrEqualTo(atOnce + 1e-9);
        assertThat(decision.follow(decision.lookAhead(2))).as("two steps are near the optimum").isLessThan(1.06 * exact);
    }

    @Test
    void fourteenHypothesesAndFourteenTestsAreSolvedExactly() {
        Decision decision = problem(42, 14, 14);
        assertThat(decision.states()).isEqualTo(4_782_969);
        assertThat(decision.exact()).isLessThanOrEqualTo(decision.follow(decision.lookAhead(1)) + 1e-9);
    }

    @Test
    void problemThatIsTooLargeIsRefused() {
        assertThatThrownBy(() -> problem(1, 4, 20).exact()).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("too many");
    }
}
