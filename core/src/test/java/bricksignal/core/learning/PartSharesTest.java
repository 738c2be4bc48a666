package bricksignal.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bricksignal.core.diagnosis.ChainUnit;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Three wires of weight 1 and a coil of weight 2, so fifths; the posterior of a Dirichlet law by hand: (prior count + count) / (all of both). */
class PartSharesTest {

    private final UnitModel chain = ChainUnit.model(3, 0);

    @Test
    void confirmedVisitsAreAddedToWhatThePackIsWorth() {
        List<PartShares.Share> shares = PartShares.of(chain, Map.of("wire-2", 5, "coil", 1), 10);
        assertThat(shares).extracting(PartShares.Share::part).containsExactly("wire-1", "wire-2", "wire-3", "coil");
        assertThat(shares).extracting(PartShares.Share::before).containsExactly(0.2, 0.2, 0.2, 0.4);
        assertThat(shares).extracting(PartShares.Share::after).containsExactly(2.0 / 16, 7.0 / 16, 2.0 / 16, 5.0 / 16);
        assertThat(shares.get(1).factor()).isCloseTo(7.0 / 16 * 5, within(1e-12));
    }

    /** Two visits, both to wire 1 of a fifth, and a pack worth 40: one fifth, then (8 + 1) / 41. */
    @Test
    void recordsAreForetoldOneAfterTheOther() {
        assertThat(PartShares.logEvidence(PartShares.of(chain, Map.of("wire-1", 2), 40), 40)).isCloseTo(Math.log(0.2 * 9 / 41), within(1e-12));
    }

    @Test
    void recordsThatLookLikeThePackHardlyMoveItAndOthersDo() {
        Map<String, Integer> alike = Map.of("wire-1", 60, "wire-2", 62, "wire-3", 57, "coil", 121);
        assertThat(PartShares.of(chain, alike)).allSatisfy(share -> assertThat(share.factor()).isBetween(0.97, 1.03));
        List<PartShares.Share> others = PartShares.of(chain, Map.of("wire-1", 200, "wire-2", 40, "wire-3", 40, "coil", 20));
        assertThat(others.get(0).after()).isBetween(0.6, 200.0 / 300);
        assertThat(others.stream().mapToDouble(PartShares.Share::after).sum()).isCloseTo(1, within(1e-12));
    }

    @Test
    void withoutVisitsThePackStands() {
        assertThat(PartShares.of(chain, Map.of("board", 4, "gone", 9))).allSatisfy(share ->
                assertThat(share.factor()).isCloseTo(1, within(1e-12)));
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> PartShares.of(chain, Map.of("coil", -1), 10)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("coil");
        assertThatThrownBy(() -> PartShares.of(chain, Map.of(), 0)).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("worth 0");
        assertThatThrownBy(() -> new Observation.Experience(Map.of("coil", 0.0))).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("coil");
    }

    /** Odds against a fault of another part move by the ratio of the factors, and nothing else does. */
    @Test
    void experienceMovesTheOddsAndNoPrediction() {
        CompiledPack pack = ChainUnit.of(3, 0);
        HypothesisId coil = new HypothesisId.Single("coil-open");
        HypothesisId wire = new HypothesisId.Single("open-2");
        Diagnosis start = Diagnosis.of(pack);
        Diagnosis told = start.and(new Observation.Experience(Map.of("coil", 0.5, "wire-2", 3.0)));
        assertThat(told.belief(wire) / told.belief(coil)).isCloseTo(6 * start.belief(wire) / start.belief(coil), within(1e-9));
        Observation.Reading dead = ChainUnit.volts(pack, "n3", 0);
        assertThat(told.likelihood(dead, wire)).isEqualTo(start.likelihood(dead, wire));
    }
}
