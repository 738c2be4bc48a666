package bricksignal.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

/** By hand: a gamma law of 2 in 1 week, looked at over 1 week, is a negative binomial one with r = 2 and p = 1/2: 1/4, 1/4, 3/16, 1/8, ... */
class CarryTest {

    private static final int WEEKS = 52;
    private static final int PARTS = 40;
    private static final double MISSING = 120;

    @Test
    void demandIsNegativeBinomial() {
        Demand demand = new Demand(2, 1);
        assertThat(demand.probability(0, 1)).isCloseTo(0.25, within(1e-12));
        assertThat(demand.probability(1, 1)).isCloseTo(0.25, within(1e-12));
        assertThat(demand.probability(2, 1)).isCloseTo(3.0 / 16, within(1e-12));
        assertThat(demand.probability(3, 1)).isCloseTo(1.0 / 8, within(1e-12));
        assertThat(demand.expected(1)).isEqualTo(2);
        assertThat(demand.atMost(200, 1)).isCloseTo(1, within(1e-9));
    }

    /** A gamma law of 3 in 10 weeks and 5 more in 30 weeks: 8 in 40, a fifth a week. */
    @Test
    void ownRecordsAddToWhatWasThought() {
        assertThat(new Demand(3, 10).after(5, 30)).isEqualTo(new Demand(8, 40));
        assertThat(new Demand(8, 40).expected(5)).isCloseTo(1, within(1e-12));
    }

    /** With much known of it the law is Poisson's: mean 2, and 0.857 for at most 3. */
    @Test
    void wellKnownDemandIsPoisson() {
        assertThat(new Demand(2e7, 1e7).atMost(3, 1)).isCloseTo(0.857123, within(1e-5));
        assertThat(new Carry(new Demand(2e7, 1e7), 1, 8, 2).best()).as("critical ratio 0.8").isEqualTo(3);
    }

    @Test
    void criticalRatioDecidesHowMany() {
        Demand demand = new Demand(2, 1);
        assertThat(new Carry(demand, 1, 60, 40).best()).as("0.6: 1/4 + 1/4 + 3/16").isEqualTo(2);
        assertThat(new Carry(demand, 1, 20, 80).best()).as("0.2: none does in a quarter already").isZero();
        assertThat(new Carry(demand, 1, 0, 1).best()).isZero();
    }

    /** What the next piece saves is what it takes off the cost. */
    @Test
    void pieceSavesWhatItTakesOffTheCost() {
        Carry carry = new Carry(new Demand(1.3, 2), 3, 75, 6);
        for (int piece = 1; piece <= 12; piece++) {
            assertThat(carry.saved(piece)).isCloseTo(carry.expectedCost(piece - 1) - carry.expectedCost(piece), within(1e-9));
        }
    }

    /** The best number is the cheapest of all, by counting out the cost of each. */
    @Test
    void bestIsTheCheapest() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            Carry carry = new Carry(new Demand(0.2 + 4 * random.nextDouble(), 1 + 30 * random.nextDouble()), 1 + 8 * random.nextDouble(), 200 * random.nextDouble(),
                    1 + 40 * random.nextDouble());
            int best = carry.best();
            double cost = carry.expectedCost(best);
            for (int other = 0; other <= 15; other++) {
                assertThat(carry.expectedCost(other)).as("%s at %d against %d", carry, other, best).isGreaterThanOrEqualTo(cost - 1e-9);
            }
        }
    }

    /** A year of a van with forty parts against carrying what was used last month: at most 0.85 of its cost (seeds are not chosen). */
    @Test
    void yearCostsLessThanCarryingWhatWasUsedLastMonth() {
        double ours = 0;
        double theirs = 0;
        for (int seed = 1; seed <= 20; seed++) {
            double[] costs = year(new Random(seed));
            ours += costs[0];
            theirs += costs[1];
        }
        assertThat(ours / theirs).isLessThan(0.85);
    }

    /** Filled weekly; what a part is wanted is Poisson with a rate that the prior knows only roughly. */
    private static double[] year(Random random) {
        double ours = 0;
        double theirs = 0;
        for (int part = 0; part < PARTS; part++) {
            double guessed = 0.02 + 0.3 * random.nextDouble();
            double rate = guessed * (0.4 + 1.2 * random.nextDouble());
            double carrying = 0.5 + 6 * random.nextDouble();
            Demand demand = new Demand(4 * guessed, 4);
            int[] used = new int[WEEKS];
            for (int week = 0; week < WEEKS; week++) {
                used[week] = poisson(rate, random);
                int month = 0;
                for (int back = Math.max(0, week - 4); back < week; back++) {
                    month += used[back];
                }
                ours += cost(new Carry(demand, 1, MISSING, carrying).best(), used[week], carrying);
                theirs += cost(month, used[week], carrying);
                demand = demand.after(used[week], 1);
            }
        }
        return new double[] {ours, theirs};
    }

    private static double cost(int carried, int used, double carrying) {
        return MISSING * Math.max(0, used - carried) + carrying * Math.max(0, carried - used);
    }

    private static int poisson(double rate, Random random) {
        int times = 0;
        for (double sum = -Math.log(1 - random.nextDouble()); sum < rate; sum += -Math.log(1 - random.nextDouble())) {
            times++;
        }
        return times;
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        assertThatThrownBy(() -> new Demand(0, 1)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> new Demand(1, 1).after(-1, 2)).hasMessageContaining("-1");
        assertThatThrownBy(() -> new Carry(new Demand(1, 1), 1, -5, 1)).hasMessageContaining("-5");
    }
}
