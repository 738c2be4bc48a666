package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Client;
import bricksignal.server.RunningServer;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What was entered stays on the device until the server has it or a person gives it up. */
@ExtendWith(RunningServer.class)
class NothingIsLostTest {

    private final RunningServer.Instance server;

    NothingIsLostTest(RunningServer.Instance server) {
        this.server = server;
    }

    private int logSize(String visit) {
        return server.logIn("ines").get("/api/visits/" + visit).json().get("page").get("log").size();
    }

    @Test
    void sessionThatEndsInTheMiddleOfAReadingIsRenewedInPlace() {
        String visit = server.logIn("ines").job("no heat");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=more-looks]");
            browser.see("[data-test=check-see-door]");
            browser.driver().manage().deleteCookieNamed("BRICKSESSION");
            browser.press("[data-test=check-see-door] button:last-of-type");
            assertThat(browser.text("[data-test=login-in-place]")).contains("1 kept on this device");
            browser.press("[data-test=check-see-fuse] button:last-of-type");
            browser.waitFor(() -> browser.textNow("[data-test=login-in-place]").contains("2 kept on this device"));
            assertThat(logSize(visit)).isZero();
            browser.see("#again-password").sendKeys("skerrow");
            browser.press("[data-test=login-in-place] button[type=submit]");
            browser.waitFor(() -> !browser.shows("[data-test=login-in-place]"));
            browser.waitFor(() -> logSize(visit) == 2);
            assertThat(browser.driver().getCurrentUrl()).as("nobody was sent away").endsWith("/before");
        }
    }

    @Test
    void whatIsKeptOutlivesAReload() {
        String visit = server.logIn("ines").job("no heat");
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=more-looks]");
            browser.see("[data-test=check-see-door]");
            browser.driver().manage().deleteCookieNamed("BRICKSESSION");
            browser.press("[data-test=check-see-door] button:last-of-type");
            browser.see("[data-test=login-in-place]");
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.waitFor(() -> logSize(visit) == 1);
        }
    }

    @Test
    void entryToAVisitThatWasClosedElsewhereStaysWithItsReasonUntilItIsDiscarded() {
        Client ines = server.logIn("ines");
        String visit = ines.job("no heat");
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=more-looks]");
            browser.see("[data-test=check-see-door]");
            ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "by another device"));
            browser.press("[data-test=check-see-door] button:last-of-type");
            assertThat(browser.text("[data-test=refused]")).contains("closed");
            browser.go("/visits/" + visit + "/work");
            assertThat(browser.text("[data-test=refused]")).as("after a reload").contains("closed");
            browser.press("[data-test=discard]");
            browser.waitFor(() -> !browser.shows("[data-test=refused]"));
            assertThat(logSize(visit)).isZero();
        }
    }

    @Test
    void closedVisitIsOpenedAgainOnTheRecord() {
        Client ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("NOTE", "text", "looked at"));
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "later"));
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=reopen]");
            browser.see("#reopen-why").sendKeys("the part was on the van after all");
            browser.press("[data-test=reopen-now]");
            browser.waitFor(() -> !browser.shows("[data-test=closed]"));
            assertThat(browser.text("[data-test=next]")).isNotBlank();
        }
    }
}
