package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Simulation;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.unit.Part;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What holds for every family, and the facts of the trade that each family must show (common practice, no source). */
@Execution(ExecutionMode.CONCURRENT)
class FamiliesTest {

    static Stream<Arguments> everyFaultOfEveryPack() {
        return Compiled.ids().stream().flatMap(id -> Compiled.of(id).faults().stream().map(f -> Arguments.of(id, f)));
    }

    static Stream<String> packs() {
        return Compiled.ids().stream();
    }

    @ParameterizedTest
    @MethodSource("everyFaultOfEveryPack")
    void unitRunsWithoutChattering(String id, String fault) {
        assertThat(Compiled.of(id).with(fault).chattering()).as(fault).isFalse();
    }

    /** The advice leads to the right part for every fault when nobody misreads and the meter is exact. */
    @ParameterizedTest
    @MethodSource("everyFaultOfEveryPack")
    void faultIsFoundWithExactReadings(String id, String fault) {
        Compiled unit = Compiled.of(id);
        Planner planner = Planner.of(unit.pack(), Policy.defaults());
        Diagnosis d = unit.lamps(fault);
        Stand standing = Stand.AS_FOUND;
        Advice advice = Advice.of(d, planner, standing);
        for (int i = 0; i < 40 && !advice.done(); i++) {
            bricksignal.core.unit.Test test = advice.proposals().get(0).test();
            standing = standing.after(test);
            d = d.and(unit.exact(d.now(unit.place(fault)), test));
            advice = Advice.of(d, planner, standing);
        }
        assertThat(ProofGate.verdict(d).group().stream().flatMap(h -> unit.pack().space().get(h).parts().stream())
                .map(p -> p.id())).contains(unit.pack().model().fault(fault).part());
    }

    @ParameterizedTest
    @MethodSource("packs")
    void boardsAreSeldomAtFault(String id) {
        double boards = Compiled.of(id).pack().space().considered().stream().filter(h -> h.part().kind() == Part.Kind.BOARD)
                .mapToDouble(Hypothesis::prior).sum();
        assertThat(boards).isBetween(0.01, 0.15);
    }

    @ParameterizedTest
    @MethodSource("packs")
    void everyCodeOfAChartIsShownByTheModel(String id) {
        Compiled unit = Compiled.of(id);
        unit.pack().model().charts().forEach((board, chart) -> {
            var shown = unit.pack().space().considered().stream()
                    .flatMap(h -> unit.pack().predictions().lampShares(h.id(), board).keySet().stream()).distinct().toList();
            assertThat(chart.patterns()).as("%s of %s", board, id).filteredOn(p -> !shown.contains(p))
                    .as("codes that nothing in the model shows").isEmpty();
        });
    }

    /** C13 of the field cases: a call that ends before the flame opens no gas, and one that ends in the trial shuts it. */
    @ParameterizedTest
    @CsvSource({"f1-furnace, warm-up, gas-valve", "f1-furnace, trial, gas-valve", "f3-vehicle, purge, valve", "f3-vehicle, trial, valve",
        "f14-rooftop, purge, gas-valve", "f14-rooftop, trial, gas-valve"})
    void callThatEndsBeforeTheFlameLeavesNoGasOpen(String id, String moment, String valve) {
        var model = Compiled.of(id).pack().model();
        double ends = Compiled.of(id).pack().catalogue().seconds(moment);
        var steps = new java.util.ArrayList<>(model.scenarios().get(0).steps());
        steps.removeIf(step -> step.action().equals("call") && step.value() == 0);
        steps.add(new Scenario.Step(ends, "call", 0));
        Timeline run = Simulation.run(model.machine(), java.util.List.of(new Scenario("short", 300, steps)), new SolvedStates()).get(0);
        assertThat(run.share(F1.when("amps." + valve + " >= 0.2"), ends + 1, 300)).isZero();
    }

    // --- F3: 12 V DC, direct spark ---------------------------------------------------------------------------------------

    @ParameterizedTest
    @CsvSource({"v.PLUS.standby, 12, 13", "v.FAN.purge, 11.5, 13", "v.LIM.trial, 11.5, 13", "flame-current, 2, 4"})
    void vehicleFurnaceReadsTwelveVolts(String test, double least, double most) {
        assertThat(Compiled.of("f3-vehicle").shows("nothing-now", test)).isBetween(least, most);
    }

    /** Half the air takes the sail switch some seconds longer; who measures "in the trial" waits for it (common practice). */
    @Test
    void readingBelongsToItsStageAndNotToTheClock() {
        Compiled unit = Compiled.of("f3-vehicle");
        bricksignal.core.unit.Test.Reading gas = (bricksignal.core.unit.Test.Reading) unit.pack().catalogue().test("v.GAS.trial");
        assertThat(unit.shows("ducts-blocked", "v.GAS.trial")).as("when it is due").isCloseTo(0, within(0.1));
        assertThat(((Prediction.Number) unit.pack().predictions().of(gas, unit.place("ducts-blocked"))).mean()).isBetween(11.5, 13.0);
        assertThat(((Prediction.Number) unit.pack().predictions().of(gas, unit.place("sail-open"))).mean()).as("it never comes")
                .isCloseTo(0, within(0.1));
    }

    /** A battery that is less weak opens the valve, and all runs: what it reads alone tells. */
    @Test
    void faultMayHaveGoneHalfAsFar() {
        Compiled unit = Compiled.of("f3-vehicle");
        HypothesisId half = new HypothesisId.Milder("battery-low");
        bricksignal.core.unit.Test at = unit.pack().catalogue().test("v.PLUS.purge");
        double whole = asRun(unit.pack().predictions().of(at, unit.place("battery-low")));
        double good = ((Prediction.Number) unit.pack().predictions().nominal(at)).mean();
        assertThat(asRun(unit.pack().predictions().of(at, half))).isCloseTo(Math.sqrt(whole * good), within(0.1));
        assertThat(unit.pack().runs().fails(half)).isFalse();
        assertThat(unit.pack().runs().fails(unit.place("battery-low"))).isTrue();
    }

    /** As far as it is run: a listed fault with a size may also have gone less far. */
    private static double asRun(Prediction shown) {
        return (shown instanceof Prediction.Sometimes sometimes ? sometimes.present() : (Prediction.Number) shown).mean();
    }

    @Test
    void vehicleFurnaceProvesAirBeforeItPurgesForFifteenSeconds() {
        double[] purge = Compiled.of("f3-vehicle").with("nothing-now")
                .firstStretch(F1.when("state.burner.purge")).orElseThrow();
        assertThat(purge[1] - purge[0]).isCloseTo(15, within(0.01));
    }

    @Test
    void clickAndGasWithoutSparkIsElectrodeLeadOrBoardAndTheBoardLast() {
        Compiled unit = Compiled.of("f3-vehicle");
        Diagnosis d = unit.lamps("board-spark").and(unit.exact("board-spark", unit.pack().catalogue().test("hear-valve")))
                .and(unit.exact("board-spark", unit.pack().catalogue().test("hear-spark")));
        assertThat(d.belief(unit.place("electrode-gap"))).isGreaterThan(d.belief(unit.place("lead-chafed")))
                .isGreaterThan(d.belief(unit.place("board-spark")));
        assertThat(d.belief(unit.place("electrode-gap")) + d.belief(unit.place("lead-chafed"))
                + d.belief(unit.place("board-spark"))).isGreaterThan(0.9);
    }

    @Test
    void blowerThatNeverStopsIsAWeldedRelay() {
        assertThat(Compiled.of("f3-vehicle").shows("board-fan-on", "v.FAN.standby")).isGreaterThan(11);
        assertThat(Compiled.of("f3-vehicle").shows("nothing-now", "v.FAN.standby")).isLessThan(0.5);
    }

    // --- F9: DC supply, data, answer -------------------------------------------------------------------------------------

    @Test
    void goodSupplyAndDeadDataIsTheBoard() {
        // 12.6 V supply and 1.6 V data is the board
        Compiled unit = Compiled.of("f9-airhandler");
        assertThat(unit.shows("board-data", "v.DC.call")).isCloseTo(12.6, within(0.3));
        assertThat(unit.shows("board-data", "v.DATA.call")).isCloseTo(1.6, within(0.1));
        Diagnosis d = unit.lamps("board-data").and(unit.exact("board-data", unit.pack().catalogue().test("v.DC.call")))
                .and(unit.exact("board-data", unit.pack().catalogue().test("v.DATA.call")));
        assertThat(unit.believed(d, "board-data")).isGreaterThan(0.95);
    }

    /** A stove that heats slower than ours has not shut down yet: that speaks against its fault once, and not at every point measured. */
    @Test
    void whatAUnitShowsBeforeItStopsBelongsTogether() {
        Compiled unit = Compiled.of("f7-stove");
        Diagnosis d = Diagnosis.of(unit.pack());
        d = d.and(unit.exact("nothing-now", unit.pack().catalogue().test("press-button")));
        assertThat(unit.shows("room-fan-stuck", "v.OH.running")).as("the overheat switch has opened again").isLessThan(0.1);
        Diagnosis once = d.and(unit.exact("nothing-now", unit.pack().catalogue().test("v.OH.running")));
        Diagnosis twice = once.and(unit.exact("nothing-now", unit.pack().catalogue().test("v.over-out.running")));
        assertThat(odds(once, unit) / odds(d, unit)).isBetween(0.05, 0.2);
        assertThat(odds(twice, unit) / odds(once, unit)).isBetween(0.8, 1.25);
    }

    private static double odds(Diagnosis d, Compiled unit) {
        return d.belief(d.now(unit.place("room-fan-stuck"))) / d.belief(unit.place("nothing-now"));
    }

    @Test
    void goodDataAtTheMotorAndNoAnswerIsTheMotorModule() {
        // 4.9 V data and no answer is the motor module
        Compiled unit = Compiled.of("f9-airhandler");
        assertThat(unit.shows("module-dead", "v.DATA-m.call")).isCloseTo(4.9, within(0.1));
        Diagnosis d = unit.lamps("module-dead");
        for (String test : new String[] {"v.DC-m.call", "v.DATA-m.call", "v.ANS-m.call"}) {
            d = d.and(unit.exact("module-dead", unit.pack().catalogue().test(test)));
        }
        assertThat(d.belief(unit.place("module-dead"))).isGreaterThan(0.95);
    }

    @Test
    void swappedLeadsOnDirectVoltsAreNotAFault() {
        Compiled unit = Compiled.of("f9-airhandler");
        var reading = (bricksignal.core.unit.Test.Reading) unit.pack().catalogue().test("v.DC.call");
        Diagnosis right = unit.lamps("module-dead").and(new bricksignal.core.diagnosis.Observation.Reading(reading, 12.6));
        Diagnosis swapped = unit.lamps("module-dead").and(new bricksignal.core.diagnosis.Observation.Reading(reading, -12.6));
        for (var fault : unit.pack().space().faults()) {
            var h = fault.id();
            assertThat(swapped.belief(h)).isCloseTo(right.belief(h), within(1e-12));
        }
    }

    // --- F12: a supply that runs through another board's relay ---------------------------------------------------------------

    @Test
    void darkOutdoorBoardMayOnlyLackTheIndoorPermission() {
        Compiled unit = Compiled.of("f12-minisplit");
        assertThat(unit.at("permit-dead", "found").unit().powered()).contains("indoor-board").doesNotContain("outdoor-board");
        assertThat(unit.shows("permit-dead", "v.O1.standby")).as("line is at the outdoor terminals").isGreaterThan(220);
        Diagnosis d = unit.lamps("permit-dead").and(unit.exact("permit-dead", unit.pack().catalogue().test("v.O3.run")));
        assertThat(d.belief(unit.place("outdoor-dead"))).as("a dark board without its line is not a bad board").isLessThan(0.02);
    }

    @Test
    void openThirdConductorReadsAGhostThatVanishesOnLowImpedance() {
        Compiled unit = Compiled.of("f12-minisplit");
        assertThat(unit.shows("terminal-3-loose", "loz-o3")).isGreaterThan(220);
        assertThat(unit.shows("wire-3-open", "loz-o3")).isLessThan(5);
    }
}
