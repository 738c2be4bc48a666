package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Client;
import bricksignal.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;

/** What stands beside a visit: the complaint that picks the run, keys to a setting, an economizer's chart, two supplies kept apart. */
@ExtendWith(RunningServer.class)
class ToolsAndSettingsTest {

    private final RunningServer.Instance server;

    ToolsAndSettingsTest(RunningServer.Instance server) {
        this.server = server;
    }

    @Test
    void complaintMovesSuspectsAndIsTakenBack() {
        Client ines = server.logIn("ines");
        String visit = ines.job("f14-rooftop", "No cooling.");
        ines.add(visit, entry("PATTERN", "board", "unit-board", "pattern", "slow"));
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=complaints] summary");
            browser.press("[data-statement='complaint.cooling']");
            browser.waitFor(() -> browser.shows("[data-test=complaints] button[aria-pressed=true]"));
            browser.waitFor(() -> ines.opened(visit).get("page").get("suspects").get(0).get("label").asString().contains("Y wire"));
            browser.press("[data-statement='complaint.cooling']");
            browser.waitFor(() -> !ines.opened(visit).get("page").get("suspects").get(0).get("label").asString().contains("Y wire"));
        }
    }

    @Test
    void keysToASettingAreToldAndFoundAndLeftAreKept() {
        Client ines = server.logIn("ines");
        String visit = ines.job("f16-humidity", "Dries all day.");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/settings");
            browser.press("[data-test=setting-limit]");
            browser.press("[data-test='found-45 %']");
            browser.press("[data-test='left-60 %']");
            assertThat(browser.text("[data-test=key-steps]")).contains("hold the button 5 s").contains("SAVE on and off");
            browser.press("[data-test=keep-setting]");
            browser.waitFor(() -> !browser.shows("[data-test=keep-setting]"));
            assertThat(ines.opened(visit).get("page").get("log").toString()).contains("found 45 %, left 60 %");
        }
    }

    @Test
    void settingIsSuggestedByWhatIsAtHandAndTheNearestPositionIsTaken() {
        Client ines = server.logIn("ines");
        String visit = ines.job("f10-heatpump", "Ices up.");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/settings");
            browser.press("[data-test^=setting-]");
            browser.press("[data-test=found-30]");
            browser.press("[data-test=ask-suggestion]");
            browser.see("[data-test=in-outdoor]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "10");
            browser.waitFor(() -> browser.textNow("[data-test=take-suggestion]").contains("90"));
            browser.press("[data-test=take-suggestion]");
            browser.press("[data-test=keep-setting]");
            browser.waitFor(() -> ines.opened(visit).get("page").get("log").toString().contains("found 30, left 90"));
        }
    }

    @Test
    void curveFollowsWhatIsTyped() {
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/tools");
            browser.press("a[href='/tools/water-reset']");
            browser.see("[data-test=curve] path");
            browser.see("[data-test=in-outdoor]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "5");
            browser.waitFor(() -> browser.textNow("[data-test=calculator-says]").contains("too warm to condense"));
            browser.see("[data-test=in-outdoor]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "500");
            browser.waitFor(() -> browser.textNow(".problem").contains("Outdoors now: it is 500 °F; it must be from -40 °F to 90 °F"));
        }
    }

    @Test
    void economizerIsComputedAsItIsTypedAndItsLinkCarriesIt() {
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/tools/economizer");
            assertThat(browser.text("[data-test=calculator-says]")).contains("Free cooling: outdoor air is below the dry-bulb limit");
            browser.see("[data-test=in-outdoor]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "92");
            browser.waitFor(() -> browser.textNow("[data-test=calculator-says]").contains("No free cooling"));
            browser.waitFor(() -> String.valueOf(browser.driver().getCurrentUrl()).contains("outdoor=92"));
        }
    }

    @Test
    void conductorOnTheOtherSupplyIsMarkedInTheList() {
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/tools/isolation");
            assertThat(browser.text("[data-test=isolation-said]")).contains("Apart");
            browser.press("[data-test=wire-0] button");
            new Select(browser.see("[data-test=wire-0] select")).selectByVisibleText("rooftop R");
            browser.waitFor(() -> browser.textNow("[data-test=isolation-said]").contains("meet"));
            assertThat(browser.text("[data-test=wire-0]")).contains("crosses");
        }
    }
}
