package bricksignal.core.diagnosis.proof;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.BoardUnit;
import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.unit.Change;
import bricksignal.core.words.Message;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A verdict that hangs on one yes is looked at twice; one that numbers carry too is not (common practice of careful technicians). */
class SecondLookTest {

    private final CompiledPack chain = ChainUnit.of(5, 0);
    private final HypothesisId open = new HypothesisId.Single("open-3");

    /** A look that finds that wire off, nine times in ten, and another thirty times in a thousand. */
    private static Observation.Answer seen() {
        return new Observation.Answer(new bricksignal.core.unit.Test.Check("see-w3", Message.said("wire 3 off"), bricksignal.core.unit.Test.Sense.LOOK, ChainUnit.FOUND, null,
                Map.of("open-3", 0.9), 0.03, 1, "", Change.NONE), true);
    }

    private List<ProofItem> items(Diagnosis diagnosis) {
        return SecondLook.items(diagnosis, List.of(diagnosis.leader()));
    }

    @Test
    void oneLookAloneIsAskedAgain() {
        Diagnosis diagnosis = Diagnosis.of(chain).and(seen());
        assertThat(items(diagnosis)).singleElement().satisfies(item -> {
            assertThat(item.proven()).isFalse();
            assertThat(item.again()).isTrue();
            assertThat(item.tests()).containsExactly(seen().test().id());
            assertThat(item.asked()).isEqualTo(School.STRICT);
        });
    }

    @Test
    void madeTwiceItIsEnough() {
        assertThat(items(Diagnosis.of(chain).and(seen()).and(seen()))).isEmpty();
    }

    @Test
    void whatNumbersCarryTooNeedsNoSecondLook() {
        Observation.Reading fed = ChainUnit.volts(chain, "n2", 24);
        Observation.Reading dead = ChainUnit.volts(chain, "n3", 0);
        Diagnosis diagnosis = Diagnosis.of(chain).and(List.of(fed, fed, dead, dead, seen()));
        assertThat(diagnosis.leader()).isEqualTo(open);
        assertThat(items(diagnosis)).isEmpty();
    }

    /** A probe that does not touch reads nothing, one on the next terminal something else. */
    @Test
    void numbersThatCarryItAloneAreReadAgain() {
        Observation.Reading fed = ChainUnit.volts(chain, "n2", 24);
        Observation.Reading dead = ChainUnit.volts(chain, "n3", 0);
        Diagnosis once = Diagnosis.of(chain).and(List.of(fed, dead));
        assertThat(items(once)).extracting(ProofItem::tests).contains(List.of(dead.test().id()));
        assertThat(items(once)).allMatch(ProofItem::again).allMatch(item -> item.asked() == School.STRICT);
        assertThat(items(once.and(List.of(fed, dead)))).isEmpty();
    }

    /** Before a board goes too. */
    @Test
    void numberOnWhichABoardHangsIsReadTwice() {
        CompiledPack unit = BoardUnit.compiled();
        Observation.Reading dead = BoardUnit.volts(unit, "OUT", BoardUnit.CALLING, 0);
        Diagnosis once = Diagnosis.of(unit).and(List.of(BoardUnit.volts(unit, "R", BoardUnit.CALLING, 24), BoardUnit.volts(unit, "W", BoardUnit.CALLING, 23.8), dead,
                BoardUnit.read(unit, "ohms-coil", 40)));
        assertThat(once.leader()).isEqualTo(new HypothesisId.Single("relay-open"));
        assertThat(items(once)).extracting(ProofItem::tests).contains(List.of(dead.test().id()));
        assertThat(items(once.and(dead))).extracting(ProofItem::tests).doesNotContain(List.of(dead.test().id()));
    }
}
