package bricksignal.core.diagnosis.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.unit.Place;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ProofGateTest {

    private final CompiledPack chain = ChainUnit.of(5, 0);

    private Diagnosis after(double... volts) {
        Diagnosis diagnosis = Diagnosis.of(chain);
        for (int i = 0; i < volts.length; i++) {
            diagnosis = Double.isNaN(volts[i]) ? diagnosis : diagnosis.and(ChainUnit.volts(chain, "n" + i, volts[i]));
        }
        return diagnosis;
    }

    @Test
    void nothingIsProvenBeforeAnythingIsMeasured() {
        Verdict verdict = ProofGate.verdict(Diagnosis.of(chain));
        assertThat(verdict.status()).isEqualTo(Verdict.Status.NOT_YET);
        assertThat(verdict.probability()).isLessThan(0.5);
    }

    @Test
    void likelyIsNotProven() {
        Verdict verdict = ProofGate.verdict(after(Double.NaN, Double.NaN, 24, 0));
        assertThat(verdict.leader()).isEqualTo(new HypothesisId.Single("open-3"));
        assertThat(verdict.probability()).isGreaterThan(0.8);
        assertThat(verdict.status()).isNotEqualTo(Verdict.Status.UNEXPLAINED);
    }

    @Test
    void probabilityOfTheGroupIsThatItsPartIsBadAloneOrWithAnother() {
        Diagnosis diagnosis = after(24, 24, 24, 0, 0, 0);
        double bad = diagnosis.hypotheses().stream().filter(h -> diagnosis.hypothesis(h).parts().stream().anyMatch(part -> part.id()
                .equals("wire-3"))).mapToDouble(diagnosis::belief).sum();
        assertThat(ProofGate.verdict(diagnosis).probability()).isCloseTo(bad, within(1e-9));
    }

    /** Led by the advice and read without a mistake, each wire is brought to an end, and no other is ever proven on the way. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void adviceBringsEachWireToItsVerdict(int wire) {
        HypothesisId truth = new HypothesisId.Single("open-" + wire);
        Planner planner = Planner.of(chain, Policy.defaults());
        Diagnosis diagnosis = Diagnosis.of(chain);
        Advice advice = Advice.of(diagnosis, planner, Stand.AS_FOUND);
        for (int i = 0; i < 20 && !advice.done() && !advice.proposals().isEmpty(); i++) {
            diagnosis = diagnosis.and(answer(advice.proposals().get(0).test(), wire, truth));
            advice = Advice.of(diagnosis, planner, Stand.AS_FOUND);
            if (advice.verdict().status() == Verdict.Status.PROVEN) {
                assertThat(advice.verdict().leader()).isEqualTo(truth);
            }
        }
        assertThat(advice.verdict().leader()).isEqualTo(truth);
        assertThat(advice.verdict().probability()).isGreaterThan(ProofGate.ENOUGH);
    }

    private bricksignal.core.diagnosis.Observation answer(bricksignal.core.unit.Test test, int wire, HypothesisId truth) {
        if (test instanceof bricksignal.core.unit.Test.Reading reading && reading.place() instanceof Place.Across across) {
            int at = Integer.parseInt(across.red().substring(1));
            return new bricksignal.core.diagnosis.Observation.Reading(reading, at < wire ? 24 : 0);
        } else if (test instanceof bricksignal.core.unit.Test.Check check) {
            double yes = ((bricksignal.core.diagnosis.Prediction.Chance) chain.predictions().of(check, truth)).yes();
            return new bricksignal.core.diagnosis.Observation.Answer(check, yes >= 0.5);
        }
        return new bricksignal.core.diagnosis.Observation.NotSeen("coil", 40);
    }

    @Test
    void loadThatNeverGotPowerIsUntested() {
        assertThat(ProofGate.verdict(after(24, 24, 24, 0, 0, 0)).untested()).containsExactly("coil");
    }

    @Test
    void whatNothingExplainsNamesNoPart() {
        Diagnosis diagnosis = Diagnosis.of(chain, List.of(ChainUnit.volts(chain, "n1", 11), ChainUnit.volts(chain, "n3", 12),
                ChainUnit.volts(chain, "n4", 11.5), ChainUnit.volts(chain, "n5", 11.2)));
        assertThat(diagnosis.unexplained()).isGreaterThan(0.5);
        assertThat(ProofGate.verdict(diagnosis).status()).isEqualTo(Verdict.Status.UNEXPLAINED);
    }
}
