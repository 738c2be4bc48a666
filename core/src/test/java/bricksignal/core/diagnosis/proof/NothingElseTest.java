package bricksignal.core.diagnosis.proof;

import static bricksignal.core.diagnosis.BoardUnit.CALLING;
import static bricksignal.core.diagnosis.BoardUnit.answer;
import static bricksignal.core.diagnosis.BoardUnit.read;
import static bricksignal.core.diagnosis.BoardUnit.volts;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.words.Message;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Whatever explains the log as well must be told away first: before a board, the listed too; how rare it is does not count (common practice, no published source). */
class NothingElseTest {

    private static final CompiledPack UNIT = BoardUnit.compiled();

    private static Diagnosis after(Observation... seen) {
        Diagnosis diagnosis = Diagnosis.of(UNIT);
        for (Observation one : seen) {
            diagnosis = diagnosis.and(one);
        }
        return diagnosis;
    }

    private static List<String> rivals(Diagnosis diagnosis, String leader) {
        return NothingElse.items(diagnosis, new HypothesisId.Single(leader)).stream().map(item -> ((Message.Keyed) item.what()).parts().get(0).toString()).toList();
    }

    /** The coil has nothing: relay, plug, breaker, wire of the call explain that alike. The heaviest three are named. */
    @Test
    void boardIsNotCondemnedWhileAWireExplainsItAsWell() {
        Diagnosis dead = after(volts(UNIT, "hot", CALLING, 0));
        assertThat(rivals(dead, "relay-open")).hasSize(3).anyMatch(rival -> rival.contains("pin-open")).anyMatch(rival -> rival.contains("breaker")).anyMatch(
                rival -> rival.contains("text=call"));
        NothingElse.items(dead, new HypothesisId.Single("relay-open")).forEach(item -> {
            assertThat(item.proven()).isFalse();
            assertThat(item.tests()).isNotEmpty();
        });
    }

    /** The call at the board's pin tells the wire away, nothing at its terminal the plug. */
    @Test
    void whatWasToldAwayIsNoRivalAnyMore() {
        Diagnosis told = after(volts(UNIT, "hot", CALLING, 0), volts(UNIT, "W", CALLING, 24));
        assertThat(rivals(told, "relay-open")).noneMatch(rival -> rival.contains("wire-open") || rival.contains("text=call") || rival.contains("breaker")).anyMatch(rival -> rival.contains("pin-open"));
        Diagnosis dead = told.and(volts(UNIT, "OUT", CALLING, 0)).and(volts(UNIT, "R", CALLING, 24)).and(read(UNIT, "ohms-coil", 40)).and(answer(UNIT, "reseat-P", false));
        assertThat(rivals(dead, "relay-open")).noneMatch(rival -> rival.contains("pin-open") || rival.contains("wire-open") || rival.contains("coil"));
    }

    /** Another fault of the same board does not change what is done. */
    @Test
    void faultsOfTheSamePartAreNoRivals() {
        assertThat(rivals(after(volts(UNIT, "hot", CALLING, 0)), "relay-open")).noneMatch(rival -> rival.contains("deaf") || rival.contains("board-dead"));
    }

    /** A plug costs five dollars and a look: the listed faults are weighed by the belief, not asked for by name. */
    @Test
    void cheapPartIsNotHeldAgainstTheListedFaults() {
        assertThat(rivals(after(volts(UNIT, "hot", CALLING, 0)), "pin-open")).noneMatch(rival -> rival.contains("wire-open") || rival.contains("relay-open"));
    }

    @Test
    void nothingUnlistedIsOfferedWhereTheListExplainsIt() {
        assertThat(NothingElse.wouldExplain(after(volts(UNIT, "W", CALLING, 24), volts(UNIT, "OUT", CALLING, 0)))).isEmpty();
    }
}
