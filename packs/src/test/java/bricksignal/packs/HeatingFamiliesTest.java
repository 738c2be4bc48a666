package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.run.Timeline;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What furnaces of two stages, boilers, stoves and modules must show (common practice, no source, unless one is named). */
class HeatingFamiliesTest {

    /** Higher heating value of wood pellets, Btu a pound: 8,000 to 8,600 (from memory; pellet fuel standards give about 8,200). */
    private static final double PELLET_BTU = 8200;

    private static Timeline usual(String id, Map<String, String> chosen) {
        UnitModel model = PackReader.read(PackLibrary.text(id, chosen));
        return VirtualUnit.of(model, model.machine()).usualRun();
    }

    private static double[] stretch(Timeline run, String condition) {
        return run.firstStretch(F1.when(condition)).orElseThrow();
    }

    // --- F2 --------------------------------------------------------------------------------------------------------------------------------

    @ParameterizedTest
    @CsvSource({"draft-gauge, 0.7, 0.8", "high-draft-gauge, 1.2, 1.3", "manifold-low, 1.6, 1.9", "manifold-high, 3.3, 3.7", "plenum-temp, 116, 126"})
    void furnaceOfTwoStagesReadsAsItsPlate(String test, double least, double most) {
        assertThat(Compiled.of("f2-furnace").shows("nothing-now", test)).isBetween(least, most);
    }

    @Test
    void tapThatIsNotFedShowsWhatTheWindingMakes() {
        Compiled unit = Compiled.of("f2-furnace");
        assertThat(unit.shows("board-ind-high", "v.INDH.high")).as("low tap fed, high tap idle").isBetween(60.0, 90.0);
        assertThat(unit.shows("board-ind-high", "v.INDH.tested-high")).as("nothing fed").isLessThan(1);
    }

    @Test
    void callThatStandsWhenPowerComesGivesAMinuteOfAirFirst() {
        UnitModel model = Compiled.of("f2-furnace").pack().model();
        Timeline run = VirtualUnit.of(model, model.machine().withHeld("call", 1)).usualRun();
        double[] first = stretch(run, "state.burner.blower-first");
        assertThat(first[1] - first[0]).isCloseTo(60, within(1.0));
        assertThat(run.first(F1.when("out.inducer")).orElseThrow().start()).isGreaterThan(first[1] - 0.01);
    }

    // --- F4 --------------------------------------------------------------------------------------------------------------------------------

    @Test
    void damperTakesTenToFifteenSecondsAndNothingLightsBefore() {
        Timeline run = usual("f4-boiler", Map.of());
        double[] opening = stretch(run, "state.burner.damper");
        assertThat(opening[1] - opening[0]).isBetween(10.0, 15.0);
        assertThat(run.first(F1.when("out.pilot")).orElseThrow().start()).isGreaterThanOrEqualTo(opening[1]);
    }

    // --- F5 --------------------------------------------------------------------------------------------------------------------------------

    /** A straight line from 150 F at 0 F outdoors to 110 F at 70 F, by hand: 138.6 F at 20 F. */
    @Test
    void outdoorResetGoesAlongItsLine() {
        Timeline run = usual("f5-boiler", Map.of("reset", "outdoor"));
        assertThat(run.at(300).unit().at(300).value("target")).isCloseTo(138.57, within(0.1));
    }

    @Test
    void openSensorReadsColdOnTheDisplayAndAShortedOneHot() {
        Compiled unit = Compiled.of("f5-boiler");
        double felt = unit.shows("nothing-now", "supply-felt");
        assertThat(unit.shows("nothing-now", "supply-shown")).isCloseTo(felt, within(0.5));
        assertThat(unit.shows("supply-open", "supply-shown")).isLessThan(0);
        assertThat(unit.shows("supply-short", "supply-shown")).isGreaterThan(250);
        assertThat(unit.at("supply-open", "found").unit().lamps().get("board").text()).isEqualTo("display E7");
    }

    // --- F6, F7 ----------------------------------------------------------------------------------------------------------------------------

    /** 2 s of 10 on the lowest level, 3 s on the next; what it gives is pounds an hour times Btu a pound. */
    @ParameterizedTest
    @CsvSource({"2, 2.5", "3, 3.75", "7, 8.75"})
    void levelSetsTheFeedAndTheFeedTheHeat(double seconds, double pounds) {
        UnitModel model = Compiled.of("f6-stove").pack().model();
        Timeline run = VirtualUnit.of(model, model.machine().withParameter("feed-time", seconds)).usualRun();
        assertThat(run.share(F1.when("out.feed"), 700, 1000)).isCloseTo(seconds / 10, within(0.01));
        double fed = run.share(F1.when("amps.auger >= 0.3"), 700, 1000) * 12.5;
        assertThat(fed).isCloseTo(pounds, within(0.2));
        assertThat(fed * PELLET_BTU).as("Btu/h, before the flue takes its share").isBetween(15_000.0, 80_000.0);
    }

    @Test
    void coldStoveBlinksItsLampAndDoesNotFeed() {
        Compiled unit = Compiled.of("f6-stove");
        assertThat(unit.shows("nothing-now", "v.FEED.first")).isGreaterThan(110);
        assertThat(unit.shows("nothing-now", "v.AUG.first")).isLessThan(20);
        assertThat(unit.shows("nothing-now", "v.AUG.turning")).isGreaterThan(110);
        assertThat(stretch(unit.with("nothing-now"), "stove >= 110")[0]).as("minutes after it was lit").isBetween(120.0, 400.0);
    }

    @Test
    void startTakesTwelveToFifteenMinutes() {
        double[] start = stretch(usual("f7-stove", Map.of()), "state.burner.startup");
        assertThat((start[1] - start[0]) / 60).isBetween(11.5, 15.0);
    }

    @Test
    void exhaustFanThatNeverStopsIsAClosedFireDisc() {
        Compiled unit = Compiled.of("f7-stove");
        assertThat(unit.at("nothing-now", "after").unit().outputs()).doesNotContain("exhaust");
        assertThat(unit.at("fire-disc-welded", "after").unit().outputs()).contains("exhaust");
    }

    @Test
    void lazyFlameAndBlackGlassComeOfTooLittleAir() {
        Compiled unit = Compiled.of("f7-stove");
        assertThat(unit.at("gasket-leaks", "found").unit().at(1400).value("air")).isLessThan(0.7);
        assertThat(unit.at("nothing-now", "found").unit().at(1400).value("air")).isGreaterThan(0.95);
    }

    // --- F11 -------------------------------------------------------------------------------------------------------------------------------

    @Test
    void moduleWithoutItsGroundWireHasNoFlameSignal() {
        Compiled unit = Compiled.of("f11-module");
        assertThat(unit.shows("nothing-now", "flame-current")).isBetween(1.5, 6.0);
        assertThat(unit.shows("burner-unground", "flame-current")).isLessThan(0.1);
    }
}
