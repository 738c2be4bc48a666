package bricksignal.casework;

import static bricksignal.casework.Units.ENGLISH;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.page.UnitPage;
import bricksignal.packs.PackLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How calls, keys and lockouts are told on the page of a unit. */
class CallLinesTest {

    private static UnitPage page(String family) {
        return UnitPage.of(CaseUnit.of(family, PackLibrary.ready(family)));
    }

    private static String leaves(UnitPage page, String pattern) {
        return page.lamps().get(0).chart().stream().filter(code -> code.pattern().equals(pattern)).findFirst().map(UnitPage.ChartCode::leaves).map(ENGLISH::words).orElse("");
    }

    @Test
    void eachCallIsToldWithWhatStarts() {
        List<UnitPage.Call> calls = page("f1-furnace").calls();
        assertThat(calls).extracting(call -> ENGLISH.words(call.label())).containsExactly("jumper from R to W at the board", "Jumper from R on the board to Y on the board",
                "Jumper from R on the board to G on the board");
        assertThat(ENGLISH.words(calls.get(0).starts())).startsWith("inducer after 1 s, igniter after 20 s");
        assertThat(ENGLISH.words(calls.get(1).starts())).contains("at once");
        assertThat(calls).allSatisfy(call -> assertThat(call.change()).isNotNull());
        assertThat(ENGLISH.words(page("f10-heatpump").calls().get(0).starts())).contains("compressor after about 5 min");
    }

    @Test
    void secondStageIsToldBesideTheUsualCall() {
        assertThat(page("f2-furnace").calls()).extracting(call -> ENGLISH.words(call.label())).anySatisfy(label -> assertThat(label).endsWith("with the usual call in"));
    }

    @Test
    void keysAreToldWhereTheBoardHasThem() {
        assertThat(page("f9-airhandler").keys()).singleElement().satisfies(key -> assertThat(ENGLISH.words(key.starts())).contains("motor"));
        assertThat(page("f1-furnace").keys()).isEmpty();
    }

    @Test
    void codeOfALockoutSaysHowItIsLeft() {
        UnitPage furnace = page("f1-furnace");
        assertThat(leaves(furnace, "7 flashes")).contains("about 60 min", "take the call off", "clears the code");
        assertThat(leaves(furnace, "3 flashes")).as("an open limit").isEmpty();
        assertThat(leaves(page("f18-leak"), "4 flashes")).contains("about 7 min").doesNotContain("call");
    }
}
