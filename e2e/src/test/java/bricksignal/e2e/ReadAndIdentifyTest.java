package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test.Reading;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Digits;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import bricksignal.server.RunningServer;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;

/** A pack of the company's own; the lamp by camera; the walk along a rooftop's permission. */
@ExtendWith(RunningServer.class)
class ReadAndIdentifyTest {

    private static final int MOST_RECORDINGS = 4;
    /** Ours: of the pictures of a film that came in its time; below it the lamp's lengths are off by more than half of what tells a heartbeat from two flashes. */
    private static final double LEAST_RATE = 0.85;

    private final RunningServer.Instance server;

    ReadAndIdentifyTest(RunningServer.Instance server) {
        this.server = server;
    }

    @Test
    void packOfTheCompanyIsCheckedLineByLineKeptAndWithdrawn() {
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("odile");
            browser.go("/packs");
            new Select(browser.see("[data-test=family]")).selectByValue("f9-airhandler");
            browser.press("[data-test=to-own]");
            browser.press("[data-test=begin]");
            browser.waitFor(() -> browser.see("[data-test=own-text]").getDomProperty("value").contains("pack: f9-airhandler-own"));
            browser.see("[data-test=own-text]").sendKeys(Keys.chord(Keys.CONTROL, Keys.END), "nonsense: 1");
            browser.press("[data-test=own-check]");
            assertThat(browser.text("[data-test=own-said]")).contains("nothing was kept");
            assertThat(browser.text("[data-test=problems]")).contains("nonsense");
            for (int i = 0; i < "nonsense: 1".length(); i++) {
                browser.see("[data-test=own-text]").sendKeys(Keys.BACK_SPACE);
            }
            browser.press("[data-test=own-keep]");
            assertThat(browser.text("[data-test=own-f9-airhandler-own]")).contains("version 1 is used");
            assertThat(new Select(browser.see("[data-test=family]")).getOptions()).anyMatch(o -> o.getText().contains("our own"));
            browser.press("[data-test=withdraw-f9-airhandler-own]");
            browser.waitFor(() -> browser.textNow("[data-test=own-f9-airhandler-own]").contains("withdrawn"));
        }
    }

    @ParameterizedTest
    @CsvSource({"4 flashes, 4, 0", "heartbeat, 14, -25"})
    void lampIsReadByTheCameraThoughTheFingerIsNotQuiteOnIt(String pattern, int rounds, int beside, @TempDir Path folder) throws Exception {
        String visit = server.logIn("ines").job("no heat");
        Path film = LampFilm.write(folder.resolve("lamp.y4m"), pattern, rounds);
        try (Browser browser = new Browser(server.url(), 1280, 800, film)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=way-camera]");
            browser.waitFor(() -> Boolean.TRUE.equals(browser.driver().executeScript(
                    "const v = document.querySelector('[data-test=camera]'); return v && v.videoWidth > 0")));
            new Actions(browser.driver()).moveToElement(browser.see("[data-test=camera]"), 20, beside).click().perform();
            recorded(browser);
            assertThat(browser.driver().findElement(By.cssSelector("[data-test=trace] li")).getText()).startsWith(pattern);
            browser.press("[data-test=keep-trace]");
            assertThat(browser.text("[data-test=lamp-read] .pattern")).startsWith(pattern);
        }
    }

    /**
     * One recording. Where the machine was so busy that pictures came late, the film played slower than it was made and the recording is of another lamp; somebody would record
     * once more, and so does this, at most four times.
     */
    private static void recorded(Browser browser) {
        for (int i = 0; i < MOST_RECORDINGS; i++) {
            browser.driver().executeScript("""
                    const film = document.querySelector('[data-test=camera]');
                    window.pictures = [];
                    const came = (now, picture) => { window.pictures.push(picture.captureTime ?? now); film.requestVideoFrameCallback(came) };
                    film.requestVideoFrameCallback(came)""");
            browser.press("[data-test=record]");
            browser.see("[data-test=stop-recording]");
            browser.waitFor(() -> browser.shows("[data-test=keep-trace]"));
            double late = ((Number) browser.driver().executeScript("return Math.max(...window.pictures.map((at, i) => i ? at - window.pictures[i - 1] : 0)) / 1000")).doubleValue();
            double rate = ((Number) browser.driver().executeScript("return 1000 * window.pictures.length / (window.pictures.at(-1) - window.pictures[0])")).doubleValue();
            if (late < LampFilm.SHORTEST_FLASH && rate > LEAST_RATE * LampFilm.RATE || i == MOST_RECORDINGS - 1) {
                return;
            }
            browser.press("[data-test=drop-trace]");
        }
    }

    @Test
    void cameraThatIsMissingIsSaidAndTheOtherWaysStay() {
        String visit = server.logIn("ines").job("no heat");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=way-camera]");
            assertThat(browser.text("[data-test=camera-refused]")).containsAnyOf("No camera", "refused").containsIgnoringCase("tap the lamp");
            browser.press("[data-test=way-tap]");
            browser.see("[data-test=tap]");
        }
    }

    @Test
    void permissionOfARooftopIsWalkedToTheOpenDetector() {
        CompiledPack pack = CompiledPack.of(PackReader.read(PackLibrary.text("f14-rooftop")), ErrorModel.defaults());
        VirtualUnit dirty = pack.unit(pack.space().single("detector-dirty"));
        var ines = server.logIn("ines");
        String visit = ines.job("f14-rooftop", "dead");
        ines.add(visit, entry("PATTERN", "board", "unit-board", "pattern", "off"));
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/power");
            browser.press("[data-test=chain-supply\\.unit-board]");
            for (int i = 0; i < 8 && !browser.text("[data-test=chain-said]").contains("It stops between"); i++) {
                String label = browser.text("label[for=chain-reading]").replace("Red on ", "");
                String net = pack.model().points().stream().filter(p -> p.label().equals(label)).findFirst().orElseThrow().net();
                Reading reading = pack.catalogue().free(bricksignal.core.circuit.solve.MeterMode.AC_VOLTS_LOW_Z,
                        new Place.Across("COM", net), "standby", bricksignal.core.unit.Setup.AS_IT_IS);
                double value = dirty.read(reading, "heating", pack.catalogue().seconds("standby")).value();
                if (!browser.see(".loz input").isSelected()) {
                    browser.press(".loz input");
                }
                String said = browser.text("[data-test=chain-said]");
                browser.see("[data-test=chain-reading]").sendKeys(Digits.of(value));
                browser.press("[data-test=chain-take]");
                browser.waitFor(() -> !browser.textNow("[data-test=chain-said]").equals(said));
            }
            assertThat(browser.text("[data-test=chain-said]")).contains("phase monitor output").contains("smoke detector output")
                    .contains("smoke detector.");
        }
    }

    @Test
    void jumperRunsItsClockOnEveryScreenUntilItIsOut() {
        String visit = server.logIn("ines").job("no heat");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/power");
            browser.press("[data-test=call-in]");
            for (String step : new String[] {"before", "power", "work", "verdict"}) {
                browser.go("/visits/" + visit + "/" + step);
                assertThat(browser.text("[data-test=changes]")).contains("Jumper from R on the board to W on the board");
            }
            browser.press("[data-test=change-out]");
            browser.waitFor(() -> !browser.shows("[data-test=changes]"));
        }
    }
}
