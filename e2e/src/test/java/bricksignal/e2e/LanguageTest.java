package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Client;
import bricksignal.server.RunningServer;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A person chooses language, units and hand once; the next device speaks so from the login on. */
@ExtendWith(RunningServer.class)
class LanguageTest {

    private final RunningServer.Instance server;

    LanguageTest(RunningServer.Instance server) {
        this.server = server;
    }

    @AfterEach
    void asBefore() {
        server.logIn("ines").put("/api/me", Map.of("locale", "en", "hand", "RIGHT"));
    }

    @Test
    void chosenOnceItIsSoOnTheNextDevice() {
        Client ines = server.logIn("ines");
        String visit = ines.job("No heat.");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.press("[data-test=me]");
            browser.press("[data-test=language-es]");
            browser.press("[data-test=metric-true]");
            browser.press("[data-test=hand-LEFT]");
            browser.press("[data-test=save-me]");
            browser.waitFor(() -> browser.textNow("main").contains("Idioma"));
        }
        try (Browser other = new Browser(server.url(), 390, 844)) {
            other.logIn("ines");
            other.waitFor(() -> String.valueOf(other.driver().executeScript("return document.documentElement.lang")).equals("es"));
            other.go("/visits/" + visit + "/before");
            other.waitFor(() -> other.text("main").contains("¿Huele a gas en el cuarto o en el equipo?"));
            assertThat(other.text("main")).contains("Deje la corriente conectada.");
            other.go("/visits/" + visit + "/report");
            other.waitFor(() -> other.text("main").contains("Informe de servicio"));
            assertThat(other.text("main")).contains("Queja:");
            assertThat(other.driver().executeScript("return document.documentElement.dataset.hand")).isEqualTo("LEFT");
        }
    }

    /** In the units of the person it is shown so, and kept as what it is. */
    @Test
    void numberIsShownInTheUnitsOfThePerson() {
        Client ines = server.logIn("ines");
        ines.put("/api/me", Map.of("locale", "en-u-ms-metric", "hand", "RIGHT"));
        String visit = ines.job("No heat.");
        ines.add(visit, entry("ANSWER", "test", "danger.GAS_SMELL", "yes", false));
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            ines.add(visit, entry("READING", "test", "draft-gauge", "reading", "250 Pa"));
            browser.go("/visits/" + visit + "/work");
            browser.waitFor(() -> browser.textNow("[data-test=log]").contains("Pa"));
        }
        assertThat(ines.with("Accept-Language", "en").opened(visit).get("page").get("log").toString()).contains("1 in. w.c.");
    }
}
