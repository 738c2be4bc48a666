package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.unit.Test.Check;
import bricksignal.core.unit.Test.Sense;
import org.junit.jupiter.api.Test;

class WatchTestTest {

    private final CompiledPack chain = ChainUnit.of(3, 0.5);

    /** By hand: five cycles, each with the fault there at its duty, and two in a hundred wrong either way. */
    @Test
    void oneOfFiveCyclesFails() {
        double seen = 1 - Math.pow(1 - 0.35, 5);
        assertThat(WatchTest.yes(Sense.CYCLES, true, 0.35, 0)).isCloseTo(0.02 + 0.96 * seen, within(1e-12));
        assertThat(WatchTest.yes(Sense.CYCLES, false, 1, 0)).isCloseTo(0.02, within(1e-12));
    }

    @Test
    void resetAsksWhetherItRuns() {
        assertThat(WatchTest.yes(Sense.RESET, true, 1, 0)).isCloseTo(0.02, within(1e-12));
        assertThat(WatchTest.yes(Sense.RESET, false, 1, 0)).isCloseTo(0.98, within(1e-12));
    }

    @Test
    void heatBringsOutWhatIsIntermittent() {
        assertThat(WatchTest.yes(Sense.WARM, true, 0.35, 0)).isGreaterThan(WatchTest.yes(Sense.RESET, false, 1, 0) - 0.5).isBetween(0.55, 0.65);
    }

    /** What comes with running is not there right after a reset, and nearly always there once all is warm. */
    @Test
    void whatComesWithRunningRunsAfterAReset() {
        assertThat(WatchTest.yes(Sense.RESET, true, 0.35, 10)).isCloseTo(0.98, within(1e-12));
        double half = 0.02 + 0.96 * 0.9 * (0.7 * 0.5 + 0.3);
        assertThat(WatchTest.yes(Sense.WARM, true, 0.35, 20)).as("half of those about twenty minutes come in twenty").isCloseTo(half, within(1e-6));
        assertThat(WatchTest.yes(Sense.WARM, true, 0.35, 5)).isGreaterThan(half + 0.2);
        assertThat(WatchTest.yes(Sense.WARM, true, 0.35, 90)).isBetween(0.02 + 0.96 * 0.9 * 0.3, half - 0.2);
    }

    @Test
    void seenToFailIsAYesToAWatchedRun() {
        Check cycles = (Check) chain.catalogue().test("watch.cycles");
        Check reset = (Check) chain.catalogue().test("watch.reset");
        assertThat(WatchTest.seenToFail(new Observation.Answer(cycles, true))).isTrue();
        assertThat(WatchTest.seenToFail(new Observation.Answer(cycles, false))).isFalse();
        assertThat(WatchTest.seenToFail(new Observation.Answer(reset, true))).isFalse();
    }

    /** Once it is seen to fail an intermittent fault is nearly always there, and what was read before counts no more as answered. */
    @Test
    void afterItWasSeenToFailTestsAreOpenAgain() {
        Observation.Reading read = ChainUnit.volts(chain, "n2", 24);
        Check cycles = (Check) chain.catalogue().test("watch.cycles");
        Diagnosis before = Diagnosis.of(chain, java.util.List.of(read));
        Diagnosis after = before.and(new Observation.Answer(cycles, true));
        assertThat(before.answered(read.test())).isTrue();
        assertThat(after.answered(read.test())).isFalse();
        assertThat(after.hypotheses()).contains(new HypothesisId.Failing("open-1")).doesNotContain(
                new HypothesisId.Intermittent("open-1"));
        assertThat(after.answered(cycles)).as("it may be watched for again").isFalse();
    }
}
