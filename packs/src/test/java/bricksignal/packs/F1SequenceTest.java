package bricksignal.packs;

import static bricksignal.packs.F1.at;
import static bricksignal.packs.F1.ever;
import static bricksignal.packs.F1.nominal;
import static bricksignal.packs.F1.starts;
import static bricksignal.packs.F1.when;
import static bricksignal.packs.F1.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.board.run.Timeline;
import bricksignal.core.lamp.LampPattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The sequence of family F1 with its times. All of it is common practice in the trade (no published source), the times
 * chosen for this pack out of the usual ranges: pre-purge about 15 s, igniter about 7 s before gas, trial 3 to 7 s, inducer
 * post-purge 5 to 15 s, blower on delay 30 or 45 s, off delay 60 to 180 s, lockout after three tries.
 */
class F1SequenceTest {

    private static double lasts(Timeline run, String condition) {
        double[] stretch = run.firstStretch(when(condition)).orElseThrow();
        return stretch[1] - stretch[0];
    }

    @ParameterizedTest
    @CsvSource({"state.burner.purge, 15", "state.burner.warm-up, 7", "state.burner.trial, 5", "state.burner.post-purge, 10",
        "state.blower.on-delay, 30", "state.blower.off-delay, 90"})
    void stageLasts(String stage, double seconds) {
        assertThat(lasts(nominal(), stage)).isCloseTo(seconds, within(0.01));
    }

    @Test
    void stagesComeInOrder() {
        String[] stages = {"idle", "draft-check", "draft-proving", "purge", "warm-up", "trial", "run", "post-purge"};
        double before = 0;
        for (String stage : stages) {
            double start = starts(nominal(), "state.burner." + stage);
            assertThat(start).as(stage).isGreaterThan(before);
            before = start;
        }
    }

    @Test
    void igniterHasLineVoltageForSevenSecondsBeforeGas() {
        assertThat(starts(nominal(), "amps.gas-valve >= 0.3") - starts(nominal(), "amps.igniter >= 1"))
                .isCloseTo(7, within(0.01));
    }

    @Test
    void nominalUnitRunsUntilTheCallEnds() {
        assertThat(nominal().chattering()).isFalse();
        assertThat(nominal().share(when("flame >= 0.5"), 60, 400)).isEqualTo(1);
        assertThat(at(nominal(), 600, "airflow")).isLessThan(0.01);
    }

    @Test
    void closedDraftSwitchBeforeTheInducerStopsTheStart() {
        assertThat(ever(with("draft-welded"), "amps.inducer-motor >= 0.5")).isFalse();
        assertThat(with("draft-welded").at(300).unit().lamps().get("board")).isEqualTo(LampPattern.flashes(6));
    }

    @Test
    void openLimitStopsItAndRunsTheBlowerToCool() {
        Timeline run = with("limit-failed");
        assertThat(ever(run, "state.burner.warm-up")).isFalse();
        assertThat(at(run, 300, "airflow")).isGreaterThan(0.9);
        assertThat(run.at(300).unit().lamps().get("board")).isEqualTo(LampPattern.flashes(3));
    }

    @Test
    void rodWireOffLightsAndDropsAtTheEndOfTheTrialThreeTimes() {
        Timeline run = with("rod-wire-off");
        assertThat(lasts(run, "flame >= 0.5")).as("flame lasts as long as the trial").isCloseTo(5, within(0.4));
        assertThat(ever(run, "state.burner.run")).isFalse();
        assertThat(run.at(300).unit().lamps().get("board")).isEqualTo(LampPattern.flashes(7));
        assertThat(run.intervals().stream().filter(i -> i.unit().states().get("burner").equals("trial"))
                .map(i -> i.unit().entered().get("burner")).distinct()).as("tries").hasSize(3);
    }

    @Test
    void withoutBurnerGroundThereIsFlameAndNoFlameSignal() {
        Timeline run = with("burner-unground");
        assertThat(ever(run, "flame >= 0.5")).isTrue();
        assertThat(ever(run, "in.flame")).isFalse();
    }

    @Test
    void cloggedFilterTripsTheLimitAgainAndAgain() {
        Timeline run = with("filter-clogged");
        assertThat(ever(run, "state.burner.run")).isTrue();
        assertThat(run.share(when("state.burner.limit-open"), 60, 400)).isBetween(0.05, 0.95);
    }

    @Test
    void shortedThermostatCableBlowsTheFuse() {
        assertThat(with("wires-shorted").at(300).unit().powered()).isEmpty();
    }

    @Test
    void weakCapacitorHumsAndDoesNotTurn() {
        Timeline run = with("capacitor-weak");
        double blower = F1.PACK.catalogue().seconds("blower");
        assertThat(at(run, blower, "amps.blower-main")).isGreaterThan(4);
        assertThat(at(run, blower, "airflow")).isLessThan(0.01);
    }

    @Test
    void weldedBlowerRelayNeverStops() {
        assertThat(at(with("board-blower-welded"), 8, "airflow")).isGreaterThan(0.5);
        assertThat(at(with("board-blower-welded"), 600, "airflow")).isGreaterThan(0.9);
    }

    @Test
    void offDelayFollowsTheSwitches() {
        assertThat(lasts(with("delay-long"), "state.blower.off-delay")).isCloseTo(180, within(0.01));
    }

    /** Values of the trade, common practice unless marked: what a sound unit of this family reads. */
    @ParameterizedTest
    @CsvSource({"v.R.standby, 24, 28.5", "v.L1.standby, 114, 126", "v.hsi-plug.warm-up, 114, 126", "v.MV.trial, 24, 28.5",
        "v.rod.standby, 90, 110", "ohms-igniter, 40, 60", "flame-current, 2, 5", "draft-gauge, 0.7, 1.2",
        "uf-capacitor, 7.05, 7.95"})
    void soundUnitReadsWhatTheTradeExpects(String test, double least, double most) {
        assertThat(F1.shows("nothing-now", test)).isBetween(least, most);
    }

    @Test
    void brokenDraftReturnReadsAGhost() {
        assertThat(F1.shows("pin-draft", "v.ps-no.standby")).as("ghost on an open conductor").isBetween(9.0, 20.0);
        assertThat(F1.shows("nothing-now", "v.ps-no.standby")).isLessThan(0.5);
    }
}
