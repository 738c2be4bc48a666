package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.unit.Test.Check;
import bricksignal.core.unit.Test.Sense;
import bricksignal.core.words.Message;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The tests that come out of a unit's circuit: what is fed directly, what is unhooked, what goes on at rest. Facts of the trade. */
class DerivedTestsTest {

    private static Check check(String pack, String id) {
        return (Check) Compiled.of(pack).pack().catalogue().test(id);
    }

    /** A valve or a coil pulls in on its own voltage unless it is itself at fault; a stuck motor draws its current and does not turn. */
    @ParameterizedTest
    @CsvSource({"f1-furnace, feed.gas-valve, valve-coil, false", "f1-furnace, feed.inducer-motor, inducer-seized, false",
        "f1-furnace, feed.gas-valve, valve-leaks-by, true", "f1-furnace, feed.gas-valve, board-gas, true",
        "f1-furnace, feed.gas-valve, transformer-open, true", "f3-vehicle, feed.blower, blower-stuck, false",
        "f3-vehicle, feed.valve, gas-out, true", "f6-stove, feed.auger, auger-stuck, false",
        "f6-stove, feed.auger, board-feed, true", "f14-rooftop, feed.fan-coil, fan-coil-open, false",
        "f14-rooftop, feed.fan-coil, board-fan, true"})
    void whatIsFedDirectlyAnswersForItselfAlone(String pack, String test, String fault, boolean yes) {
        assertThat(Compiled.of(pack).pack().likeliest(check(pack, test), Compiled.of(pack).pack().space().single(fault)))
                .singleElement().isEqualTo(new bricksignal.core.diagnosis.Observation.Answer(check(pack, test), yes));
    }

    /** No two supplies meet: the unit is off and the plug is off, and both are said; it stands in the strip until it is out. */
    @Test
    void feedingNeverMeetsAnotherSupply() {
        Check feed = check("f1-furnace", "feed.gas-valve");
        assertThat(feed.sense()).isEqualTo(Sense.TRY);
        assertThat(Compiled.of("f1-furnace").pack().model().moment(feed.moment()).role()).isEqualTo(bricksignal.core.unit.Moment.Role.POWER_OFF);
        assertThat(feed.label()).isInstanceOfSatisfying(Message.Keyed.class, said -> {
            assertThat(said.key()).as("fuel comes through it").isEqualTo("test.feed-fuel");
            assertThat(said.parts().get(1)).isEqualTo(new Message.Amount(MeterMode.AC_VOLTS, 27));
        });
        assertThat(feed.change().made()).isTrue();
        assertThat(feed.change().kind()).isEqualTo(bricksignal.core.unit.Change.Kind.FED);
    }

    /** A blower with a capacitor of its own elsewhere does not start on a cord, an igniter only glows: neither is fed. */
    @Test
    void whatACordCannotRunIsNotFed() {
        var tests = Compiled.of("f1-furnace").pack().catalogue().tests().stream().map(t -> t.id()).toList();
        assertThat(tests).doesNotContain("feed.blower-main", "feed.blower-aux", "feed.igniter").contains("unhook.gas-valve");
        assertThat(tests).contains("feed.inducer-motor");
    }

    @ParameterizedTest
    @CsvSource({"valve-leaks-by, rest.flame, true", "board-blower-welded, rest.blower, true", "nothing-now, rest.blower, false",
        "frozen.board.run, rest.flame, true", "inducer-open, rest.inducer, false"})
    void whatGoesOnAtRestIsSeen(String fault, String test, boolean yes) {
        assertThat(Compiled.of("f1-furnace").pack().likeliest(check("f1-furnace", test), Compiled.of("f1-furnace").pack().space().single(fault)))
                .singleElement().isEqualTo(new bricksignal.core.diagnosis.Observation.Answer(check("f1-furnace", test), yes));
    }

    /** A board that does not leave its purge: no igniter, no gas, no lockout; the lamp says a run. */
    @Test
    void boardThatStaysInAStateHoldsItsOutputs() {
        var run = Compiled.of("f1-furnace").with("frozen.board.purge");
        assertThat(run.share(F1.when("state.burner.purge"), 60, 400)).isEqualTo(1);
        assertThat(run.share(F1.when("amps.inducer-motor >= 1"), 60, 400)).isEqualTo(1);
        assertThat(run.share(F1.when("amps.gas-valve >= 0.2 or igniter-heat >= 0.2"), 0, 400)).isZero();
    }

    /** A bridge across a limit shows nothing until the limit is needed: it is looked for, and moves no suspect either way. */
    @ParameterizedTest
    @CsvSource({"f1-furnace, see-left.limit", "f1-furnace, see-left.rollout", "f3-vehicle, see-left.limit", "f14-rooftop, see-left.high-pressure",
        "f14-rooftop, see-left.freeze-stat"})
    void bridgedSafetyIsLookedForAndMovesNoSuspect(String pack, String look) {
        var before = bricksignal.core.diagnosis.Diagnosis.of(Compiled.of(pack).pack());
        var after = before.and(new bricksignal.core.diagnosis.Observation.Answer(check(pack, look), true));
        assertThat(bricksignal.core.unit.common.CommonFailures.looksForABridgedSafety(check(pack, look))).isTrue();
        assertThat(before.hypotheses()).allSatisfy(h -> assertThat(after.belief(h)).isCloseTo(before.belief(h), org.assertj.core.api.Assertions.within(1e-9)));
        assertThat(bricksignal.core.unit.common.CommonFailures.looksForABridgedSafety(check("f1-furnace", "see-left.draft-switch")))
                .as("one that is open at rest explains a complaint").isFalse();
    }
}
