package bricksignal.casework;

import static bricksignal.casework.Units.FURNACE;
import static bricksignal.casework.Units.with;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.page.CasePage;
import bricksignal.casework.page.CasePages;
import bricksignal.casework.page.Details;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of an entry. */
class LogLinesTest {

    /** A code that no chart has is asked about: miscounted, another generation, another chart, another family. */
    @Test
    void codeOnNoChartIsAskedAbout() {
        Case strange = with(FURNACE, new Entry.Pattern(null, "5 flashes"));
        assertThat(CasePages.of(strange).unknownCodes()).singleElement().satisfies(said -> assertThat(Units.ENGLISH.sentence(said)).contains("5 flashes").contains("another generation")
                .contains("wrong equipment type").contains("4 flashes").contains("6 flashes").doesNotContain("3 flashes").doesNotContain("{"));
        assertThat(CasePages.of(with(FURNACE, new Entry.Pattern(null, "4 flashes"))).unknownCodes()).isEmpty();
        assertThat(CasePages.of(with(FURNACE, new Entry.Pattern(null, "5 flashes"), new Entry.Pattern(null, "4 flashes"))).unknownCodes()).as("counted again").isEmpty();
    }

    /** A bigger fuse than any that belongs to the unit is said, whatever stands around the number; a smaller one may be another branch. */
    @ParameterizedTest
    @CsvSource({"10 A, true", "10A slow, true", "3 A, false", "3, false", "1.5, false", "none, false"})
    void fuseThatIsTooBigIsSaid(String typed, boolean tooBig) {
        CasePage page = CasePages.of(with(FURNACE, new Entry.Plate(Entry.PlateOf.FUSE, typed)));
        assertThat(Units.ENGLISH.words(page.log().get(0).judgement()).contains("too big")).isEqualTo(tooBig);
    }

    /** A test that is asked a second time says why. */
    @Test
    void secondTimeSaysWhy() {
        Case now = with(FURNACE, new Entry.Pattern(null, "4 flashes"));
        String first = now.advice().proposals().get(0).test().id();
        String asked = Units.ENGLISH.words(Details.test(now, first).why());
        Case done = now.and(Units.filed("made", new Entry.TestReading(first, "0.9"), null));
        String again = Units.ENGLISH.words(Details.test(done, first).why());
        assertThat(asked).doesNotContain("once more");
        assertThat(again).startsWith("once more: ");
    }
}
