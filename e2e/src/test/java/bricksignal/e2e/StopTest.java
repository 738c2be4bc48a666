package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.RunningServer;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What ends a diagnosis takes the whole screen, on a laptop and on a telephone, and the unit ends shut off and tagged. */
@ExtendWith(RunningServer.class)
class StopTest {

    private final RunningServer.Instance server;

    StopTest(RunningServer.Instance server) {
        this.server = server;
    }

    @ParameterizedTest
    @CsvSource({"1280, 800", "390, 844"})
    void smellOfGasStopsAllAndEndsTagged(int width, int height) {
        String visit = server.logIn("ines").job("no heat");
        try (Browser browser = new Browser(server.url(), width, height)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test='check-danger.gas-smell'] button");
            assertThat(browser.text("[data-test=stop]")).contains("Gas leak or smell of gas").contains("Everybody out now").contains("Gas supplier");
            assertThat(browser.shows("[data-test=next]")).isFalse();
            assertThat(browser.shows("[data-test=left]")).as("nothing is left to test").isFalse();
            browser.press("[data-test=tag]");
            browser.see("#told").sendKeys("Mrs. Holm");
            browser.press("[data-test=tag-send]");
            browser.waitFor(() -> browser.textNow("main").contains("Shut off and tagged"));
        }
    }

    /** Each finding that a person may tell at any time at a furnace. */
    @ParameterizedTest
    @CsvSource({"CO_ROOM, 1280, 800", "CO_ROOM, 390, 844", "ROLLOUT, 1280, 800", "ROLLOUT, 390, 844", "FLAME_WITHOUT_CALL, 390, 844", "GAS_WHIFF, 390, 844", "CO_FLUE, 390, 844",
        "SPILLAGE, 390, 844", "BURNT, 390, 844", "WATER, 390, 844", "BYPASSED_SAFETY, 390, 844"})
    void dangerIsToldAtAnyTime(String finding, int width, int height) {
        var ines = server.logIn("ines");
        String visit = ines.job("no heat");
        ines.add(visit, entry("ANSWER", "test", "danger.gas-smell", "yes", false));
        try (Browser browser = new Browser(server.url(), width, height)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=danger]");
            browser.press("[data-test=danger-" + finding + "]");
            assertThat(String.valueOf(browser.see("[data-test=stop]").getDomAttribute("data-finding"))).isEqualTo(finding);
            assertThat(browser.shows("[data-test=left]")).isEqualTo(!finding.equals("CO_ROOM"));
        }
    }
}
