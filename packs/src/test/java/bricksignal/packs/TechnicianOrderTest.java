package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The first three proposals after each thing that a customer can say, in every family, are those of a technician (common practice, no published source). */
@Execution(ExecutionMode.CONCURRENT)
class TechnicianOrderTest {

    private static final int FIRST = 3;
    /** Nobody waits longer for one test while another tells. */
    private static final double LONG_MINUTES = 5;
    private static final double TELLS_BITS = 0.15;

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void firstProposalsAreATechnicians(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        Planner planner = Planner.of(pack, Policy.defaults());
        List<Diagnosis> visits = new ArrayList<>(List.of(Diagnosis.of(pack)));
        CustomerTest.of(pack.model()).forEach(question -> visits.add(Diagnosis.of(pack, List.of(new Observation.Answer(question, true)))));
        for (Diagnosis visit : visits) {
            List<Proposal> all = Advice.of(visit, planner, Stand.AS_FOUND).proposals();
            for (Proposal proposal : all.subList(0, Math.min(FIRST, all.size()))) {
                judge(visit, proposal, all);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void longWaitSaysWhatToDoMeanwhile(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        List<Proposal> all = Planner.of(pack, Policy.defaults()).proposals(Diagnosis.of(pack), Stand.AS_FOUND);
        Proposal wait = all.stream().filter(proposal -> waited(Diagnosis.of(pack), proposal.test()) > LONG_MINUTES).findFirst().orElse(null);
        if (wait == null) {
            return;   // some units answer at once
        }
        List<Proposal> ranked = new ArrayList<>(all);
        ranked.remove(wait);
        ranked.add(0, wait);
        List<Proposal> meanwhile = new Advice(ProofGate.verdict(Diagnosis.of(pack)), Advice.Purpose.SPLIT, ranked).meanwhile();
        assertThat(meanwhile).hasSizeBetween(1, 3).doesNotContain(wait).allSatisfy(proposal -> {
            assertThat(waited(Diagnosis.of(pack), proposal.test())).as("%s is done at once", proposal.test().id()).isZero();
            assertThat(proposal.test()).as("and leaves the run as it is").isInstanceOfSatisfying(Test.Check.class, check -> assertThat(check.sense()).isIn(Test.Sense.LOOK, Test.Sense.HEAR,
                    Test.Sense.SMELL, Test.Sense.ASK, Test.Sense.COMPLAINT));
        });
        Proposal quick = all.stream().filter(proposal -> waited(Diagnosis.of(pack), proposal.test()) == 0).findFirst().orElseThrow();
        assertThat(new Advice(ProofGate.verdict(Diagnosis.of(pack)), Advice.Purpose.SPLIT, List.of(quick, wait)).meanwhile()).as("what is no wait needs nothing").isEmpty();
    }

    private static void judge(Diagnosis visit, Proposal proposal, List<Proposal> all) {
        Test test = proposal.test();
        String of = test.id() + " after " + visit.observations();
        if (waited(visit, test) > LONG_MINUTES) {
            assertThat(all).as("%s: nobody waits while something else tells", of).noneMatch(other -> waited(visit, other.test()) <= LONG_MINUTES
                    && other.cost() < proposal.cost() && other.bits() >= TELLS_BITS && all.indexOf(other) > all.indexOf(proposal));
        }
        if (test instanceof Test.Check check) {
            assertThat(check.sense().changesAPart()).as("%s: no part is changed before anything is measured", of).isFalse();
            assertThat(check.change().kind()).as("%s: no cord before anything is measured", of).isNotEqualTo(Change.Kind.FED);
            assertThat(check.id()).as("%s: nothing is put right that nobody found", of).doesNotStartWith("gone.").doesNotStartWith("far-off.");
        }
    }

    private static double waited(Diagnosis visit, Test test) {
        boolean watched = test instanceof Test.Sequence || test instanceof Test.Check check && check.sense().watches();
        boolean off = test instanceof Test.Reading reading && reading.setup().powerOff();
        return watched ? test.minutes() : off ? 0 : visit.pack().catalogue().waitingMinutes(test.moment());
    }
}
