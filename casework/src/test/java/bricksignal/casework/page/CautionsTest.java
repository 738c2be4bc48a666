package bricksignal.casework.page;

import static org.assertj.core.api.Assertions.assertThat;

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
    @CsvSource({"try-inducer-cord, without warning", "try-inducer-cord, Line voltage", "press.P4, Line voltage", "reseat-P4, without warning",
        "feel-blower, Power off", "solder.P4, Power off", "ohms-igniter, Power off", "swap.igniter, Power off", "watch.cycles, monoxide",
        "watch.sequence, monoxide", "smell-burnt, monoxide", "v.L1.standby, Line voltage", "v.valve-hot.trial, Gas"})
    void cautionStandsAtTheTest(String test, String says) {
        assertThat(TestPage.cautions(FURNACE.model(), FURNACE.catalogue().test(test))).anyMatch(caution -> caution.contains(says));
    }

    @ParameterizedTest
    @CsvSource({"see-fuse", "hear-inducer", "see-filter"})
    void lookDaresNothing(String test) {
        assertThat(TestPage.cautions(FURNACE.model(), FURNACE.catalogue().test(test))).isEmpty();
    }

    /** No hand goes into any unit without a word. */
    @ParameterizedTest
    @MethodSource("packs")
    void everyQuestionThatTouchesHasACaution(String id) {
        CompiledPack pack = PackLibrary.ready(id);
        List<String> without = pack.catalogue().tests().stream().filter(test -> test instanceof bricksignal.core.unit.Test.Check check
                && check.sense() != Sense.LOOK && check.sense() != Sense.HEAR && check.sense() != Sense.SMELL && !check.sense().onlyAsks()
                && TestPage.cautions(pack.model(), test).isEmpty()).map(bricksignal.core.unit.Test::id).toList();
        assertThat(without).isEmpty();
    }
}
