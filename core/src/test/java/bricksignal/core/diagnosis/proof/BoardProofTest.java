package bricksignal.core.diagnosis.proof;

import static bricksignal.core.diagnosis.BoardUnit.CALLING;
import static bricksignal.core.diagnosis.BoardUnit.STANDBY;
import static bricksignal.core.diagnosis.BoardUnit.answer;
import static bricksignal.core.diagnosis.BoardUnit.read;
import static bricksignal.core.diagnosis.BoardUnit.volts;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.unit.Fault;
import bricksignal.core.words.Message;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What condemns a board: supply good, told at its own pins, dead at its own terminal, its load sound, the plug between seated. A careful technician's list
 * (common practice, no published source), held against a board of one input and one output.
 */
class BoardProofTest {

    private static final CompiledPack UNIT = BoardUnit.compiled();

    private static Fault fault(String id) {
        return UNIT.model().faults().stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    private static Diagnosis after(Observation... seen) {
        Diagnosis diagnosis = Diagnosis.of(UNIT);
        for (Observation one : seen) {
            diagnosis = diagnosis.and(one);
        }
        return diagnosis;
    }

    private static List<ProofItem> items(String id, Observation... seen) {
        return BoardProof.items(after(seen), fault(id), UNIT.model().part("board"));
    }

    private static ProofItem item(List<ProofItem> items, String key) {
        return items.stream().filter(one -> ((Message.Keyed) one.what()).key().equals("proof." + key)).findFirst().orElseThrow();
    }

    /** Supply, told, dead, load, plug: everything that stands between a dead load and a new board. */
    private static Observation[] all() {
        return new Observation[] {volts(UNIT, "R", CALLING, 24), volts(UNIT, "W", CALLING, 23.8), volts(UNIT, "OUT", CALLING, 0), read(UNIT, "ohms-coil", 40),
            answer(UNIT, "reseat-P", false)};
    }

    @Test
    void outputThatSendsNothingNeedsAllFive() {
        List<ProofItem> items = items("relay-open");
        assertThat(items).extracting(one -> ((Message.Keyed) one.what()).key()).containsExactlyInAnyOrder("proof.supply", "proof.input", "proof.output-dead", "proof.load",
                "proof.reseated");
        assertThat(items).noneMatch(ProofItem::proven).noneMatch(one -> one.tests().isEmpty());
        assertThat(items("relay-open", all())).allMatch(ProofItem::proven);
    }

    /** Each left out is missing alone; but where nobody measured that the board was told, a dead output says nothing either: the wire of the call leads. */
    @ParameterizedTest
    @CsvSource({"0, supply", "1, input output-dead", "2, output-dead", "3, load", "4, reseated"})
    void whatWasNotMeasuredIsMissingAndItsTestIsNamed(int without, String missing) {
        Observation[] seen = all();
        Observation[] rest = java.util.stream.IntStream.range(0, seen.length).filter(i -> i != without).mapToObj(i -> seen[i]).toArray(Observation[]::new);
        List<ProofItem> items = items("relay-open", rest);
        assertThat(items).filteredOn(one -> !one.proven()).extracting(one -> ((Message.Keyed) one.what()).key().substring("proof.".length())).containsExactlyInAnyOrder(
                missing.split(" "));
        assertThat(item(items, missing.split(" ")[0]).tests()).isNotEmpty();
    }

    /** 12 V are no supply, 5 V no call, 24 V at the terminal no dead output, and a coil of 1 ohm would burn the next board as well. */
    @ParameterizedTest
    @CsvSource({"R, 12, supply", "W, 5, input", "OUT, 24, output-dead"})
    void numberThatSaysOtherwiseProvesNothing(String net, double value, String not) {
        assertThat(item(items("relay-open", volts(UNIT, net, CALLING, value)), not).proven()).isFalse();
    }

    @Test
    void shortedLoadProvesNothing() {
        assertThat(item(items("relay-open", read(UNIT, "ohms-coil", 1)), "load").proven()).isFalse();
        assertThat(item(items("relay-open", read(UNIT, "ohms-coil", 42)), "load").proven()).isTrue();
    }

    /** While nothing calls, a dead output is as it should be. */
    @Test
    void deadWhileNothingCallsProvesNothing() {
        assertThat(item(items("relay-open", volts(UNIT, "OUT", STANDBY, 0)), "output-dead").proven()).isFalse();
        assertThat(item(items("relay-open"), "output-dead").tests()).contains("v.OUT." + CALLING).doesNotContain("v.OUT." + STANDBY);
    }

    /** The supply and the input are what the strict school asks for; the dead output every school does. */
    @Test
    void everySchoolAsksForTheOutputAndTheStrictForTheRest() {
        List<ProofItem> items = items("relay-open");
        assertThat(item(items, "output-dead").asked()).isEqualTo(School.USUAL);
        assertThat(item(items, "load").asked()).isEqualTo(School.USUAL);
        assertThat(item(items, "supply").asked()).isEqualTo(School.STRICT);
        assertThat(item(items, "input").asked()).isEqualTo(School.STRICT);
    }

    @Test
    void weldedContactIsShownByWhatComesWithoutACall() {
        assertThat(item(items("relay-welded", volts(UNIT, "OUT", STANDBY, 24)), "output-live").proven()).isTrue();
        assertThat(item(items("relay-welded", volts(UNIT, "OUT", CALLING, 24)), "output-live").proven()).as("it was told to").isFalse();
        assertThat(item(items("relay-welded", volts(UNIT, "OUT", STANDBY, 2)), "output-live").proven()).isFalse();
    }

    /** A board that does not hear what is there: told at its own pins, by every school, and its plug is not on the way. */
    @Test
    void deafInputIsShownByWhatIsAtItsPins() {
        List<ProofItem> items = items("deaf", volts(UNIT, "W", CALLING, 24));
        assertThat(item(items, "input").proven()).isTrue();
        assertThat(item(items, "input").asked()).isEqualTo(School.USUAL);
        assertThat(item(items("deaf", volts(UNIT, "W", CALLING, 0)), "input").proven()).isFalse();
        assertThat(items).extracting(one -> ((Message.Keyed) one.what()).key()).doesNotContain("proof.output-dead");
    }

    /** A dead board is nothing without its supply: there every school asks for it. */
    @Test
    void deadBoardIsShownByItsSupply() {
        assertThat(item(items("board-dead", volts(UNIT, "R", CALLING, 24)), "supply").proven()).isTrue();
        assertThat(item(items("board-dead"), "supply").asked()).isEqualTo(School.USUAL);
    }

    @Test
    void jointBehindAPlugIsNoFaultOfTheBoardItself() {
        assertThat(BoardProof.isInside(fault("relay-open"), UNIT.model().part("board"))).isTrue();
        assertThat(BoardProof.isInside(fault("pin-open"), UNIT.model().part("board"))).isFalse();
    }

    /** A board that was changed against that of a twin and back, and took the fault with it each time, needs no list. */
    @Test
    void faultThatWentWithTheBoardTwiceIsProof() {
        Observation went = answer(UNIT, "swap.board", true);
        assertThat(items("relay-open", went)).as("once may be the plug that was moved").anyMatch(one -> !one.proven());
        assertThat(items("relay-open", went, went)).singleElement().matches(ProofItem::proven).satisfies(one -> assertThat(((Message.Keyed) one.what()).key()).isEqualTo("proof.went-with-it"));
        assertThat(items("relay-open", went, answer(UNIT, "swap.board", false), went)).as("it stayed once").anyMatch(one -> !one.proven());
    }
}
