package bricksignal.packs;

import static bricksignal.packs.F1.answer;
import static bricksignal.packs.F1.belief;
import static bricksignal.packs.F1.lamp;
import static bricksignal.packs.F1.reading;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.advice.Why;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.ProofItem;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Setup;
import bricksignal.core.words.Message;
import java.util.List;
import org.junit.jupiter.api.Test;

class F1DiagnosisTest {

    private static final Planner PLANNER = Planner.of(F1.PACK, Policy.defaults());

    private static Verdict verdict(Diagnosis diagnosis) {
        return ProofGate.verdict(diagnosis);
    }

    private static String leader(Diagnosis diagnosis) {
        return verdict(diagnosis).leader().text();
    }

    // --- three faults walked by hand -----------------------------------------------------------------------------------

    @Test
    void igniterWithLineVoltageAndOpenResistanceIsTheIgniter() {
        Diagnosis d = lamp("7 flashes").and(answer("see-glow", false)).and(reading("v.hsi-plug.warm-up", 118.5));
        assertThat(leader(d)).isEqualTo("igniter-open");
        d = d.and(reading("ohms-igniter", Double.POSITIVE_INFINITY));
        assertThat(verdict(d).status()).isEqualTo(Verdict.Status.PROVEN);
        assertThat(leader(d)).isEqualTo("igniter-open");
        assertThat(verdict(d).untested()).as("what never had power").doesNotContain("inducer");
    }

    @Test
    void draftBelowTheMarkIsNotTheDraftSwitch() {
        Diagnosis d = lamp("4 flashes").and(answer("hear-inducer", true)).and(reading("draft-gauge", 0.38));
        assertThat(belief(d, "draft-open")).as("measured draft below its mark: not the switch").isLessThan(0.01);
        assertThat(belief(d, "hose-leaks") + belief(d, "vent-blocked")).isGreaterThan(0.95);
    }

    @Test
    void draftAboveTheMarkWithOpenContactsIsTheSwitch() {
        Diagnosis d = lamp("4 flashes").and(answer("hear-inducer", true)).and(reading("draft-gauge", 0.95))
                .and(reading("v.ps-com.purge", 27.2)).and(reading("v.ps-no.purge", 0.1));
        assertThat(leader(d)).isEqualTo("draft-open");
        assertThat(ProofGate.verdict(d, School.USUAL).status()).isEqualTo(Verdict.Status.PROVEN);
        assertThat(verdict(d).items()).as("the strict read once more what it hangs on, and ask for nothing else").filteredOn(item -> !item.proven()).isNotEmpty().allMatch(ProofItem::again);
    }

    @Test
    void darkBoardWithALiveTransformerAndADeadRIsTheFuse() {
        Diagnosis d = lamp("off").and(reading("v.SEC.standby", 27.4)).and(reading("v.R.standby", 0));
        assertThat(d.ranking().subList(0, 4)).as("open by itself, or blown by what is found open and stays so").contains(F1.place("fuse-open"), d.now(F1.place("wires-shorted")),
                d.now(F1.place("w-shorted")), d.now(F1.place("y-shorted")));
        d = d.and(answer("try-fuse", false));
        assertThat(leader(d)).isEqualTo("wires-shorted");
    }

    // --- the board ---------------------------------------------------------------------------------------------------

    /** Output dead as read twice, and every input but one proven at the board's own pins. */
    private static Diagnosis deadIgniterOutputBut(String... left) {
        List<Observation> all = List.of(answer("see-glow", false), answer("hear-valve", true),
                reading("v.R.standby", 27.3), reading("v.W.purge", 27.2),
                reading("v.HLI.purge", 27.2), reading("v.PSI.warm-up", 27.1), reading("v.HSI.warm-up", 0),
                reading("ohms-igniter", 51), answer("reseat-P3", false), answer("reseat-P1", false));
        Diagnosis d = lamp("7 flashes");
        for (Observation o : all) {
            String id = o instanceof Observation.Reading r ? r.test().id() : ((Observation.Answer) o).test().id();
            if (!List.of(left).contains(id)) {
                d = d.and(o);
            }
        }
        return d.and(reading("v.HSI.warm-up", 0.1));
    }

    @Test
    void boardHangsOnNoSingleReading() {
        List<Observation> made = deadIgniterOutputBut().observations();
        Verdict once = verdict(Diagnosis.of(F1.PACK, made.subList(0, made.size() - 1)));
        assertThat(once.status()).isEqualTo(Verdict.Status.INDICATED);
        assertThat(once.items()).filteredOn(item -> !item.proven()).singleElement().matches(ProofItem::again)
                .satisfies(item -> assertThat(item.tests()).containsExactly("v.HSI.warm-up"));
    }

    @Test
    void boardWithEveryInputProvenAndADeadOutputIsTheBoard() {
        // common practice: a furnace whose output is dead with all inputs proven is a board
        Diagnosis d = deadIgniterOutputBut();
        assertThat(leader(d)).isEqualTo("board-igniter");
        assertThat(verdict(d).status()).isEqualTo(Verdict.Status.PROVEN);
        assertThat(verdict(d).items()).hasSizeGreaterThanOrEqualTo(6).allMatch(ProofItem::proven);
    }

    @Test
    void boardIsNotCondemnedWhileOneInputIsUnproven() {
        Diagnosis d = deadIgniterOutputBut("v.W.purge");
        assertThat(leader(d)).isEqualTo("board-igniter");
        assertThat(verdict(d).status()).isEqualTo(Verdict.Status.INDICATED);
        assertThat(verdict(d).items()).filteredOn(item -> !item.proven()).singleElement().satisfies(item -> {
            assertThat(item.what().toString()).contains("W on the board");
            assertThat(item.tests()).contains("v.W.purge");
        });
        Advice advice = Advice.of(d, PLANNER, Stand.AS_FOUND);
        assertThat(advice.purpose()).isEqualTo(Advice.Purpose.PROVE);
        assertThat(advice.proposals().get(0).test().id()).isEqualTo("v.W.purge");
    }

    @Test
    void boardIsNotEvenIndicatedWhileTheDraftItNeedsIsUnknown() {
        assertThat(verdict(deadIgniterOutputBut("v.PSI.warm-up")).status()).isNotEqualTo(Verdict.Status.PROVEN);
    }

    @Test
    void boardIsNotCondemnedBeforeItsConnectorIsReseated() {
        Verdict verdict = verdict(deadIgniterOutputBut("reseat-P3"));
        assertThat(verdict.status()).isEqualTo(Verdict.Status.INDICATED);
        assertThat(verdict.items()).anyMatch(item -> !item.proven() && item.what().toString().contains("P3"));
    }

    @Test
    void boardIsNotCondemnedWhileItsLoadMayBeShorted() {
        assertThat(verdict(deadIgniterOutputBut("ohms-igniter")).status()).isEqualTo(Verdict.Status.INDICATED);
    }

    @Test
    void untestedDownstreamIsNamed() {
        // the valve has its 24 V in each trial, the blower never runs, the igniter is known from its resistance
        assertThat(verdict(deadIgniterOutputBut()).untested()).contains("blower")
                .doesNotContain("inducer", "gas-valve", "igniter");
        assertThat(verdict(deadIgniterOutputBut("ohms-igniter")).untested()).contains("igniter");
    }

    // --- belief --------------------------------------------------------------------------------------------------------

    @Test
    void misreadDoesNotKillTheTrueCause() {
        Diagnosis d = lamp("7 flashes").and(answer("see-glow", false)).and(reading("ohms-igniter", Double.POSITIVE_INFINITY));
        assertThat(belief(d, "igniter-open")).isGreaterThan(0.9);
        Diagnosis misread = d.and(reading("v.hsi-plug.warm-up", 3.1));
        assertThat(belief(misread, "igniter-open")).isGreaterThan(0.02);
        Diagnosis mended = misread.and(reading("v.HSI.warm-up", 118)).and(answer("see-igniter", true));
        assertThat(leader(mended)).isEqualTo("igniter-open");
        assertThat(mended.contradictions()).as("the reading worth repeating").anySatisfy(o -> assertThat(o)
                .isEqualTo(reading("v.hsi-plug.warm-up", 3.1)));
    }

    @Test
    void beliefsSumToOneAndTheOrderOfReadingsDoesNotMatter() {
        Observation a = reading("v.R.standby", 27);
        Observation b = answer("hear-inducer", true);
        Diagnosis one = lamp("4 flashes").and(a).and(b);
        Diagnosis other = Diagnosis.of(F1.PACK, List.of(b, a, one.observations().get(0)));
        double sum = 0;
        for (Hypothesis considered : F1.PACK.space().considered()) {
            HypothesisId h = considered.id();
            sum += one.belief(one.now(h));
            assertThat(one.belief(one.now(h))).isCloseTo(other.belief(other.now(h)), within(1e-12));
        }
        assertThat(sum).isCloseTo(1, within(1e-12));
    }

    @Test
    void priorBeforeAnythingIsKnown() {
        Diagnosis nothing = Diagnosis.of(F1.PACK, List.of());
        double singles = F1.PACK.space().considered().stream().mapToDouble(Hypothesis::prior).sum();
        assertThat(singles).as("the rest is for pairs").isCloseTo(0.97, within(1e-9));
        for (Hypothesis considered : F1.PACK.space().considered()) {
            HypothesisId h = considered.id();
            assertThat(nothing.belief(nothing.now(h))).isCloseTo(considered.prior() / singles, within(1e-12));
        }
        double boards = F1.PACK.space().considered().stream().filter(Hypothesis::blamesBoard).mapToDouble(Hypothesis::prior).sum();
        assertThat(boards).as("boards are blamed far more often than they are at fault").isLessThan(0.05);
    }

    // --- the planner ---------------------------------------------------------------------------------------------------

    @Test
    void savingIsNeverMoreThanTheCostToGo() {
        Diagnosis d = lamp("7 flashes");
        double now = PLANNER.costToGo(d);
        assertThat(PLANNER.proposals(d, Stand.AS_FOUND)).isNotEmpty().allSatisfy(p -> {
            assertThat(p.saving()).isLessThan(now);
            assertThat(p.bits()).isBetween(0.0, Math.log(F1.PACK.space().considered().size()) / Math.log(2));
            assertThat(p.branches().stream().mapToDouble(Proposal.Branch::probability).sum()).isCloseTo(1, within(0.01));
        });
    }

    @Test
    void powerThatIsOffAlreadyMakesTheNextOhmsCheaper() {
        bricksignal.core.unit.Test ohms = F1.PACK.catalogue().test("ohms-igniter");
        Stand off = new Stand(new Setup(true, List.of()), null);
        assertThat(TestCost.minutes(F1.PACK, ohms, off)).isLessThan(TestCost.minutes(F1.PACK, ohms, Stand.AS_FOUND));
    }

    @Test
    void whyNamesTheSuspectsThatTheTestSplits() {
        Diagnosis d = lamp("4 flashes");
        Proposal first = PLANNER.proposals(d, Stand.AS_FOUND).get(0);
        assertThat(first.branches()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(((Message.Keyed) Why.of(d, Advice.Purpose.SPLIT, first)).key()).isEqualTo("why.splits");
        assertThat(first.branches()).anyMatch(branch -> branch.suspects().contains(F1.place("hose-leaks")));
    }
}
