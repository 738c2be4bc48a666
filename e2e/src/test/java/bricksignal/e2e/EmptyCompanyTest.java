package bricksignal.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;

/** A company in which nobody has done anything yet: nothing is broken by that, and its first unit, first board and first visit are soon made, without a tour. */
class EmptyCompanyTest {

    /** Three minutes: a minute for the taps at three seconds each, two for typing (our own judgement). */
    private static final int MOST_TAPS = 20;
    private static final List<String> TRAITS = List.of("answer-gas", "answer-indoors", "answer-single", "answer-hot-surface", "answer-psc", "answer-metal", "answer-one-lamp");

    @Test
    void firstUnitFirstBoardAndFirstVisit() {
        try (Cluster cluster = Cluster.create(); RunningServer.Instance own = RunningServer.Instance.empty(cluster);
                Browser browser = new Browser(own.url(), 390, 844)) {
            browser.logIn("odile");
            for (String path : List.of("/jobs/lead", "/jobs/learning", "/jobs/record", "/boards", "/tools", "/packs", "/jobs")) {
                browser.go(path);
                assertThat(browser.text("main")).as(path).isNotBlank().doesNotContainIgnoringCase("undefined").doesNotContain("NaN");
                assertThat(browser.shows("[role=alert]")).as(path).isFalse();
            }
            assertThat(browser.text("main")).contains("No jobs on this day");
            int before = browser.pressed();
            browser.press("[data-test=new-job]");
            unitIsIdentified(browser);
            boardIsTypedIn(browser);
            browser.see("#complaint").sendKeys("No heat");
            browser.press("button[type=submit]");
            browser.see("[data-test=tap]");
            browser.see("#typed-pattern").sendKeys("9 flashes" + Keys.ENTER);
            assertThat(browser.text("[data-test=lamp-read]")).contains("9 flashes").contains("draft proving stays open");
            browser.press("[data-test=step-work]");
            assertThat(browser.text("[data-test=next]")).isNotBlank();
            assertThat(browser.driver().getPageSource()).contains("draft hose");
            System.out.println("taps: first unit, board and visit " + (browser.pressed() - before));
            assertThat(browser.pressed() - before).isLessThanOrEqualTo(MOST_TAPS);
        }
    }

    private static void unitIsIdentified(Browser browser) {
        browser.press("[data-test=to-identify]");
        for (int i = 0; i < 6 && !browser.shows("[data-test=take-family]"); i++) {
            String asked = browser.text("[data-test=question]");
            browser.press("[data-test=" + TRAITS.stream().filter(a -> browser.shows("[data-test=" + a + "]")).findFirst().orElse("skip") + "]");
            browser.waitFor(() -> !browser.textNow("[data-test=question]").equals(asked));
        }
        browser.press("[data-test=take-family]");
        if (browser.shows("#unit-site")) {
            new Select(browser.see("#unit-site")).selectByValue("new");
        }
        browser.see("#site-name").sendKeys("Dye works");
        browser.see("#unit-label").sendKeys("Furnace, vat room");
        browser.see("#unit-location").sendKeys("vat room");
    }

    private static void boardIsTypedIn(Browser browser) {
        browser.press("[data-test=type-chart]");
        browser.see("[data-test=board-title]").sendKeys("Grey board, door chart");
        line(browser, 0, "9", "draft proving stays open");
        line(browser, 1, "8", "ignition lockout");
        browser.see("[data-test=timing-purge-time]").sendKeys("30");
        browser.press("[data-test=save-board]");
    }

    private static void line(Browser browser, int i, String pattern, String condition) {
        browser.see("[data-test=pattern-0-" + i + "]").sendKeys(pattern);
        browser.see("[data-test=condition-0-" + i + "]").sendKeys(condition);
    }
}
