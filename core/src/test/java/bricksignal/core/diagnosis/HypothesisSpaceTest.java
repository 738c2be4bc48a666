package bricksignal.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Set;
import org.junit.jupiter.api.Test;

class HypothesisSpaceTest {

    private final HypothesisSpace space = new HypothesisSpace(ChainUnit.model(4, 0.5));

    /** What is listed has 0.97 of the prior, pairs the rest: by the definition of both constants. */
    @Test
    void priorsOfWhatIsListedLeaveRoomForPairs() {
        assertThat(space.considered().stream().mapToDouble(Hypothesis::prior).sum()).isCloseTo(0.97, within(1e-12));
    }

    @Test
    void pairHasOneOrderHoweverItIsNamed() {
        assertThat(space.pair("open-3", "open-1")).isEqualTo(space.pair("open-1", "open-3"));
        assertThat(space.pair("open-3", "open-1").text()).isEqualTo("open-1+open-3");
        assertThatThrownBy(() -> space.pair("open-1", "open-1")).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("open-1");
    }

    @Test
    void moreProbableOfTwoIsNamedFirst() {
        Hypothesis pair = space.get(space.pair("open-1", "coil-open"));
        assertThat(pair.fault().id()).isEqualTo("coil-open");
        assertThat(pair.prior()).isCloseTo(2 * 0.03 * space.get(space.single("open-1")).prior()
                * space.get(space.single("coil-open")).prior(), within(1e-15));
    }

    @Test
    void repairLeavesWhatItDidNotTouch() {
        HypothesisId pair = space.pair("open-1", "open-3");
        assertThat(space.standing(pair, new Standing(Set.of("wire-1"), false, Set.of()))).isEqualTo(space.single("open-3"));
        assertThat(space.standing(pair, new Standing(Set.of("wire-1", "wire-3"), false, Set.of()))).isEqualTo(space.nothing());
        assertThat(space.standing(pair, new Standing(Set.of("wire-2"), false, Set.of()))).isEqualTo(pair);
        assertThat(space.standing(new HypothesisId.Intermittent("open-2"), new Standing(Set.of("wire-2"), false, Set.of()))).isEqualTo(space.nothing());
    }

    @Test
    void listedStandInOrderAndOthersNowhere() {
        for (int i = 0; i < space.considered().size(); i++) {
            assertThat(space.place(space.considered().get(i).id())).isEqualTo(i);
        }
        assertThat(space.place(space.pair("open-1", "open-2"))).isEqualTo(-1);
    }

    @Test
    void dutyIsAShare() {
        Hypothesis steady = space.get(space.single("open-1"));
        assertThatThrownBy(() -> new Hypothesis(steady.id(), steady.faults(), steady.parts(), 0, 0.1))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("duty");
    }
}
