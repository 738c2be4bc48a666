package bricksignal.core.diagnosis.plan;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Setup;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PlannerTest {

    private final CompiledPack chain = ChainUnit.of(7, 0);
    private final Planner planner = Planner.of(chain, Policy.defaults());

    private Proposal best(Diagnosis diagnosis) {
        return planner.proposals(diagnosis, Stand.AS_FOUND).get(0);
    }

    private static int place(Proposal proposal) {
        Place.Across across = (Place.Across) ((bricksignal.core.unit.Test.Reading) proposal.test()).place();
        return Integer.parseInt(across.red().substring(1));
    }

    /** Seven wires of weight one, and three more beyond the last: half the weight lies before the fifth point (half-splitting). */
    @Test
    void firstReadingSplitsTheChainInHalf() {
        assertThat(place(best(Diagnosis.of(chain)))).isBetween(4, 6);
    }

    /** A search in a row of eight places takes three readings, and one more for doubt. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7})
    void openWireIsBracketedInFewReadings(int wire) {
        Diagnosis diagnosis = Diagnosis.of(chain);
        HypothesisId truth = new HypothesisId.Single("open-" + wire);
        int readings = 0;
        while (diagnosis.belief(truth) < 0.8 && readings < 7) {
            int at = place(best(diagnosis));
            diagnosis = diagnosis.and(ChainUnit.volts(chain, "n" + at, at < wire ? 24 : 0));
            readings++;
        }
        assertThat(diagnosis.leader()).isEqualTo(truth);
        assertThat(readings).isLessThanOrEqualTo(5);
    }

    @Test
    void whatWasMeasuredIsNotProposedAgain() {
        Diagnosis diagnosis = Diagnosis.of(chain, List.of(ChainUnit.volts(chain, "n4", 24)));
        assertThat(planner.proposals(diagnosis, Stand.AS_FOUND)).noneMatch(p -> p.test().id().equals("v.n4." + ChainUnit.FOUND));
    }

    @Test
    void testThatTellsNothingIsNotProposed() {
        Diagnosis diagnosis = Diagnosis.of(chain, List.of(ChainUnit.volts(chain, "n4", 24), ChainUnit.volts(chain, "n7", 0)));
        Proposal upstream = planner.weigh(chain.catalogue().test("v.n1." + ChainUnit.FOUND), diagnosis, Stand.AS_FOUND);
        assertThat(upstream.saving()).isNegative();
        assertThat(place(best(diagnosis))).isBetween(5, 6);
    }

    @Test
    void moreKnowledgeNeverRaisesTheExpectedCostByMoreThanTheTest() {
        Diagnosis before = Diagnosis.of(chain);
        Proposal best = best(before);
        assertThat(best.saving()).isPositive();
        double after = best.branches().stream().mapToDouble(branch -> {
            Diagnosis then = before.and(ChainUnit.volts(chain, "n" + place(best), branch.outcome() == 0 ? 0 : 24));
            return branch.probability() * planner.costToGo(then);
        }).sum();
        assertThat(after + best.cost()).as("cost of going on after the test, on the average").isLessThan(planner.costToGo(before));
    }

    /** By hand: a wire costs its price and minutes with the try-out; most probable for its cost comes first (p over c). */
    @Test
    void partsAreRepairedInOrderOfProbabilityForCost() {
        Diagnosis diagnosis = Diagnosis.of(chain, List.of(ChainUnit.volts(chain, "n2", 24), ChainUnit.volts(chain, "n3", 0)));
        assertThat(planner.repairOrder(diagnosis).get(0)).isEqualTo("wire-3");
        Policy policy = Policy.defaults();
        assertThat(planner.repairCost("wire-3")).isEqualTo(2 + (5 + policy.verifyMinutes()) * policy.labourPerMinute());
        assertThat(planner.repairCost("board")).isGreaterThan(planner.repairCost("coil"));
    }

    @Test
    void kindThatTheCompanyForbidsIsNotProposed() {
        Policy usual = Policy.defaults();
        Policy strict = new Policy(usual.labourPerMinute(), usual.tripCost(), usual.verifyMinutes(), usual.mistakeCost(),
                java.util.Set.of(bricksignal.core.unit.Test.Sense.SUBSTITUTE, bricksignal.core.unit.Test.Sense.CYCLES), usual.school());
        assertThat(Planner.of(chain, strict).proposals(Diagnosis.of(chain), Stand.AS_FOUND)).noneMatch(p -> p.test()
                instanceof bricksignal.core.unit.Test.Check check && strict.notAllowed().contains(check.sense()));
    }

    @Test
    void powerOffCostsAMinuteAndAPlugHalfOfOne() {
        var base = (bricksignal.core.unit.Test.Reading) chain.catalogue().test("v.n3." + ChainUnit.FOUND);
        double live = TestCost.minutes(chain, base, Stand.AS_FOUND);
        assertThat(TestCost.minutes(chain, base, new Stand(new Setup(true, List.of()), null))).isEqualTo(live + 1);
        var unplugged = new bricksignal.core.unit.Test.Reading("x", base.label(), base.mode(), base.place(), base.moment(),
                new Setup(false, List.of("P1")), 0, 0);
        assertThat(TestCost.minutes(chain, unplugged, Stand.AS_FOUND)).isEqualTo(live + 0.5);
        assertThat(TestCost.minutes(chain, unplugged, new Stand(new Setup(false, List.of("P1")), null))).isEqualTo(live);
    }
}
