package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;

/** The sequence tapped beside the unit, the plan behind the proposal, a repair on the way. */
@ExtendWith(RunningServer.class)
class IsolateAndProveTest {

    private final RunningServer.Instance server;

    IsolateAndProveTest(RunningServer.Instance server) {
        this.server = server;
    }

    @Test
    void whatIsSeenBesideTheUnitIsTappedAndTakenBack() {
        var ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "4 flashes"));
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press(".sequence .pane-head .key");
            browser.press("[data-test=event-inducer]");
            browser.waitFor(() -> browser.textNow("[data-test=event-inducer]").contains("ends"));
            assertThat(browser.text("[data-test=undo-event]")).contains("inducer began");
            browser.press("[data-test=undo-event]");
            browser.waitFor(() -> browser.textNow("[data-test=event-inducer]").contains("begins"));
        }
    }

    @Test
    void sequenceIsWatchedAsProposedAndWhatDidNotComeIsLogged() {
        var ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "heartbeat"));
        ines.add(visit, entry("ANSWER", "test", "danger.gas-smell", "yes", false));
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=watch]");
            browser.press("[data-test=event-inducer]");
            browser.waitFor(() -> browser.textNow("[data-test=event-inducer]").contains("ends"));
            assertThat(browser.text("[data-test=next]")).contains("time the sequence");
            browser.clockAt(95);
            browser.press("[data-test=watched]");
            browser.waitFor(() -> !browser.shows("[data-test=sequence-taps]"));
            assertThat(browser.textNow("[data-test=log]")).contains("igniter").contains("blower").doesNotContain("draft");
        }
    }

    /** On the phone: found by a word, answered for last night, and the next thing that is entered is of now again. */
    @Test
    void whatSomebodySawLastNightIsFoundByAWord() {
        var ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "4 flashes"));
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=to-saw]");
            browser.see("#saw-words").sendKeys("hose cracked");
            browser.press("[data-test=when-LAST_NIGHT]");
            browser.press("[data-test='saw-see-hose'] button");
            browser.waitFor(() -> browser.textNow("[data-test=log]").contains("Last night: Is the draft hose"));
            assertThat(browser.driver().findElement(By.cssSelector("[data-test=when-now]")).getDomAttribute("aria-pressed")).isEqualTo("true");
            assertThat(browser.violations(Cluster.project())).isEmpty();
        }
    }

    @Test
    void planIsShownTwoLevelsDeep() {
        var ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "4 flashes"));
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=why]");
            assertThat(browser.text("[data-test=plan]")).contains("then").contains("%");
        }
    }

    @Test
    void repairIsLoggedAndTheVisitGoesOn() {
        var ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "7 flashes"));
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/verdict");
            browser.see("#repairs-title");
            if (!browser.shows("[data-test=repaired-igniter]")) {
                browser.press("#repairs-title");
            }
            browser.press("[data-test=repaired-igniter]");
            browser.waitFor(() -> browser.textNow("main").contains("repaired"));
            browser.go("/visits/" + visit + "/work");
            assertThat(browser.text("[data-test=next]")).isNotBlank();
            assertThat(browser.text("[data-test=log]")).contains("hot-surface igniter");
        }
    }
}
