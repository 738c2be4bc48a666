package bricksignal.e2e;

import static bricksignal.server.Client.entry;

import bricksignal.server.Client;
import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** axe-core finds nothing of impact moderate or higher on any view, in both themes, both sizes and both languages; and all of it holds with text twice as large. */
@ExtendWith(RunningServer.class)
class AccessibilityTest {

    private static final List<String> BUSY = List.of("Fetching", "Computing.", "Working it out.", "Loading", "Drawing", "Cargando", "Dibujando", "Calculando");

    private final RunningServer.Instance server;

    AccessibilityTest(RunningServer.Instance server) {
        this.server = server;
    }

    @AfterEach
    void asBefore() {
        server.logIn("ines").put("/api/me", Map.of("locale", "en", "hand", "RIGHT"));
        server.logIn("odile").put("/api/me", Map.of("locale", "en", "hand", "RIGHT"));
    }

    /** Each theme, each size and each language with each of the others. */
    @ParameterizedTest
    @CsvSource({"1280, 800, daylight, en", "390, 844, daylight, es", "1280, 800, closet, es", "390, 844, closet, en"})
    void everyViewCanBeReadAndUsed(int width, int height, String theme, String language) {
        Client ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "7 flashes"));
        ines.add(visit, entry("ANSWER", "test", "see-glow", "yes", false));
        ines.add(visit, entry("REPAIRED", "part", "igniter"));
        ines.put("/api/me", Map.of("locale", language, "hand", "RIGHT"));
        server.logIn("odile").put("/api/me", Map.of("locale", language, "hand", "RIGHT"));
        SoftAssertions found = new SoftAssertions();
        try (Browser browser = new Browser(server.url(), width, height)) {
            browser.go("/login");
            browser.driver().executeScript("localStorage.setItem('brick-theme', arguments[0])", theme);
            browser.go("/login");
            browser.see("#username");
            check(browser, "login", found);
            browser.logIn("ines");
            check(browser, "jobs", found);
            for (String path : new String[] {"/jobs/new", "/identify", "/boards", "/boards/new?family=f1-furnace", "/packs", "/policy", "/me", "/tools", "/tools/economizer?mixed=66",
                "/tools/isolation", "/tools/humidity-limit?humidity=45", "/visits/" + visit + "/settings", "/visits/" + visit + "/set-up", "/visits/" + visit + "/prove", "/visits/" + visit + "/before",
                "/visits/" + visit + "/power", "/visits/" + visit + "/work", "/visits/" + visit + "/drawing", "/visits/" + visit + "/unit",
                "/visits/" + visit + "/verdict", "/visits/" + visit + "/ways", "/visits/" + visit + "/change", "/visits/" + visit + "/report", "/jobs/record?query=heat"}) {
                shown(browser, path);
                check(browser, path, found);
            }
            shown(browser, "/packs");
            browser.see("[data-test^=choice-]");
            browser.waitFor(() -> {
                browser.press("[data-test=to-own]");
                return browser.shows("[data-test=own-text]");
            });
            check(browser, "own packs", found);
        }
        try (Browser lead = new Browser(server.url(), width, height)) {
            lead.go("/login");
            lead.driver().executeScript("localStorage.setItem('brick-theme', arguments[0])", theme);
            lead.logIn("odile");
            for (String path : new String[] {"/jobs/lead", "/jobs/learning"}) {
                shown(lead, path);
                check(lead, path, found);
            }
        }
        found.assertAll();
    }

    private static void shown(Browser browser, String path) {
        browser.go(path);
        browser.see("main h1, main h2, [data-test=record-page], [data-test=sheet]");
        browser.waitFor(() -> BUSY.stream().noneMatch(browser.text("main")::contains));
    }

    private static void check(Browser browser, String view, SoftAssertions found) {
        found.assertThat(browser.violations(Cluster.project())).as(view).isEmpty();
        found.assertThat(browser.brokenByLargeText()).as(view + " with large text").isEmpty();
    }
}
