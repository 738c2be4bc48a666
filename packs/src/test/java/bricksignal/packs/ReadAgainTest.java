package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import org.junit.jupiter.api.Test;

/** A second reading of one place, nothing changed between: it excludes a slip, and says little that the first did not say. */
class ReadAgainTest {

    private static final CompiledPack FURNACE = PackLibrary.ready("f1-furnace");

    private static Diagnosis read(double... values) {
        Diagnosis seen = Diagnosis.of(FURNACE);
        for (double value : values) {
            seen = seen.and(new Observation.Reading((bricksignal.core.unit.Test.Reading) FURNACE.catalogue().test("v.PSI.purge"), value));
        }
        return seen;
    }

    /** How much likelier an open pressure switch is than a healthy unit. */
    private static double odds(Diagnosis seen) {
        HypothesisId open = FURNACE.space().single("draft-open");
        return seen.belief(open) / seen.belief(FURNACE.space().nothing());
    }

    @Test
    void firstReadingTellsAndTheSecondConfirms() {
        double first = odds(read(0)) / odds(read());
        double second = odds(read(0, 0)) / odds(read(0));
        double third = odds(read(0, 0, 0)) / odds(read(0, 0));
        assertThat(first).as("dead where 27 V are expected").isGreaterThan(500);
        assertThat(second).as("no slip then").isBetween(3.0, 20.0);
        assertThat(third).as("and no more news").isBetween(1.0, 3.0);
    }

    @Test
    void slipIsForgottenOnceTheSamePlaceReadsOtherwise() {
        assertThat(odds(read(0, 27.3))).isLessThan(odds(read(0)) / 500);
    }

    @Test
    void readingAfterARepairIsAnother() {
        Diagnosis repaired = read(0).and(new Observation.Repaired("draft-switch"));
        Observation again = new Observation.Reading((bricksignal.core.unit.Test.Reading) FURNACE.catalogue().test("v.PSI.purge"), 0);
        double anew = odds(repaired.and(again), "hose-leaks") / odds(repaired, "hose-leaks");
        assertThat(anew).as("as telling as a first one").isGreaterThan(500);
    }

    private static double odds(Diagnosis seen, String fault) {
        return seen.belief(seen.now(FURNACE.space().single(fault))) / seen.belief(FURNACE.space().nothing());
    }
}
