package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.unit.Test.Reading;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DiagnosisTest {

    private final CompiledPack chain = ChainUnit.of(6, 0.5);

    private HypothesisId open(int wire) {
        return new HypothesisId.Single("open-" + wire);
    }

    private Observation volts(String net, double volts) {
        return ChainUnit.volts(chain, net, volts);
    }

    private static double sum(Diagnosis diagnosis) {
        return diagnosis.hypotheses().stream().mapToDouble(diagnosis::belief).sum();
    }

    @Test
    void beforeAnythingIsKnownBeliefIsThePrior() {
        Diagnosis nothing = Diagnosis.of(chain);
        assertThat(sum(nothing)).isCloseTo(1, within(1e-12));
        assertThat(nothing.belief(open(1)) / nothing.belief(new HypothesisId.Intermittent("open-1"))).isCloseTo(2, within(1e-9));
        assertThat(nothing.leader()).isEqualTo(new HypothesisId.Single("coil-open"));
    }

    @Test
    void voltageBeforeAWireAndNoneBehindItNamesTheWire() {
        Diagnosis diagnosis = Diagnosis.of(chain, List.of(volts("n2", 24), volts("n3", 0)));
        assertThat(diagnosis.leader()).isEqualTo(open(3));
        assertThat(diagnosis.belief(open(3)) + diagnosis.belief(new HypothesisId.Intermittent("open-3"))).isGreaterThan(0.8);
        assertThat(sum(diagnosis)).isCloseTo(1, within(1e-9));
    }

    /** By hand: two readings in a hundred are simply wrong, so one reading moves the odds by about the density against its floor. */
    @Test
    void oneReadingIsNotFatal() {
        Diagnosis diagnosis = Diagnosis.of(chain, List.of(volts("n6", 24)));
        assertThat(diagnosis.belief(open(3))).isBetween(1e-5, 0.02);
    }

    @Test
    void orderOfIndependentReadingsDoesNotMatter() {
        List<Observation> seen = new ArrayList<>(List.of(volts("n1", 24), volts("n4", 0.1), volts("n2", 23.5), volts("n6", 0),
                volts("n3", 24.2)));
        Diagnosis inOrder = Diagnosis.of(chain, seen);
        Collections.shuffle(seen, new Random(4));
        Diagnosis shuffled = Diagnosis.of(chain, seen);
        assertThat(shuffled.hypotheses()).containsExactlyInAnyOrderElementsOf(inOrder.hypotheses());
        inOrder.hypotheses().forEach(h -> assertThat(shuffled.belief(h)).isCloseTo(inOrder.belief(h), within(1e-9)));
    }

    @Test
    void afterARepairBeliefGoesOnOverWhatIsLeft() {
        Diagnosis repaired = Diagnosis.of(chain, List.of(volts("n2", 24), volts("n3", 0), new Observation.Repaired("wire-3")));
        assertThat(repaired.belief(open(3))).isZero();
        assertThat(repaired.leader()).isEqualTo(chain.space().nothing());
        assertThat(repaired.sinceRepair()).isEmpty();
        Diagnosis still = repaired.and(volts("n6", 0));
        assertThat(still.belief(chain.space().nothing())).isLessThan(0.5);
        assertThat(sum(still)).isCloseTo(1, within(1e-9));
    }

    @Test
    void testIsAnsweredOnce() {
        Reading atTwo = ((Observation.Reading) volts("n2", 0)).test();
        assertThat(Diagnosis.of(chain).answered(atTwo)).isFalse();
        assertThat(Diagnosis.of(chain, List.of(volts("n2", 24))).answered(atTwo)).isTrue();
    }

    @Test
    void readingThatDoesNotFitMayBeRepeatedOnce() {
        CompiledPack steady = ChainUnit.of(6, 0);
        Observation.Reading odd = ChainUnit.volts(steady, "n2", 0);
        Diagnosis diagnosis = Diagnosis.of(steady, List.of(ChainUnit.volts(steady, "n1", 24), odd, ChainUnit.volts(steady, "n3", 24),
                ChainUnit.volts(steady, "n4", 24)));
        assertThat(diagnosis.contradictions()).containsExactly(odd);
        assertThat(diagnosis.answered(odd.test())).isFalse();
        assertThat(diagnosis.and(ChainUnit.volts(steady, "n2", 24)).answered(odd.test())).isTrue();
    }

    @Test
    void whatTheUnitDoesNotKnowIsSaid() {
        assertThatThrownBy(() -> chain.space().get(new HypothesisId.Single("flood"))).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("flood");
        assertThatThrownBy(() -> chain.catalogue().test("v.nowhere.calling")).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("v.nowhere.calling");
    }

    /** What pairs leave behind is bounded, however many are asked for. */
    @Test
    void pairsLeaveNoSolvedStatesBehind() {
        int states = chain.solvedStates().size();
        for (int a = 1; a <= 6; a++) {
            for (int b = a + 1; b <= 6; b++) {
                HypothesisId pair = chain.space().pair("open-" + a, "open-" + b);
                Prediction there = chain.predictions().of(((Observation.Reading) volts("n" + a, 0)).test(), pair);
                assertThat(((Prediction.Number) there).mean()).isCloseTo(0, within(0.1));
            }
        }
        assertThat(chain.solvedStates().size()).isEqualTo(states);
    }

    /** A free reading of a pair needs its circuit, which is not kept: it is run anew and says the same as one that is foreseen. */
    @Test
    void freeReadingOfAPairIsReadOffItsCircuit() {
        HypothesisId pair = chain.space().pair("open-2", "open-5");
        Reading free = chain.catalogue().free(bricksignal.core.circuit.solve.MeterMode.AC_VOLTS,
                new bricksignal.core.unit.Place.Across("n6", "n1"), ChainUnit.FOUND, bricksignal.core.unit.Setup.AS_IT_IS);
        assertThat(((Prediction.Number) chain.predictions().of(free, pair)).mean()).isGreaterThan(20);
    }
}
