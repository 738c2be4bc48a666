package bricksignal.casework;

import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.filed;
import static bricksignal.casework.Units.fresh;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.Filed;
import bricksignal.casework.entry.Refused;
import bricksignal.core.unit.Stop;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** A log from elsewhere is let in by the rules of the job, and what they refuse is said. */
class ReplayTest {

    private static final Signer GAS = new Signer("Ines (gas license SK-1)", Set.of(Stop.Licence.GAS), false);

    private static Replay replay(Filed... sent) {
        return Replay.of(fresh(FURNACE), List.of(sent), Set.of(), filed -> Signer.NOBODY, () -> true);
    }

    private static List<String> why(Replay replay) {
        return replay.left().stream().map(left -> left.id() + " " + ((Message.Keyed) left.why()).key()).toList();
    }

    @Test
    void whatAnyoneCouldEnterIsTakenAndMakesTheSameCase() {
        Filed[] sent = {filed("a", new Entry.Pattern(null, "7 flashes"), null), filed("b", new Entry.TestReading("ohms-igniter", "50"), null),
            filed("c", new Entry.TakeBack(), "b"), filed("d", new Entry.TestReading("ohms-igniter", "OL"), null), filed("e", new Entry.Repaired("igniter"), null)};
        Replay replay = replay(sent);
        assertThat(replay.left()).isEmpty();
        assertThat(replay.taken()).containsExactly(sent);
        Case written = Case.of(FURNACE, replay.now().policy(), List.of(sent));
        assertThat(replay.now().verdict().leader()).isEqualTo(written.verdict().leader());
        assertThat(replay.now().diagnosis().repaired()).containsExactly("igniter");
    }

    /** A board that nothing condemns, shares of a company that nobody kept, an entry of another visit, a lifting without a licence. */
    @Test
    void whatTheRulesRefuseIsLeftAndSoIsWhatBuildsOnIt() {
        Replay replay = replay(filed("a", new Entry.Repaired("board"), null), filed("b", new Entry.Experience(List.of("board"), List.of(900.0)), null),
                filed("c", new Entry.TakeBack(), "of-another-visit"), filed("d", new Entry.Unread("FUTURE", "{}", "no such kind"), null),
                filed("e", new Entry.Stopped(Stop.GAS_SMELL), null), filed("f", new Entry.Lifted(Stop.GAS_SMELL, "all fine", "a person with a licence"), null),
                filed("g", new Entry.Watched(30), null), filed("h", new Entry.Note("seen"), null), filed("h", new Entry.Note("seen again"), null),
                filed("i", new Entry.TakeBack(), "a"));
        assertThat(why(replay)).containsExactly("a entry.board-not-proven", "b entry.own-records", "c entry.supersedes-nothing", "d entry.not-understood",
                "f entry.needs-licence", "g entry.stopped", "h entry.twice", "i entry.supersedes-nothing");
        assertThat(replay.taken()).extracting(Filed::id).containsExactly("e", "h");
        assertThat(replay.now().stops()).containsOnlyKeys(Stop.GAS_SMELL);
        replay.left().forEach(left -> assertThat(Units.ENGLISH.sentence(left.why())).isNotEmpty().doesNotContain("{0}"));
    }

    @Test
    void whoeverHadTheLicenceOnThatDayLiftedIt() {
        List<Filed> sent = List.of(filed("e", new Entry.Stopped(Stop.GAS_SMELL), null), filed("f", new Entry.Lifted(Stop.GAS_SMELL, "union tight, 0", "forged"), null));
        Replay replay = Replay.of(fresh(FURNACE), sent, Set.of(), filed -> filed.id().equals("f") ? GAS : Signer.NOBODY, () -> true);
        assertThat(replay.left()).isEmpty();
        assertThat(replay.now().stops()).isEmpty();
        assertThat(((Entry.Lifted) replay.taken().get(1).entry()).by()).isEqualTo(GAS.name());
    }

    @Test
    void whenTheTimeIsOverNothingIsTaken() {
        AtomicInteger asked = new AtomicInteger();
        List<Filed> sent = List.of(filed("a", new Entry.Note("one"), null), filed("b", new Entry.Note("two"), null));
        assertThatThrownBy(() -> Replay.of(fresh(FURNACE), sent, Set.of(), filed -> Signer.NOBODY, () -> asked.getAndIncrement() < 1)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(Units.ENGLISH.sentence(refused.says())).contains("takes too long").contains("Nothing was taken in"));
    }
}
