package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class OutcomesTest {

    private final CompiledPack chain = ChainUnit.of(5, 0.5);

    private Outcomes at(String net) {
        return chain.predictions().outcomes(ChainUnit.volts(chain, net, 0).test());
    }

    private HypothesisId open(int wire) {
        return new HypothesisId.Single("open-" + wire);
    }

    @Test
    void voltageInAChainIsThereOrNot() {
        Outcomes outcomes = at("n3");
        assertThat(outcomes.count()).isEqualTo(2);
        assertThat(((Prediction.Number) outcomes.representative(0)).mean()).isCloseTo(0, within(0.5));
        assertThat(((Prediction.Number) outcomes.representative(1)).mean()).isCloseTo(24, within(0.5));
    }

    @Test
    void overTheOutcomesChancesSumToOne() {
        for (bricksignal.core.unit.Test test : chain.catalogue().tests()) {
            Outcomes outcomes = chain.predictions().outcomes(test);
            for (Hypothesis h : chain.space().considered()) {
                double sum = 0;
                for (int k = 0; k < outcomes.count(); k++) {
                    sum += outcomes.chance(k, h.id());
                }
                assertThat(sum).as("%s under %s", test.id(), h.id()).isCloseTo(1, within(1e-9));
            }
        }
    }

    @Test
    void whatLiesOnEitherSideOfThePointIsToldApartByIt() {
        assertThat(at("n3").common(open(2), open(5))).isLessThan(0.1);
        assertThat(at("n3").common(open(1), open(3))).isCloseTo(1, within(1e-9));
        assertThat(at("n3").common(open(2), open(5))).isEqualTo(at("n3").common(open(5), open(2)));
    }

    @Test
    void intermittentFaultFallsIntoBoth() {
        Outcomes outcomes = at("n3");
        double there = outcomes.chance(0, new HypothesisId.Intermittent("open-2"));
        assertThat(there).isBetween(0.3, 0.4);
    }

    /** Numbers of the given means, one for each listed hypothesis, the last one for all that are left. */
    private Outcomes ofNumbers(double sigma, double... means) {
        return Outcomes.of(chain.space(), id -> new Prediction.Number(means[Math.min(Math.max(0, chain.space().place(id)), means.length - 1)],
                sigma), ErrorModel.defaults(), Shelf.usual());
    }

    /** Each is near to its neighbour, and yet the first is far from the last: a chain of them is no single outcome. */
    @Test
    void chainOfNeighboursIsCutAtItsWidestGap() {
        Outcomes outcomes = ofNumbers(0.5, 1.6, 2.8, 4.9);
        assertThat(outcomes.count()).isEqualTo(2);
        assertThat(((Prediction.Number) outcomes.representative(1)).mean()).isEqualTo(4.9);
        assertThat(outcomes.common(open(1), open(3))).isLessThan(0.1);
        assertThat(outcomes.common(open(1), open(2))).isGreaterThan(0.8);
    }

    /** A number a standard deviation below a cut lies above it in 15.87 of a hundred (table of the normal distribution). */
    @Test
    void whatLiesNearACutFallsToEitherSide() {
        double misread = 0.02;
        Outcomes outcomes = Outcomes.of(chain.space(), id -> id.equals(open(2)) ? new Prediction.Number(3, 3)
                : new Prediction.Number(chain.space().place(id) == 0 ? 0 : 9, 0.5), new ErrorModel(misread), Shelf.usual());
        assertThat(outcomes.count()).isEqualTo(2);
        assertThat(outcomes.chance(1, open(2))).as("the cut is at 6").isCloseTo(misread / 2 + (1 - misread) * 0.158655, within(1e-5));
    }

    @Test
    void pairFallsWhereItsFirstBreakIs() {
        HypothesisId pair = chain.space().pair("open-2", "open-5");
        assertThat(at("n3").chance(0, pair)).isGreaterThan(0.9);
        assertThat(at("n1").chance(1, pair)).isGreaterThan(0.9);
        double[][] chances = at("n3").chances(List.of(pair, open(2)), new int[] {-1, chain.space().place(open(2))});
        assertThat(chances[0]).isEqualTo(chances[1]);
    }
}
