package bricksignal.core.diagnosis.proof;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Something at one end and nothing at the other, at one moment, proves a conductor open; either alone does not (common practice). */
class BothEndsTest {

    private final CompiledPack chain = ChainUnit.of(5, 0);

    private Optional<ProofItem> item(Diagnosis diagnosis, String fault) {
        Fault of = chain.model().faults().stream().filter(f -> f.id().equals(fault)).findFirst().orElseThrow();
        Part part = chain.model().part(of.part());
        HypothesisId leader = new HypothesisId.Single(fault);
        return BothEnds.item(diagnosis, new DirectEvidence(diagnosis, leader, of, List.of(leader)), of, part);
    }

    private Diagnosis after(Object... netsAndVolts) {
        Diagnosis diagnosis = Diagnosis.of(chain);
        for (int i = 0; i < netsAndVolts.length; i += 2) {
            diagnosis = diagnosis.and(ChainUnit.volts(chain, (String) netsAndVolts[i], ((Number) netsAndVolts[i + 1]).doubleValue()));
        }
        return diagnosis;
    }

    @Test
    void liveAtOneEndAndDeadAtTheOtherIsShown() {
        Diagnosis diagnosis = after("n2", 24, "n3", 0);
        assertThat(diagnosis.leader()).isEqualTo(new HypothesisId.Single("open-3"));
        assertThat(item(diagnosis, "open-3")).hasValueSatisfying(item -> assertThat(item.proven()).isTrue());
    }

    /** The end that was not read is what it asks for, and never the one that was. */
    @ParameterizedTest
    @CsvSource({"n2, 24, n3", "n3, 0, n2"})
    void oneEndAloneAsksForTheOther(String net, double volts, String other) {
        Diagnosis diagnosis = after("n1", 24, "n4", 0, net, volts);
        assertThat(item(diagnosis, "open-3")).hasValueSatisfying(item -> {
            assertThat(item.proven()).isFalse();
            assertThat(item.tests()).contains("v." + other + "." + ChainUnit.FOUND).doesNotContain("v." + net + "." + ChainUnit.FOUND);
        });
    }

    /** Farther out the same two numbers say that the fault lies between, and not in which of the wires. */
    @Test
    void endsOfALongerStretchDoNotProveOneWire() {
        assertThat(item(after("n1", 24, "n4", 0), "open-3")).hasValueSatisfying(item -> assertThat(item.proven()).isFalse());
    }

    @Test
    void loadHasNoTwoEnds() {
        assertThat(item(after("n5", 24), "coil-open")).isEmpty();
    }
}
