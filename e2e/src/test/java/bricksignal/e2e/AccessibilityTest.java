package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Client;
import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** axe-core finds no serious violation on the main views, in both themes and both sizes. */
@ExtendWith(RunningServer.class)
class AccessibilityTest {

    private final RunningServer.Instance server;

    AccessibilityTest(RunningServer.Instance server) {
        this.server = server;
    }

    @ParameterizedTest
    @CsvSource({"1280, 800, daylight", "390, 844, daylight", "1280, 800, closet", "390, 844, closet"})
    void mainViewsHaveNoSeriousViolation(int width, int height, String theme) {
        Client ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "7 flashes"));
        ines.add(visit, entry("ANSWER", "test", "see-glow", "yes", false));
        try (Browser browser = new Browser(server.url(), width, height)) {
            browser.go("/login");
            browser.driver().executeScript("localStorage.setItem('brick-theme', arguments[0])", theme);
            browser.go("/login");
            browser.see("#username");
            check(browser, "login");
            browser.logIn("ines");
            check(browser, "jobs");
            for (String path : new String[] {"/jobs/new", "/identify", "/boards", "/boards/new?family=f1-furnace", "/packs", "/policy", "/tools", "/tools/economizer?mixedF=66",
                "/tools/isolation", "/tools/humidity-limit?humidity=45", "/visits/" + visit + "/settings", "/visits/" + visit + "/prove", "/visits/" + visit + "/before",
                "/visits/" + visit + "/power", "/visits/" + visit + "/work", "/visits/" + visit + "/drawing",
                "/visits/" + visit + "/verdict", "/visits/" + visit + "/ways", "/visits/" + visit + "/change", "/visits/" + visit + "/report", "/jobs/record?query=heat"}) {
                browser.go(path);
                browser.see("main h1, main h2, [data-test=record-page], [data-test=sheet]");
                browser.waitFor(() -> !browser.driver().getPageSource().contains("Fetching") && !browser.driver().getPageSource().contains("Computing.")
                        && !browser.driver().getPageSource().contains("Working it out.") && !browser.driver().getPageSource().contains("Loading the board."));
                check(browser, path);
            }
            browser.go("/packs");
            browser.press("[data-test=to-own]");
            browser.see("[data-test=own-text]");
            check(browser, "own packs");
        }
    }

    private static void check(Browser browser, String view) {
        assertThat(browser.violations(Cluster.project())).as(view).isEmpty();
    }
}
