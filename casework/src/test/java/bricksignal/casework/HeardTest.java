package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.CustomerTest;
import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What customers say, understood as evidence (common practice, no published source; the complaints are invented). */
class HeardTest {

    private static final CaseUnit HEAT_PUMP = Units.shipped("f10-heatpump");

    private static List<String> understood(String pack, String complaint) {
        UnitModel model = Units.shipped(pack).model();
        return Heard.understood(complaint, model, ENGLISH::words).stream().map(said -> ENGLISH.words(said.says())).toList();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "f10-heatpump|Outside is a block of ice, heat is lukewarm|Iced over, Blows cold or lukewarm",
        "f10-heatpump|Blows cold since the new thermostat|Blows cold or lukewarm, Since work or a change",
        "f1-furnace|Blower never stops|The fan never stops",
        "f1-furnace|Lights and goes out again after a minute|The burner runs, The burner starts, then stops",
        "f8-airhandler|no air at all, and it hums|The fan never runs, Hums without running",
        "f18-leak|thermostat blank since service|Thermostat dark, Since work or a change",
        "f1-furnace|Es kommt keine warme Luft|''",
        "f1-furnace|it is cold|''"})
    void wordsOfTheTradeAreUnderstood(String pack, String complaint, String says) {
        assertThat(String.join(", ", understood(pack, complaint))).isEqualTo(says);
    }

    /** Who says a thing and its contrary has said neither. */
    @Test
    void contraryWordsAreNotTaken() {
        assertThat(understood("f8-airhandler", "first the fan runs, then the fan does not run")).isEmpty();
    }

    @Test
    void longComplaintIsReadInATwinkle() {
        assertThat(understood("f1-furnace", "blah ".repeat(800) + "blower never stops")).containsExactly("The fan never stops");
    }

    static Stream<CaseUnit> units() {
        return Stream.of("f1-furnace", "f4-boiler", "f7-stove", "f8-airhandler", "f10-heatpump", "f12-minisplit", "f14-rooftop").map(Units::shipped);
    }

    /** Whatever can be said has its words, its phrases, and is a question of the unit. */
    @ParameterizedTest
    @MethodSource("units")
    void everyStatementHasItsWords(CaseUnit unit) {
        List<Heard.Statement> all = Heard.of(unit.model());
        assertThat(all).hasSizeGreaterThan(3).allSatisfy(said -> {
            assertThat(ENGLISH.words(said.says())).isNotBlank();
            assertThat(CustomerTest.asks(unit.pack().catalogue().test(said.test()))).isTrue();
        });
        assertThat(Heard.understood("x", unit.model(), ENGLISH::words)).isEmpty();
    }

    /** The complaint changes what comes first, and what leads. */
    @Test
    void complaintIsTheFirstEvidence() {
        Case silent = Units.fresh(HEAT_PUMP);
        Case iced = Units.with(HEAT_PUMP, new Entry.Answer("told.ice", true), new Entry.Answer("told.warm-air", false));
        assertThat(iced.advice().proposals().get(0).minutes()).as("a look, and no wait of half an hour").isLessThan(5);
        assertThat(Units.belief(iced, "stat-open")).isGreaterThan(2 * Units.belief(silent, "stat-open"));
    }

}
