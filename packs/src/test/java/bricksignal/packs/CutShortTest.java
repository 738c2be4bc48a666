package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * A limit that opens in the middle of a run does so when the heat says so, and high fire comes when the clock says so: a unit that got as far as high fire before it
 * overheated has told one thing by it, however many readings are taken there. (A limit trip explained by "stuck in post-purge" had been proven by four of them.)
 */
class CutShortTest {

    private static final Map<String, String> ZONED = new LinkedHashMap<>(Map.of("ignition", "spark", "blower", "tapped", "second", "timed", "zones", "several"));
    private static final CompiledPack PACK = CompiledPack.of(PackReader.read(PackLibrary.text("f2-furnace", ZONED)), ErrorModel.defaults());
    private static final List<String> AT_HIGH_FIRE = List.of("v.valve-high.high", "v.INDH.high", "v.MVH.high", "v.ps-high.high", "v.PSH.high");

    private static double odds(Diagnosis seen, String fault) {
        HypothesisId id = PACK.space().single(fault);
        return seen.belief(id) / seen.belief(PACK.space().nothing());
    }

    /** Each as the unit in good order shows it there. */
    private static Diagnosis readAsExpected(Diagnosis seen, String test) {
        var reading = (bricksignal.core.unit.Test.Reading) PACK.catalogue().test(test);
        return seen.and(new Observation.Reading(reading, PACK.predictions().nominalValue(reading)));
    }

    /** How much less likely a fault is, beside a healthy unit, when all of that was read. */
    private static double weighedBy(String fault) {
        Diagnosis seen = Diagnosis.of(PACK);
        double before = odds(seen, fault);
        for (String test : AT_HIGH_FIRE) {
            seen = readAsExpected(seen, test);
        }
        return odds(seen, fault) / before;
    }

    @Test
    void stageThatAnotherUnitWouldNotHaveReachedTellsOnce() {
        assertThat(weighedBy("damper-stuck")).as("the limit may open after high fire").isBetween(0.02, 1.0);
    }

    /**
     * What a board holds once it has stopped is its maker's: ours keeps the exhaust fan on when the draft is lost, another lets go of it. Without power there then, and with
     * power in the first seconds, is no dead output. (Strangers had named a sound board for it in nine visits of a hundred.)
     */
    @Test
    void outputThatABoardLetsGoOfWhenItStopsIsNotDead() {
        CompiledPack stove = CompiledPack.of(PackReader.read(PackLibrary.text("f7-stove", Map.of())), ErrorModel.defaults());
        Diagnosis seen = Diagnosis.of(stove);
        for (Map.Entry<String, Double> read : Map.of("v.EXH.starting", 118.0, "v.EXH.lighting", 0.0, "v.EXH.running", 0.0, "amps-exhaust-fan", 0.0).entrySet()) {
            seen = seen.and(new Observation.Reading((bricksignal.core.unit.Test.Reading) stove.catalogue().test(read.getKey()), read.getValue()));
        }
        assertThat(seen.belief(stove.space().single("exhaust-fan-stuck"))).isGreaterThan(seen.belief(stove.space().single("board-exhaust")));
    }

    @Test
    void contactThatIsOpenFromTheStartIsNoTripInTheMiddle() {
        assertThat(weighedBy("high-draft-open")).as("the valve would have had no power").isLessThan(1e-4);
    }
}
