package bricksignal.core.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.diagnosis.ChainUnit;
import java.util.Map;
import org.junit.jupiter.api.Test;

class BoardMapTest {

    @Test
    void partThatIsNoBoardHasNoMap() {
        assertThatThrownBy(() -> BoardMap.of(ChainUnit.of(2, 0).model(), ChainUnit.of(2, 0).model(), "coil", Map.of())).hasMessageContaining("'coil' is no board");
    }

    @Test
    void settingNobodyWroteDownDiffers() {
        assertThat(new BoardMap.Carried("delay", "Delay", null, "A", "A", false).differs()).isTrue();
        assertThat(new BoardMap.Carried("delay", "Delay", "A", "A", "A", true).differs()).isFalse();
        assertThat(new BoardMap.Carried("delay", "Delay", "C", "B", "A", true).differs()).as("not as the factory left it").isTrue();
        assertThat(new BoardMap.Carried("delay", "Delay", "C", "A", "A", false).differs()).as("only the nearest").isTrue();
    }
}
