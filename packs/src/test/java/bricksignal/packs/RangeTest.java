package bricksignal.packs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.menu.Menu;
import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Numbers behind a menu: within their bounds and steps, reached by keys, and as a real board's text brings them. */
class RangeTest {

    private static final String BOILER = PackLibrary.text("f5-boiler", Map.of());
    private static final UnitModel MODEL = PackReader.read(BOILER);

    private static Overlay board(String more) {
        return OverlayReader.read("overlay: slate\nfamily: f5-boiler\ntitle: A board\n" + more);
    }

    @Test
    void aRangeIsItsNumbersByItsStep() {
        assertThat(new UnitModel.Range(0, 1, 0.25).positions()).containsExactly(Map.entry("0", 0.0), Map.entry("0.25", 0.25), Map.entry("0.5", 0.5), Map.entry("0.75", 0.75),
                Map.entry("1", 1.0));
        assertThat(new UnitModel.Range(0.1, 0.7, 0.1).positions().keySet()).as("no 0.30000000000000004").containsExactly("0.1", "0.2", "0.3", "0.4", "0.5", "0.6", "0.7");
        assertThat(new UnitModel.Range(-2, 7, 4).positions().keySet()).as("the last step may fall short").containsExactly("-2", "2", "6");
        assertThatThrownBy(() -> new UnitModel.Range(5, 4, 1)).hasMessageContaining("least");
        assertThatThrownBy(() -> new UnitModel.Range(0, 1000, 0.5)).hasMessageContaining("steps");
        assertThat(MODEL.setting("hottest").options()).hasSize(101).containsEntry("115", 115.0);
        assertThat(MODEL.setting("hottest").nearest(151.4)).isEqualTo("151");
    }

    /** By hand: hold, the installer's number, right three times to the hottest water, press, five to the right, press until it blinks. */
    @Test
    void theKeysLeadToANumberBehindTheMenu() {
        List<Menu.Step> steps = MODEL.menu().steps("hottest", List.copyOf(MODEL.setting("hottest").options().keySet()), "150", "155").orElseThrow();
        assertThat(steps).extracting(Menu.Step::press).containsExactly("hold the knob 3 s", "turn to the installer's number and press the knob", "turn right", "press the knob", "turn right",
                "press the knob until it blinks");
        assertThat(steps).extracting(Menu.Step::times).containsExactly(1, 1, 3, 1, 5, 1);
    }

    @Test
    void aMenuThatLeadsToItselfStillEndsAndOneThatKeepsNothingIsRefused() {
        Menu circle = new Menu(List.of(new Menu.Screen("a", "A", List.of(new Menu.Way("on", "b", false)), null, null, null, false),
                new Menu.Screen("b", "B", List.of(new Menu.Way("on", "a", false), new Menu.Way("on again", "b", false)), "x", "up", null, true)));
        assertThat(circle.steps("x", List.of("1", "2"), "1", "2")).as("no way keeps it").isEmpty();
        String lost = BOILER.replace("saves: true", "saves: false");
        assertThatThrownBy(() -> PackReader.read(lost)).isInstanceOf(PackException.class).hasMessageContaining("no way leads from '90' to '190'");
    }

    @Test
    void aFactoryNumberOutsideOfItsRangeIsRefused() {
        String out = BOILER.replaceFirst("(parameter: \"?hottest-water\"?[\\s\\S]*?factory: )\"150\"", "$1\"250\"");
        assertThat(out).isNotEqualTo(BOILER);
        assertThatThrownBy(() -> PackReader.read(out)).isInstanceOf(PackException.class).hasMessageContaining("no position '250'");
    }

    @Test
    void aRealBoardBringsItsMenuItsNumbersItsLimitsAndHowItComesOut() {
        Overlay board = board("""
                settings:
                  hottest: {factory: "60", range: {least: 30, most: 80, step: 5}}
                limits:
                  pressure: {least: 15}
                handling:
                  board: ["Two tabs on the left: press both.", "Plugs are keyed."]
                menu:
                  home: {shows: water, ways: [{press: press the plus key 5 s, to: only}]}
                  only: {shows: degrees, sets: hottest, up: plus, down: minus, ways: [{press: press set, to: home, saves: true}]}
                """);
        UnitModel model = board.model();
        assertThat(model.setting("hottest").options().keySet()).startsWith("30", "35").endsWith("80");
        assertThat(model.acceptance()).filteredOn(limit -> limit.id().equals("pressure")).singleElement().satisfies(limit -> {
            assertThat(limit.least()).isEqualTo(15);
            assertThat(limit.most()).as("what is not said stays").isEqualTo(25);
        });
        assertThat(model.part("board").handling()).containsExactly("Two tabs on the left: press both.", "Plugs are keyed.");
        assertThat(model.menu().steps("hottest", List.copyOf(model.setting("hottest").options().keySet()), "60", "50").orElseThrow()).extracting(Menu.Step::press)
                .containsExactly("press the plus key 5 s", "minus", "press set");
        assertThat(board.relabels()).as("numbers change runs").isFalse();
        assertThat(board("handling:\n  board: [Keyed.]\n").relabels()).isTrue();
    }

    @Test
    void whatABoardHasNotIsToldWithItsName() {
        assertThatThrownBy(() -> board("limits:\n  presure: {least: 3}\n")).isInstanceOf(PackException.class).hasMessageContaining("no limit 'presure'").hasMessageContaining("Maybe 'pressure'");
        assertThatThrownBy(() -> board("handling:\n  bord: [x]\n")).isInstanceOf(PackException.class).hasMessageContaining("bord");
        assertThatThrownBy(() -> board("menu:\n  home: {shows: x, ways: [{press: on, to: nowhere}]}\n")).isInstanceOf(PackException.class).hasMessageContaining("nowhere");
        assertThatThrownBy(() -> board("limits:\n  pressure: {least: 30}\n")).as("above the most that stands").isInstanceOf(PackException.class);
    }
}
