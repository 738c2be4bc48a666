package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.ROOFTOP;
import static bricksignal.casework.Units.fresh;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.page.Details;
import bricksignal.casework.page.TestPage;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a proposal says: where, what, when, what it should read; the why in a line. */
class InstructionTest {

    private static final int TWO_LINES = 200;
    private static final int ONE_LINE = 170;

    static Stream<CaseUnit> units() {
        return Stream.of(FURNACE, Units.shipped("f3-vehicle"), Units.shipped("f9-airhandler"), Units.shipped("f12-minisplit"), ROOFTOP);
    }

    private static String said(Case now, String test) {
        TestPage page = Details.test(now, test);
        return Stream.of(page.instruction(), page.moment(), page.should()).map(ENGLISH::words).filter(w -> !w.isEmpty())
                .reduce((a, b) -> a + " · " + b).orElseThrow();
    }

    /** The time after the call and what is due then; never that something runs which may be dead. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "v.IND.purge|board: red on inducer output, black on neutral on the board · 11 s after the call, with inducer on · expected 120 V AC",
        "v.R.standby|board terminals: red on R on the board, black on C on the board · power on and no call · expected 27.4 V AC",
        "ohms-igniter|igniter plug: red on igniter plug hot, black on igniter plug neutral · power off and proven off · expected 50 Ω",
        "watch.reset|Cycle the power. Does it run a whole cycle?",
        "new.igniter|Install a hot-surface igniter from the truck. Does it run? · on the call that failed"})
    void saysWhereWhatWhenAndWhatItShouldRead(String test, String words) {
        assertThat(said(fresh(FURNACE), test)).isEqualTo(words);
    }

    /** A new part is tried on the call that failed, whatever else the unit can do. */
    @Test
    void substitutionIsNotTiedToAnotherCall() {
        assertThat(said(fresh(ROOFTOP), "new.flame-rod")).doesNotContain("cooling");
    }

    @ParameterizedTest
    @MethodSource("units")
    void everyTestFitsTwoLinesAndNamesNothingByItsId(CaseUnit unit) {
        Case now = fresh(unit);
        for (bricksignal.core.unit.Test test : unit.pack().catalogue().tests()) {
            String words = said(now, test.id());
            assertThat(words.length()).as(words).isLessThanOrEqualTo(TWO_LINES);
            assertThat(words).as(test.id()).doesNotContain("{").doesNotContain("  ").doesNotContain("null");
        }
    }

    /** The why: at most three suspects, none that hardly matters, in one line; whatever was found before. */
    @ParameterizedTest
    @MethodSource("units")
    void whyIsOneLineWithSuspectsThatMatter(CaseUnit unit) {
        Case now = with(unit, new Entry.Pattern(null, "off"));
        for (bricksignal.core.unit.Test test : unit.pack().catalogue().tests()) {
            TestPage page = Details.test(now, test.id());
            assertThat(ENGLISH.words(page.why())).as(test.id()).doesNotContain("unlikely").hasSizeLessThanOrEqualTo(ONE_LINE);
            assertThat(page.outcomes()).allSatisfy(o -> assertThat(o.suspects()).hasSizeLessThanOrEqualTo(4));
        }
    }
}
