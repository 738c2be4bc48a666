package bricksignal.casework.page;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.danger.Hazard;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.unit.Test.Sense;
import bricksignal.packs.PackLibrary;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Where the work can hurt somebody the usual caution stands at that place, at questions too (common practice, no source). */
class CautionsTest {

    private static final CompiledPack FURNACE = PackLibrary.ready("f1-furnace");

    static Stream<String> packs() {
        return PackLibrary.ids().stream();
    }

    @ParameterizedTest
    @CsvSource({"press.P4, MOVING", "press.P4, LINE", "reseat-P4, MOVING", "feel-blower, DEAD_WORK", "solder.P4, DEAD_WORK", "ohms-igniter, DEAD_WORK",
        "ohms-igniter, HOT", "swap.igniter, DEAD_WORK", "swap.igniter, GAS_SHUT", "watch.cycles, FLAME", "watch.sequence, FLAME", "smell-burnt, SMELL",
        "v.L1.standby, LINE", "gas-gauge, GAS_TAP", "flame-current, SERIES", "feed.gas-valve, GAS_SHUT", "feed.inducer-motor, DEAD_WORK"})
    void cautionStandsAtTheTest(String test, Hazard hazard) {
        assertThat(TestPage.cautions(FURNACE, FURNACE.catalogue().test(test))).contains(hazard.before());
    }

    @ParameterizedTest
    @CsvSource({"see-fuse", "see-filter"})
    void lookDaresNothing(String test) {
        assertThat(TestPage.cautions(FURNACE, FURNACE.catalogue().test(test))).doesNotContain(Hazard.LINE.before(), Hazard.MOVING.before(), Hazard.DEAD_WORK.before());
    }

    /** No hand goes into any unit without a word. */
    @ParameterizedTest
    @MethodSource("packs")
    void everyQuestionThatTouchesHasACaution(String id) {
        CompiledPack pack = PackLibrary.ready(id);
        List<String> without = pack.catalogue().tests().stream().filter(test -> test instanceof bricksignal.core.unit.Test.Check check
                && check.sense() != Sense.LOOK && check.sense() != Sense.HEAR && check.sense() != Sense.SMELL && !check.sense().onlyAsks()
                && TestPage.cautions(pack, test).isEmpty()).map(bricksignal.core.unit.Test::id).toList();
        assertThat(without).isEmpty();
    }
}
