package bricksignal.core.menu;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.menu.Menu.Screen;
import bricksignal.core.menu.Menu.Step;
import bricksignal.core.menu.Menu.Way;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class MenuTest {

    private static final List<String> LIMITS = List.of("60 %", "55 %", "50 %", "45 %");

    /** A button walks a list of parameters, a switch shows a value and another keeps it: common practice of option boards. */
    private static final Menu BUTTON = new Menu(List.of(
            new Screen("home", "the humidity", List.of(new Way("hold the button 5 s", "group", false)), null, null, null, false),
            new Screen("group", "P0", List.of(new Way("press the button", "limit", false), new Way("wait 30 s", "home", false)), null, null, null, false),
            new Screen("limit", "P1", List.of(new Way("SHOW on", "value", false), new Way("press the button", "group", false)), null, null, null, false),
            new Screen("value", "the limit", List.of(new Way("SAVE on and off", "home", true), new Way("SHOW off", "limit", false)), "limit", "press the button",
                    null, true)));

    @Test
    void limitIsReachedChangedAndKept() {
        assertThat(BUTTON.steps("limit", LIMITS, "45 %", "60 %")).contains(List.of(new Step("hold the button 5 s", 1, "P0"),
                new Step("press the button", 1, "P1"), new Step("SHOW on", 1, "the limit"), new Step("press the button", 1, "60 %"),
                new Step("SAVE on and off", 1, "the humidity")));
        assertThat(BUTTON.steps("limit", LIMITS, "60 %", "45 %").orElseThrow()).contains(new Step("press the button", 3, "45 %"));
    }

    @Test
    void whatStandsAlreadyNeedsNothingAndWhatNoScreenSetsHasNoWay() {
        assertThat(BUTTON.steps("limit", LIMITS, "55 %", "55 %")).contains(List.of());
        assertThat(BUTTON.steps("delay", LIMITS, "60 %", "55 %")).isEmpty();
        assertThat(Menu.NONE.steps("limit", LIMITS, "60 %", "55 %")).isEmpty();
        assertThatThrownBy(() -> BUTTON.steps("limit", LIMITS, "60 %", "61 %")).hasMessageContaining("61 %").hasMessageContaining("45 %");
    }

    @Test
    void wayToNowhereIsRefused() {
        assertThatThrownBy(() -> new Menu(List.of(new Screen("home", "x", List.of(new Way("press", "gone", false)), null, null, null, false))))
                .hasMessageContaining("'gone'");
    }

    private static Menu drawn(Random random) {
        int count = 2 + random.nextInt(5);
        List<Screen> screens = new ArrayList<>();
        int setter = 1 + random.nextInt(count - 1);
        for (int i = 0; i < count; i++) {
            List<Way> ways = new ArrayList<>();
            for (int w = 0; w < 1 + random.nextInt(3); w++) {
                ways.add(new Way("key " + w, "s" + random.nextInt(count), i == setter && random.nextBoolean()));
            }
            boolean sets = i == setter;
            screens.add(new Screen("s" + i, "screen " + i, ways, sets ? "limit" : null, sets ? "up" : null, sets && random.nextBoolean() ? "down" : null,
                    random.nextBoolean()));
        }
        return new Menu(screens);
    }

    /** Every sequence up to depth five is tried by brute force: none is shorter than the one that is told, and that one leads there. */
    @Test
    void noSequenceUpToDepthFiveIsShorter() {
        Random random = new Random(5);
        int reached = 0;
        for (int i = 0; i < 400; i++) {
            Menu menu = drawn(random);
            String to = LIMITS.get(1 + random.nextInt(3));
            Optional<List<Step>> told = menu.steps("limit", LIMITS, "60 %", to);
            int length = told.map(steps -> steps.stream().mapToInt(Step::times).sum()).orElse(Integer.MAX_VALUE);
            int brute = shortest(menu, 0, 0, 0, LIMITS.indexOf(to), 5);
            if (brute <= 5 || length <= 5) {
                assertThat(length).isEqualTo(brute);
                reached++;
            }
        }
        assertThat(reached).isGreaterThan(40);
    }

    /** Presses that it takes, by trying all; more than the depth where none leads there within it. */
    private static int shortest(Menu menu, int screen, int stands, int kept, int wanted, int depth) {
        if (screen == 0 && kept == wanted && stands == wanted) {
            return 0;
        }
        if (depth == 0) {
            return 1000;
        }
        int best = 1000;
        Screen at = menu.screens().get(screen);
        int last = LIMITS.size() - 1;
        if (at.sets() != null && (stands < last || at.round())) {
            best = Math.min(best, 1 + shortest(menu, screen, stands == last ? 0 : stands + 1, kept, wanted, depth - 1));
        }
        if (at.down() != null && (stands > 0 || at.round())) {
            best = Math.min(best, 1 + shortest(menu, screen, stands == 0 ? last : stands - 1, kept, wanted, depth - 1));
        }
        for (Way way : at.ways()) {
            int keeps = way.saves() && at.sets() != null ? stands : kept;
            best = Math.min(best, 1 + shortest(menu, Integer.parseInt(way.to().substring(1)), keeps, keeps, wanted, depth - 1));
        }
        return best;
    }
}
