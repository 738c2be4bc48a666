package bricksignal.core.diagnosis.proof;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Fault;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A number at the part is evidence against whom it tells: what a living rival would show as well says nothing (common practice, no published source). */
class DirectEvidenceTest {

    private final CompiledPack chain = ChainUnit.of(5, 0);

    private DirectEvidence evidence(Diagnosis diagnosis, String fault) {
        Fault of = chain.model().faults().stream().filter(f -> f.id().equals(fault)).findFirst().orElseThrow();
        HypothesisId leader = new HypothesisId.Single(fault);
        return new DirectEvidence(diagnosis, leader, of, List.of(leader));
    }

    private Diagnosis after(Object... netsAndVolts) {
        Diagnosis diagnosis = Diagnosis.of(chain);
        for (int i = 0; i < netsAndVolts.length; i += 2) {
            diagnosis = diagnosis.and(ChainUnit.volts(chain, (String) netsAndVolts[i], ((Number) netsAndVolts[i + 1]).doubleValue()));
        }
        return diagnosis;
    }

    private ProofItem item(Diagnosis diagnosis, String fault) {
        return evidence(diagnosis, fault).item(chain.model().part(chain.model().faults().stream().filter(f -> f.id().equals(fault)).findFirst().orElseThrow().part()));
    }

    /** Nothing behind wire 3: wire 1 and wire 2 would show that too, until something in front of wire 3 says that they are whole. */
    @Test
    void nothingBehindAWireIsEvidenceOnlyOnceTheWiresBeforeAreWhole() {
        assertThat(item(after("n3", 0), "open-3").proven()).isFalse();
        assertThat(item(after("n3", 0, "n2", 24), "open-3").proven()).isTrue();
    }

    @Test
    void itAsksForTestsAtThePartThatWereNotMade() {
        ProofItem item = item(after("n1", 24), "open-3");
        assertThat(item.proven()).isFalse();
        assertThat(item.tests()).contains("v.n3." + ChainUnit.FOUND).doesNotContain("v.n1." + ChainUnit.FOUND, "v.n5." + ChainUnit.FOUND);
    }

    /** What speaks against the part is no evidence for it, at whatever place. */
    @Test
    void whatSpeaksAgainstThePartIsNoEvidenceForIt() {
        Diagnosis whole = after("n2", 24, "n3", 24);
        assertThat(item(whole, "open-3").proven()).isFalse();
        assertThat(evidence(whole, "open-3").speaks(ChainUnit.volts(chain, "n3", 24))).isFalse();
        assertThat(evidence(whole, "open-3").speaks(ChainUnit.volts(chain, "n3", 0))).isTrue();
    }

    /** A coil with all its volts that does nothing: what every wire, were it open, would not show. */
    @Test
    void loadThatHasItsPowerIsShown() {
        assertThat(item(after("n5", 24), "coil-open").proven()).isTrue();
        assertThat(item(after("n5", 12), "coil-open").proven()).as("half of it is no supply").isFalse();
        assertThat(item(after("n4", 24), "coil-open").proven()).as("a wire before it").isFalse();
    }

    @Test
    void partsOfOneGroupAreNoRivals() {
        HypothesisId three = new HypothesisId.Single("open-3");
        HypothesisId four = new HypothesisId.Single("open-4");
        assertThat(DirectEvidence.blamesTheSame(chain, List.of(three), three)).isTrue();
        assertThat(DirectEvidence.blamesTheSame(chain, List.of(three), four)).isFalse();
        assertThat(DirectEvidence.blamesTheSame(chain, List.of(new HypothesisId.Single("coil-open")), new HypothesisId.Single("nothing"))).as("the same part").isTrue();
    }

    @Test
    void testCouldTellWhereTheFaultChangesWhatItShows() {
        DirectEvidence of = evidence(Diagnosis.of(chain), "open-3");
        assertThat(of.couldTell(ChainUnit.volts(chain, "n4", 0).test())).isTrue();
        assertThat(of.couldTell(ChainUnit.volts(chain, "n1", 0).test())).isFalse();
    }

    /** An effect is asked for where some test shows it. */
    @Test
    void effectIsSeenInWhatTheUnitDoes() {
        CompiledPack unit = BoardUnit.compiled();
        HypothesisId leader = new HypothesisId.Single("wire-open");
        Fault of = unit.model().faults().stream().filter(f -> f.id().equals("wire-open")).findFirst().orElseThrow();
        Diagnosis nothing = Diagnosis.of(unit);
        assertThat(new DirectEvidence(nothing, leader, of, List.of(leader)).effect(unit.model().part("wire"))).hasValueSatisfying(item -> {
            assertThat(item.proven()).isFalse();
            assertThat(item.tests()).contains("v.W." + BoardUnit.CALLING);
        });
        Diagnosis seen = nothing.and(BoardUnit.volts(unit, "W", BoardUnit.CALLING, 0));
        assertThat(new DirectEvidence(seen, leader, of, List.of(leader)).effect(unit.model().part("wire"))).hasValueSatisfying(item -> assertThat(item.proven()).isTrue());
    }
}
