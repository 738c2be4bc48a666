package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.Told;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.unit.Fault;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** A call placed and watched by the clock, and the switches that are looked at. */
class WatchedSequenceTest {

    private static final Compiled F1 = Compiled.of("f1-furnace");
    private static final CompiledPack PACK = F1.pack();

    @Test
    void sequenceIsProposedWhileTheRunIsOpenAndNotAgainOnceItWasWatched() {
        Diagnosis d = Diagnosis.of(PACK, List.of());
        var sequence = PACK.catalogue().test("watch.sequence");
        Planner planner = Planner.of(PACK, Policy.defaults());
        assertThat(planner.proposals(d, Stand.AS_FOUND)).anyMatch(p -> p.test().equals(sequence) && p.bits() > 1);
        Diagnosis watched = d.and(F1.exact("igniter-open", sequence));
        assertThat(watched.answered(sequence)).isTrue();
        assertThat(planner.proposals(watched, Stand.AS_FOUND)).noneMatch(p -> p.test().equals(sequence));
        assertThat(watched.answered(sequence)).isTrue();
        assertThat(watched.and(new Observation.Repaired("igniter")).answered(sequence)).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"igniter-open, MISSING, igniter", "rod-coated, STOPS_AGAIN, gas valve", "nothing-now, IN_TIME, ''",
        "board-blower-welded, RUNS_BEFORE, blower", "capacitor-open, MISSING, blower"})
    void storyOfAWatchedRunIsTheFirstThingThatIsNotAsItShouldBe(String fault, Told.Kind kind, String channel) {
        var prediction = (Prediction.Choice) PACK.predictions().of(PACK.catalogue().test("watch.sequence"), F1.place(fault));
        assertThat(prediction.likeliest()).isEqualTo(new Told(kind, channel));
    }

    /** In one run an intermittent fault is there or not: a good run tells as much against it as its duty, not more. */
    @Test
    void goodRunTellsAgainstAnIntermittentOnlyOnce() {
        Diagnosis before = Diagnosis.of(PACK, List.of());
        Diagnosis after = before.and(F1.exact("nothing-now", PACK.catalogue().test("watch.sequence")));
        HypothesisId loose = new HypothesisId.Intermittent("pin-igniter");
        double odds = after.belief(loose) / after.belief(PACK.space().nothing()) / (before.belief(loose) / before.belief(PACK.space().nothing()));
        double duty = PACK.space().get(loose).duty();
        assertThat(odds).isCloseTo(1 - duty, within(0.02));
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void soundUnitIsSeenToDoEverythingInTime(String id) {
        Compiled unit = Compiled.of(id);
        CompiledPack pack = unit.pack();
        List<Observation> seen = pack.seenOf(pack.nominal());
        assertThat(seen).isNotEmpty().allMatch(o -> o instanceof Observation.Event);
        assertThat(seen.stream().filter(o -> ((Observation.Event) o).begins()).count()).isEqualTo(pack.seenInSequence().size());
        assertThat(((Prediction.Choice) pack.predictions().nominal(pack.catalogue().test("watch.sequence"))).likeliest()).isEqualTo(Told.IN_TIME);
    }

    /** What a person cannot see is not asked of a person. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void onlyWhatIsSeenOrHeardIsWatched(String id) {
        assertThat(Compiled.of(id).pack().seenInSequence()).allSatisfy(channel -> assertThat(channel.when().names())
                .noneMatch(name -> name.startsWith("in.") || name.startsWith("powered.") || name.startsWith("state.")));
    }

    /** A board of another generation that keeps slower or quicker times throughout is not set wrong. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void wholeRunAtAnotherPaceDoesNotSpeakForASwitchSetWrong(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        Diagnosis before = Diagnosis.of(pack, List.of());
        for (double pace : new double[] {0.7, 1.3, 1.5}) {
            Diagnosis after = before.and(pack.seenOf(pack.nominal()).stream().map(Observation.Event.class::cast)
                    .map(e -> (Observation) new Observation.Event(e.channel(), e.begins(), pace * e.afterCall())).toList());
            for (Hypothesis h : pack.space().faults()) {
                if (h.fault().kind() == Fault.Kind.SET_WRONG) {
                    double odds = after.belief(h.id()) / after.belief(pack.space().nothing())
                            / (before.belief(h.id()) / before.belief(pack.space().nothing()));
                    assertThat(odds).as(h.id().text() + " at pace " + pace).isLessThan(3);
                }
            }
        }
    }

    /** What a fault shows in a watched run hardly speaks against it, even where it is only a little slow. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void ownStoryNeverSpeaksAgainstAFault(String id) {
        Compiled unit = Compiled.of(id);
        CompiledPack pack = unit.pack();
        Diagnosis before = Diagnosis.of(pack, List.of());
        for (Hypothesis fault : pack.space().faults()) {
            HypothesisId place = fault.id();
            Diagnosis after = before.and(unit.exact(place, pack.catalogue().test("watch.sequence")));
            double odds = after.belief(place) / after.belief(pack.space().nothing()) / (before.belief(place) / before.belief(pack.space().nothing()));
            assertThat(odds).as(place.text()).isGreaterThan(0.7);
        }
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void storiesOfAllSuspectsAreOutcomesOfTheTest(String id) {
        CompiledPack pack = Compiled.of(id).pack();
        var test = pack.catalogue().test("watch.sequence");
        var outcomes = pack.predictions().outcomes(test);
        for (Hypothesis considered : pack.space().considered()) {
            HypothesisId place = considered.id();
            var told = ((Prediction.Choice) pack.predictions().of(test, place)).chances();
            assertThat(told.values().stream().mapToDouble(Double::doubleValue).sum()).isCloseTo(1, within(1e-9));
            double best = 0;
            double sum = 0;
            for (int k = 0; k < outcomes.count(); k++) {
                best = Math.max(best, outcomes.chance(k, place));
                sum += outcomes.chance(k, place);
            }
            assertThat(sum).isCloseTo(1, within(1e-9));
            assertThat(best).isGreaterThan(0.55);
        }
    }

    /** Two runs watched are two chances for an intermittent fault. */
    @Test
    void secondRunCountsAnew() {
        List<Observation> run = F1.exact("nothing-now", PACK.catalogue().test("watch.sequence"));
        Diagnosis none = Diagnosis.of(PACK, List.of());
        Diagnosis twice = none.and(run).and(run);
        HypothesisId loose = new HypothesisId.Intermittent("pin-igniter");
        double odds = twice.belief(loose) / twice.belief(PACK.space().nothing()) / (none.belief(loose) / none.belief(PACK.space().nothing()));
        double duty = PACK.space().get(loose).duty();
        assertThat(odds).isCloseTo((1 - duty) * (1 - duty), within(0.02));
    }

    // --- switches ---------------------------------------------------------------------------------------------------------------

    @ParameterizedTest
    @CsvSource({"f1-furnace, delay-long, set.off-delay", "f3-vehicle, purge-long, set.purge", "f9-airhandler, air-low, set.air",
        "f12-minisplit, fan-slow, set.fan-speed", "f14-rooftop, delay-long, set.fan-delay"})
    void switchThatIsSetWrongIsSeenAtTheSwitch(String id, String fault, String test) {
        Compiled unit = Compiled.of(id);
        Diagnosis before = Diagnosis.of(unit.pack(), List.of());
        Diagnosis d = before.and(unit.exact(fault, unit.pack().catalogue().test(test)));
        assertThat(d.belief(unit.place(fault))).isGreaterThan(10 * before.belief(unit.place(fault)));
        assertThat(unit.pack().model().fault(fault).kind()).isEqualTo(Fault.Kind.SET_WRONG);
    }

    @ParameterizedTest
    @MethodSource("bricksignal.packs.FamiliesTest#packs")
    void everyFamilyThinksOfASwitchThatIsSetWrong(String id) {
        Compiled unit = Compiled.of(id);
        assertThat(unit.pack().model().faults()).anyMatch(fault -> fault.kind() == Fault.Kind.SET_WRONG);
        assertThat(unit.pack().model().settings()).allSatisfy(setting -> assertThat(((Prediction.Chance) unit.pack().predictions().nominal(unit.pack().catalogue().test("set." + setting.id()))).yes()).isLessThan(0.05));
    }
}
