package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Element;
import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.Map;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What the vehicle furnace, the mini-split and the rooftop once told wrongly, against the trade (common practice, no source). */
class MendedFamiliesTest {

    private static Timeline run(String id, String fault, String scenario) {
        Compiled unit = Compiled.of(id);
        return unit.pack().unit(unit.place(fault)).run(scenario);
    }

    private static boolean ever(Timeline run, String condition, double from) {
        return run.share(F1.when(condition), from, run.scenario().seconds()) > 0;
    }

    private static boolean lampEver(Timeline run, String board, String pattern) {
        return run.lampShares(board, 0, run.scenario().seconds()).getOrDefault(LampPattern.parse(pattern), 0.0) > 0;
    }

    // --- F1, F2 ----------------------------------------------------------------------------------------------------------------------------

    /** The blower's air comes through a crack: the flame burns well until the blower starts, then it leaves the rod (common practice). */
    @ParameterizedTest
    @CsvSource({"f1-furnace", "f2-furnace"})
    void crackedExchangerLosesItsFlameWhenTheBlowerStarts(String family) {
        Timeline run = Compiled.of(family).with("exchanger-cracked");
        double[] seen = run.firstStretch(F1.when("in.flame")).orElseThrow();
        double[] blowing = run.firstStretch(F1.when("airflow >= 0.8")).orElseThrow();
        assertThat(seen[1] - seen[0]).as("half a minute of good flame").isGreaterThan(25);
        assertThat(seen[1]).as("lost with the air, not before").isBetween(blowing[0] - 1, blowing[0] + 2);
        assertThat(lampEver(run, "board", "7 flashes")).as("after its tries it locks out").isTrue();
    }

    @ParameterizedTest
    @CsvSource({"f1-furnace", "f2-furnace"})
    void cakedCoilTripsTheLimitAsACloggedFilterDoes(String family) {
        assertThat(lampEver(Compiled.of(family).with("coil-dirty"), "board", "3 flashes")).isTrue();
        assertThat(lampEver(Compiled.of(family).with("nothing-now"), "board", "3 flashes")).isFalse();
    }

    /** What flows through an orifice goes with the root of its pressure (Bernoulli): 2.2 in. w.c. instead of 3.5 are 79 % of the heat. */
    @Test
    void lowManifoldHeatsByTheRootOfItsPressure() {
        Compiled unit = Compiled.of("f1-furnace");
        double good = riseAtTheEndOfTheCall(unit.with("nothing-now"));
        double low = riseAtTheEndOfTheCall(unit.with("manifold-low"));
        assertThat(low / good).isBetween(0.95 * Math.sqrt(2.2 / 3.5), 1.05 * Math.sqrt(2.2 / 3.5));
        assertThat(unit.shows("manifold-low", "manifold")).isBetween(2.1, 2.3);
        assertThat(unit.shows("orifice-wrong", "manifold")).as("the gauge is right, the orifice is not").isBetween(3.4, 3.6);
    }

    /** Degrees above the 70 of the room, to half a degree. */
    private static double riseAtTheEndOfTheCall(Timeline run) {
        return DoubleStream.iterate(0, rise -> rise + 0.5).filter(rise -> run.share(F1.when("plenum >= " + (70 + rise)), 390, 399) < 1).findFirst().orElseThrow();
    }

    /** A trap full of scale: water stands in the hose, the code is that of the draft, and the pressure switch is sound. */
    @ParameterizedTest
    @CsvSource({"trap-blocked", "collector-cracked"})
    void condensingFurnaceOfOneStageStopsForDraftWhenItsWaterSideFails(String fault) {
        UnitModel model = PackReader.read(PackLibrary.text("f1-furnace", Map.of("heat", "condensing")));
        Timeline run = VirtualUnit.of(model, model.fault(fault).in(model.machine())).usualRun();
        assertThat(lampEver(run, "board", "4 flashes")).isTrue();
        assertThat(F1.ever(run, "flame >= 0.5")).isFalse();
        assertThat(run.share(F1.when("water >= 0.5"), 0, run.scenario().seconds()) > 0).isEqualTo(fault.equals("trap-blocked"));
        Timeline good = VirtualUnit.of(model, model.machine()).usualRun();
        assertThat(F1.ever(good, "flame >= 0.5")).isTrue();
    }

    /** Its own test terminal runs all four: inducer, igniter, blower fast, blower slow. */
    @Test
    void testTerminalOfTheCondensingFurnaceRunsFourParts() {
        UnitModel model = PackReader.read(PackLibrary.text("f1-furnace", Map.of("heat", "condensing")));
        Timeline run = VirtualUnit.of(model, model.machine()).run("self-test");
        assertThat(F1.ever(run, "amps.inducer-motor >= 1.2 and out.igniter and out.blower-cool")).isTrue();
        assertThat(F1.ever(run, "amps.inducer-motor >= 1.2 and out.blower")).isTrue();
        assertThat(F1.ever(run, "amps.gas-valve >= 0.3")).as("never gas").isFalse();
    }

    // --- F3 --------------------------------------------------------------------------------------------------------------------------------

    @Test
    void weldedBlowerRelayHeatsAndTheBlowerNeverStops() {
        Timeline run = Compiled.of("f3-vehicle").with("board-fan-on");
        assertThat(F1.ever(run, "flame >= 0.5")).isTrue();
        assertThat(run.share(F1.when("air >= 0.5"), 500, 670)).as("a minute and more after the call").isEqualTo(1);
    }

    @Test
    void furnaceThatLooksAtItsSailSwitchFirstWaitsForIt() {
        UnitModel model = PackReader.read(PackLibrary.text("f3-vehicle", Map.of("sail", "first")));
        Fault welded = model.fault("board-fan-on");
        Timeline run = VirtualUnit.of(model, welded.in(model.machine())).usualRun();
        assertThat(F1.ever(run, "flame >= 0.5")).isFalse();
        assertThat(lampEver(run, "board", "2 flashes")).isTrue();
    }

    /** About ten volts are too few for the valve: it lets go, and the blower goes on slowly. */
    @ParameterizedTest
    @CsvSource({"battery-low", "ground-bad"})
    void weakSupplyDropsTheValveOut(String fault) {
        Compiled unit = Compiled.of("f3-vehicle");
        assertThat(F1.ever(unit.with(fault), "flame >= 0.5")).isFalse();
        assertThat(unit.shows(fault, "v.PLUS.purge")).isBetween(9.0, 10.5);
        assertThat(lampEver(unit.with(fault), "board", "8 flashes")).isTrue();
    }

    @Test
    void blockedDuctsTripTheLimitAndItComesBack() {
        Timeline run = Compiled.of("f3-vehicle").with("ducts-blocked");
        double[] burning = run.firstStretch(F1.when("flame >= 0.5")).orElseThrow();
        assertThat(burning[1]).as("before the call ends").isLessThan(399);
        assertThat(ever(run, "flame >= 0.5", burning[1] + 5)).isTrue();
    }

    // --- F12 -------------------------------------------------------------------------------------------------------------------------------

    /** Locked-rotor current is some five times that of the run (from memory). */
    @Test
    void compressorThatIsLockedDrawsAManifoldAndItsProtectorComesAndGoes() {
        Compiled unit = Compiled.of("f12-minisplit");
        double ratio = unit.shows("compressor-seized", "amps-compressor") / unit.shows("nothing-now", "amps-compressor");
        assertThat(ratio).isBetween(4.0, 6.0);
        Timeline run = unit.with("compressor-seized");
        double[] humming = run.firstStretch(F1.when("amps.compressor-protector >= 3")).orElseThrow();
        assertThat(humming[1] - humming[0]).as("seconds until it opens").isBetween(5.0, 30.0);
        assertThat(ever(run, "amps.compressor-protector >= 3", humming[1] + 1)).as("tries again when it is cool").isTrue();
    }

    /** Two hot legs and no neutral: each stands at half of the line to bare metal, and at nothing behind an open pole (common practice). */
    @ParameterizedTest
    @CsvSource({"f12-minisplit, v.earth.standby, leg-two, v.O1.standby", "f13-multisplit, leg-one, v.N.standby, v.L.standby"})
    void eachLegOfASplitStandsAtHalfTheLineToGround(String family, String one, String two, String line) {
        Compiled unit = Compiled.of(family);
        assertThat(unit.shows("nothing-now", one)).isBetween(110.0, 125.0);
        assertThat(unit.shows("nothing-now", two)).isBetween(110.0, 125.0);
        assertThat(unit.shows("nothing-now", line)).isBetween(218.0, 242.0);
        assertThat(unit.shows("leg-one-open", line)).isLessThan(5);
        assertThat(unit.shows("leg-one-open", one)).as("what stands there came through the loads from the other leg").isBetween(0.0, 125.0);
    }

    /** A unit of 240 V that gets 120 has not passed. */
    @ParameterizedTest
    @CsvSource({"two-legs, 216", "two-of-three, 187", "one-leg, 108"})
    void lineAtTheBlowerPassesByTheVoltageOfTheUnit(String voltage, double least) {
        UnitModel model = PackReader.declared(PackReader.flat(PackLibrary.text("f8-airhandler", Map.of("voltage", voltage)), Map.of()));
        assertThat(model.acceptance()).filteredOn(limit -> limit.test().equals("v.blower-hot.call")).singleElement().satisfies(limit -> {
            assertThat(limit.least()).isEqualTo(least);
            assertThat(limit.most()).isLessThan(2 * least);
        });
    }

    @ParameterizedTest
    @CsvSource({"charge-low", "filter-clogged"})
    void lowChargeAndNoAirBothMakeIce(String fault) {
        assertThat(F1.ever(Compiled.of("f12-minisplit").with(fault), "state.indoor.frozen")).isTrue();
    }

    @Test
    void openSensorSaysSoAndABlownSurgePartTakesTheFuse() {
        Compiled unit = Compiled.of("f12-minisplit");
        assertThat(lampEver(unit.with("coil-open"), "indoor-board", "display E1")).isTrue();
        assertThat(lampEver(unit.with("head-open"), "outdoor-board", "2 flashes")).isTrue();
        assertThat(unit.shows("indoor-surge-blown", "v.IB.standby")).isLessThan(5);
        assertThat(unit.shows("supply-half", "v.O1.standby")).isBetween(115.0, 125.0);
    }

    // --- F14 -------------------------------------------------------------------------------------------------------------------------------

    @Test
    void supplyThatIsTooLowIsNotAMissingPhase() {
        Compiled unit = Compiled.of("f14-rooftop");
        assertThat(lampEver(unit.with("supply-low"), "phase-monitor", "lamp 2 steady")).isTrue();
        assertThat(lampEver(unit.with("supply-low"), "phase-monitor", "lamp 2 slow")).isFalse();
        assertThat(lampEver(unit.with("fuse-3-open"), "phase-monitor", "lamp 2 slow")).isTrue();
    }

    /** The ignition board is fed all the time: without the unit board's permission its lamp still says that it waits. */
    @Test
    void ignitionBoardWaitsWithItsOwnLampWhenTheUnitBoardIsDark() {
        Timeline dark = Compiled.of("f14-rooftop").with("detector-tripped");
        assertThat(dark.lampShares("unit-board", 200, 400)).containsOnlyKeys(LampPattern.parse("off"));
        assertThat(dark.lampShares("ignition-board", 200, 400)).containsOnlyKeys(LampPattern.parse("slow"));
    }

    @Test
    void blowerGoesOnWhileTheLimitIsOpen() {
        Timeline hot = Compiled.of("f14-rooftop").with("filter-clogged");
        double[] open = hot.firstStretch(F1.when("state.burner.limit-open")).orElseThrow();
        assertThat(hot.share(F1.when("out.fan"), open[0], open[1])).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"freeze-failed, 2 long 1 short", "charge-low, 2 long 1 short", "hp-failed, 2 long 2 short", "condenser-dirty, 2 long 2 short",
        "comp-seized, 2 long 2 short", "hp-failed, 3 long 1 short"})
    void coolingHasCodesOfItsOwn(String fault, String code) {
        assertThat(lampEver(run("f14-rooftop", fault, "cooling"), "unit-board", code)).isTrue();
        assertThat(lampEver(run("f14-rooftop", "nothing-now", "cooling"), "unit-board", code)).isFalse();
    }

    /** A code of the cooling call moves its suspects, though the usual run is heat. */
    @Test
    void lampOfACoolingCallIsEvidence() {
        Compiled unit = Compiled.of("f14-rooftop");
        var locked = LampPattern.parse("3 long 1 short");
        assertThat(unit.pack().predictions().lampShares(unit.place("hp-failed"), "unit-board").getOrDefault(locked, 0.0)).isGreaterThan(0.005);
        assertThat(unit.pack().predictions().lampShares(unit.place("rod-coated"), "unit-board").getOrDefault(locked, 0.0)).as("of the burner alone").isZero();
    }

    /** The freeze stat that stays open is waited for and then locks the compressor out: one code with that of its pressures (common practice). */
    @Test
    void freezeStatLocksTheCompressorOut() {
        assertThat(lampEver(run("f14-rooftop", "freeze-failed", "cooling"), "unit-board", "3 long 1 short")).isTrue();
    }

    /** Nearly empty, it pulls its suction below the mark of the switch within seconds of each start. */
    @Test
    void lostRefrigerantTripsTheLowPressureSwitch() {
        Timeline empty = run("f14-rooftop", "charge-out", "cooling");
        double start = empty.firstStretch(F1.when("out.cool")).orElseThrow()[0];
        double trip = empty.firstStretch(F1.when("suction <= 50")).orElseThrow()[0];
        assertThat(trip - start).isBetween(1.0, 30.0);
        assertThat(lampEver(empty, "unit-board", "2 long 2 short")).isTrue();
    }

    /** Without its 24 V the building's control closes none of its relays. */
    @Test
    void buildingControlWithoutItsSupplyCallsNothing() {
        assertThat(ever(run("f14-rooftop", "field-feed-open", "cooling"), "in.Y", 0)).isFalse();
        assertThat(ever(run("f14-rooftop", "nothing-now", "cooling"), "in.Y", 0)).isTrue();
    }

    // --- a winding to its shell -------------------------------------------------------------------------------------------------------------------

    /**
     * By hand, the first leg alone: 120 V over its own 0.2 ohm, the breaker's and the wires' hundredths and 0.1 ohm of breakdown is some hundreds of amperes; whatever
     * the motor, its breaker or fuse opens as it is called and not before, and it is in good order until then.
     */
    @ParameterizedTest
    @CsvSource({"f1-furnace, grounded.blower-main, closed.breaker-trip", "f4-boiler, grounded.circulator, closed.breaker-trip", "f7-stove, grounded.exhaust-fan, closed.main-fuse",
        "f13-multisplit, grounded.compressor, closed.breaker-trip", "f17-economizer, grounded.compressor, closed.breaker-trip", "f14-rooftop, grounded.comp-w12, closed.fuse-1"})
    void groundedWindingOpensWhatProtectsTheLine(String family, String fault, String closed) {
        Compiled unit = Compiled.of(family);
        var runs = unit.pack().model().watchedScenarios().stream().map(scenario -> run(family, fault, scenario.id())).toList();
        assertThat(runs).as("opens in one of its runs").anySatisfy(run -> assertThat(ever(run, "not " + closed, 0)).isTrue());
        assertThat(runs).as("has power to begin with").allSatisfy(run -> assertThat(ever(run, closed, 0)).isTrue());
        assertThat(unit.pack().model().watchedScenarios()).allSatisfy(scenario ->
                assertThat(run(family, "nothing-now", scenario.id()).at(scenario.seconds() - 1).unit().solution().circuit().element(closed.substring(7)))
                        .extracting(element -> ((Element.Conductor) element).closed()).isEqualTo(true));
    }

    /** What a unit in good order shows fits on the instrument that is to read it: nobody can type what is beyond. */
    @ParameterizedTest
    @MethodSource("bricksignal.packs.PackLibrary#ids")
    void whatIsReadFitsOnItsInstrument(String family) {
        Compiled unit = Compiled.of(family);
        unit.pack().model().readings().stream().filter(reading -> reading.place() instanceof Place.Gauge).forEach(reading ->
                assertThat(unit.shows("nothing-now", reading.id())).as(reading.id()).isBetween(reading.mode().least(), reading.mode().most()));
    }

    /** Each of three that all blow lukewarm has its own line: an empty one, a valve that leaks inside, an expansion valve nearly shut (common practice). */
    @Test
    void linesOfAHeatPumpTellThreeCausesOfLukewarmAir() {
        Compiled pump = Compiled.of("f10-heatpump");
        assertThat(pump.shows("metering-shut", "liquid-line")).as("liquid backs up").isLessThan(pump.shows("charge-low", "liquid-line") - 8);
        assertThat(pump.shows("valve-leaks", "suction-line")).as("hot gas crosses over").isGreaterThan(pump.shows("nothing-now", "suction-line") + 20);
        assertThat(pump.shows("nothing-now", "head-gauge")).as("condensing at about 100 °F, R-410A, from memory").isBetween(300.0, 335.0);
    }

    // --- F2, F3, F4, F5, F7, F9 ----------------------------------------------------------------------------------------------------------------------

    /** What sits before the tap chokes the flame and leaves the tap more draft, not less (common practice). */
    @ParameterizedTest
    @CsvSource({"f1-furnace, condensing", "f2-furnace, "})
    void blockedSecondaryExchangerRaisesTheDraftBehindItAndRollsTheFlameOut(String family, String heat) {
        UnitModel model = PackReader.read(PackLibrary.text(family, heat == null ? Map.of() : Map.of("heat", heat)));
        Timeline blocked = VirtualUnit.of(model, model.fault("secondary-blocked").in(model.machine())).usualRun();
        Timeline sound = VirtualUnit.of(model, model.machine()).usualRun();
        assertThat(draftOfTheInducer(blocked)).isGreaterThan(1.2 * draftOfTheInducer(sound));
        assertThat(F1.ever(blocked, "closed.rollout")).isFalse();
    }

    /** Eight seconds after it drew, in. w.c. */
    private static double draftOfTheInducer(Timeline run) {
        double at = run.firstStretch(F1.when("draft >= 0.3")).orElseThrow()[0] + 8;
        return run.at(at).unit().at(at).value("draft");
    }

    /** A flame that is lost thrice while it ran has a count of its own; one that never came has another. */
    @Test
    void vehicleFurnaceTellsAFlameThatWasLostFromOneThatNeverCame() {
        assertThat(lampEver(Compiled.of("f3-vehicle").with("regulator-starves"), "board", "7 flashes")).isTrue();
        assertThat(lampEver(Compiled.of("f3-vehicle").with("regulator-starves"), "board", "8 flashes")).isFalse();
        assertThat(lampEver(Compiled.of("f3-vehicle").with("gas-out"), "board", "8 flashes")).isTrue();
    }

    /** No call before the water can flow: the end switch closes with the valve. */
    @Test
    void zoneValveCallsTheBoilerByItsEndSwitch() {
        UnitModel model = PackReader.read(PackLibrary.text("f4-boiler", Map.of("zones", "valve")));
        Timeline run = VirtualUnit.of(model, model.machine()).usualRun();
        double called = run.firstStretch(F1.when("volts.ZV >= 20")).orElseThrow()[0];
        assertThat(run.firstStretch(F1.when("in.TT")).orElseThrow()[0] - called).as("seconds until the valve stands open").isBetween(8.0, 20.0);
        Timeline open = VirtualUnit.of(model, model.fault("zone-end-open").in(model.machine())).usualRun();
        assertThat(F1.ever(open, "zone-open >= 0.9")).isTrue();
        assertThat(F1.ever(open, "in.TT")).isFalse();
    }

    /** The tank goes first: one that never has enough leaves the rooms cold, with everything running. */
    @Test
    void tankThatNeverHasEnoughLeavesTheRoomsCold() {
        UnitModel model = PackReader.read(PackLibrary.text("f5-boiler", Map.of("tank", "tank")));
        Timeline run = VirtualUnit.of(model, model.fault("aquastat-stays").in(model.machine())).usualRun();
        assertThat(F1.ever(run, "flame >= 0.5")).isTrue();
        assertThat(F1.ever(run, "zone-pump-flow >= 2")).isFalse();
    }

    /** By hand: 10 kohm at 25 °C, B 3950 K; at 1.6 times its ohms it reads colder by about ln 1.6 T² / B, 12 K at 320 K. */
    @Test
    void sensorThatDriftsShowsAnotherTemperatureThanTheThermometer() {
        Compiled boiler = Compiled.of("f5-boiler");
        double off = boiler.shows("supply-drifts-cold", "supply-felt") - boiler.shows("supply-drifts-cold", "supply-shown");
        double kelvin = (boiler.shows("supply-drifts-cold", "supply-felt") + 459.67) / 1.8;
        double colder = kelvin - 1 / (1 / kelvin + Math.log(1.6) / 3950);
        assertThat(off).isCloseTo(1.8 * colder, within(0.5));
    }

    @Test
    void potThatOverflowsTripsTheOverheat() {
        assertThat(ever(Compiled.of("f7-stove").with("pot-overfull"), "not closed.overheat", 0)).isTrue();
        assertThat(ever(Compiled.of("f7-stove").with("nothing-now"), "not closed.overheat", 0)).isFalse();
    }

    /** By hand, three windings of 6.6 ohms in a ring: each pair 6.6 beside 13.2, 4.4; with one open that pair 13.2; with one at three tenths 1.73. */
    @Test
    void threePairsOfATalkingMotorAreAlikeOnlyInOrder() {
        Compiled handler = Compiled.of("f9-airhandler");
        assertThat(handler.shows("nothing-now", "pair-12")).isCloseTo(4.4, within(0.1));
        assertThat(handler.shows("nothing-now", "pair-23")).isCloseTo(4.4, within(0.1));
        assertThat(handler.shows("motor-open", "pair-12")).isCloseTo(13.2, within(0.2));
        assertThat(handler.shows("motor-shorted", "pair-23")).isCloseTo(1.73, within(0.1));
    }

    // --- F4, F13, F17, F18 ------------------------------------------------------------------------------------------------------------------------

    /** By hand: 14 psi cold and what 5 psi of a full air cushion become in three tenths of it, above the 30 of the relief valve (common practice). */
    @Test
    void waterloggedExpansionTankLiftsTheReliefValve() {
        assertThat(Compiled.of("f4-boiler").shows("tank-full", "water-warm")).isBetween(0.95 * (14 + 5 / 0.3), 1.02 * (14 + 5 / 0.3));
        assertThat(Compiled.of("f4-boiler").shows("nothing-now", "water-warm")).isBetween(15.0, 22.0);
    }

    /** The mode for evacuating is taken at power-up and runs no compressor (common practice). */
    @Test
    void evacuationModeRunsNoCompressor() {
        Timeline run = run("f13-multisplit", "nothing-now", "evacuation");
        assertThat(lampEver(run, "board", "display C4")).isTrue();
        assertThat(ever(run, "amps.compressor >= 1", 0)).isFalse();
        assertThat(ever(run("f13-multisplit", "nothing-now", "pump-down"), "amps.compressor >= 1", 0)).isTrue();
    }

    /** Nothing called, the menu drives the blades wide open; with the linkage loose the shaft turns and they do not. */
    @Test
    void damperIsDrivenFromTheMenu() {
        assertThat(ever(run("f17-economizer", "nothing-now", "driven"), "damper >= 60", 0)).isTrue();
        assertThat(ever(run("f17-economizer", "link-slips", "driven"), "damper >= 60", 0)).isFalse();
    }

    /** The board looks at its sensor while it ventilates, long before it monitors. */
    @Test
    void leakBoardLooksAtItsSensorInTheStart() {
        Timeline run = Compiled.of("f18-leak").with("pin-signal");
        assertThat(run.firstStretch(F1.when("state.detector.fault")).orElseThrow()[0]).isLessThan(60);
        assertThat(ever(run, "out.alarm", 0)).as("its alarm contact closes").isTrue();
        assertThat(lampEver(Compiled.of("f18-leak").with("sensor-past"), "board", "3 flashes")).isTrue();
    }

    @Test
    void unitForTwoHundredThirtyVoltsRunsOnItsOwnTap() {
        UnitModel model = PackReader.read(PackLibrary.text("f14-rooftop", Map.of("voltage", "v230")));
        Timeline run = VirtualUnit.of(model, model.machine()).usualRun();
        assertThat(F1.ever(run, "flame >= 0.5")).isTrue();
        assertThat(run.at(8).unit().solution().rms("R", "COM")).isBetween(26.5, 28.5);
    }
}
