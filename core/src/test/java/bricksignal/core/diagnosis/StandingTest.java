package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.unit.Test;
import java.util.List;
import org.junit.jupiter.api.DynamicTest;

/** What is damaged stays damaged, whatever did it, until it is renewed (common practice, no published source). */
class StandingTest {

    private final CompiledPack pack = FusedUnit.compiled();
    private final HypothesisId shorted = new HypothesisId.Single("coil-shorted");
    private final HypothesisId fuse = new HypothesisId.Single("fuse-open");

    private double volts(HypothesisId id, String test) {
        Prediction shown = pack.predictions().of(pack.catalogue().test(test), id);
        return (shown instanceof Prediction.Sometimes sometimes ? sometimes.present() : (Prediction.Number) shown).mean();
    }

    private Observation answer(String test, boolean yes) {
        return BoardUnit.answer(pack, test, yes);
    }

    @org.junit.jupiter.api.Test
    void fuseThatAShortHasBlownIsOpenFromTheStart() {
        HypothesisId found = Diagnosis.of(pack).now(shorted);
        assertThat(found).isEqualTo(new HypothesisId.Spent(shorted));
        assertThat(volts(found, "v.R.standby")).as("nothing calls yet, and the fuse is gone since the last call").isCloseTo(0, within(0.1));
        assertThat(volts(shorted, "v.R.standby")).as("with a new one").isGreaterThan(23);
    }

    /** Dead at rest fits a fuse open by itself and one that a short has blown; a new one that holds at rest leaves both, one that blows on the call the short alone. */
    @org.junit.jupiter.api.Test
    void newFuseTellsTheShort() {
        Diagnosis dead = Diagnosis.of(pack, List.of(BoardUnit.volts(pack, "R", BoardUnit.STANDBY, 0), answer("see-fuse", true)));
        assertThat(dead.belief(dead.now(shorted)) / dead.belief(dead.now(fuse))).as("as likely before as after: 0.95 of the reading, by hand").isCloseTo(0.95, within(0.05));
        Diagnosis holds = dead.and(answer("try-fuse", true));
        assertThat(holds.now(shorted)).as("it is in, and nothing has called yet").isEqualTo(shorted);
        assertThat(holds.now(fuse)).isEqualTo(new HypothesisId.Renewed("fuse-open"));
        assertThat(holds.belief(holds.now(shorted)) / holds.belief(holds.now(fuse))).isCloseTo(0.95, within(0.05));
        Diagnosis blown = holds.and(answer("try-fuse-call", false));
        assertThat(blown.leader()).isEqualTo(new HypothesisId.Spent(shorted));
        assertThat(blown.belief(blown.leader())).isGreaterThan(0.9);
        Diagnosis held = holds.and(answer("try-fuse-call", true));
        assertThat(held.leader()).isEqualTo(new HypothesisId.Renewed("fuse-open"));
        assertThat(volts(held.leader(), "v.R.calling")).as("a fuse that was open by itself is cured by a new one").isGreaterThan(23);
    }

    /** What was read before the new fuse is of the unit as it was then. */
    @org.junit.jupiter.api.Test
    void whatWasFoundIsOfTheUnitAsItStoodThen() {
        Observation dead = BoardUnit.volts(pack, "R", BoardUnit.STANDBY, 0);
        Diagnosis held = Diagnosis.of(pack, List.of(dead, answer("try-fuse", true), answer("try-fuse-call", true)));
        assertThat(held.contradicts(held.observations().get(0), held.leader())).isFalse();
        assertThat(held.answered(pack.catalogue().test("v.R.standby"))).as("it would read otherwise now").isFalse();
    }

    @org.junit.jupiter.api.Test
    void repairOfTheCauseOrOfWhatDiedIsAccountedFor() {
        Diagnosis d = Diagnosis.of(pack, List.of(new Observation.Repaired("coil")));
        assertThat(d.now(shorted)).as("a fuse goes in with the coil").isEqualTo(pack.space().nothing());
        assertThat(Diagnosis.of(pack, List.of(new Observation.Repaired("fuse"))).now(shorted)).as("and blows again on the next call").isEqualTo(shorted);
    }

    /** Records keep the runs of what is found gone too. */
    @org.junit.jupiter.api.Test
    void recordsKnowWhatIsGone() {
        CompiledPack again = CompiledPack.of(FusedUnit.model(), ErrorModel.defaults(), Shelf.usual(), pack.records());
        HypothesisId found = Diagnosis.of(again).now(shorted);
        Test reading = again.catalogue().test("v.R.standby");
        assertThat(again.predictions().of(reading, found)).isEqualTo(pack.predictions().of(reading, found));
    }

    /** What the customer noticed is what the runs show, as often as people are right. */
    @org.junit.jupiter.api.TestFactory
    List<DynamicTest> customerTellsWhatTheRunsShow() {
        return List.of(told("told.fan.runs", "nothing", 0.92), told("told.fan.runs", "relay-open", 0.08), told("told.fan.never-stops", "nothing", 0.08),
                told("told.fan.stops", "coil-shorted", 0.08), told("told.burnt", "coil-shorted", 0.08 + 0.84 * 0.9), told("told.since-work", "coil-open", 0.1));
    }

    private DynamicTest told(String question, String fault, double yes) {
        return DynamicTest.dynamicTest(question + " of " + fault, () -> assertThat(((Prediction.Chance) pack.predictions().of(pack.catalogue().test(question),
                Diagnosis.of(pack).now(new HypothesisId.Single(fault)))).yes()).isCloseTo(yes, within(0.02)));
    }
}
