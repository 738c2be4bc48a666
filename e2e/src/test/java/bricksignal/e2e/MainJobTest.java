package bricksignal.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.unit.Test.Sequence;
import bricksignal.core.words.Message;
import bricksignal.packs.PackLibrary;
import bricksignal.packs.PackReader;
import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.Pdf;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.print.PrintOptions;
import org.openqa.selenium.support.ui.Select;

/** The main job, from login to the printed page, as a technician does it. */
@ExtendWith(RunningServer.class)
class MainJobTest {

    private static final CompiledPack PACK = CompiledPack.of(PackReader.read(PackLibrary.text("f1-furnace")),
            ErrorModel.defaults());

    /** Readings on the laptop are typed, not pressed: more than any of these visits takes. */
    private static final int MOST_TYPED = 10;

    /** A minute and a half: by then a furnace has lit or given up (common practice). */
    private static final double LONG_ENOUGH_SECONDS = 95;

    private final RunningServer.Instance server;

    MainJobTest(RunningServer.Instance server) {
        this.server = server;
    }

    private static String newJob(RunningServer.Instance server, String complaint) {
        return server.logIn("ines").job(complaint);
    }

    /** Led by the program alone, answered from the sheet of a case of the trade: at its end stands what a good technician concludes. */
    @ParameterizedTest
    @CsvSource({"1280, 800, INDUCER_DEAD", "390, 844, HOSE_OFF"})
    void fromLoginToThePrintedPage(int width, int height, FieldSheet sheet) {
        String fault = sheet.fault();
        try (Browser browser = new Browser(server.url(), width, height)) {
            String visit = newJob(server, "no heat, lamp blinks");
            browser.logIn("ines");
            browser.go("/visits/" + visit);
            lampIsTapped(browser, width, sheet.flashes());
            assertThat(browser.text("[data-test=lamp-read] .pattern")).startsWith(sheet.flashes() + " flashes");
            browser.press("[data-test=to-power]");
            browser.press("[data-test=to-work]");
            browser.press("[data-test=why]");
            assertThat(browser.text("[data-test=why-list]")).contains("%");
            for (int i = 0; i < 25 && !browser.shows("[data-test=done]"); i++) {
                testIsMade(browser, sheet, width);
            }
            assertThat(browser.text("[data-test=done]")).contains("Proven");
            browser.press("[data-test=to-verdict]");
            assertThat(browser.text("[data-test=verdict]"))
                    .isEqualTo(label(fault));
            assertThat(browser.text("[data-test=status]")).isEqualTo("Proven");
            assertThat(interactionSeconds(browser.pressed() + browser.digits(), sheet.flashes()))
                    .as("seconds of interaction from the job to the verdict").isLessThan(180);
            browser.press("[data-test=to-prove]");
            for (String safety : new String[] {"SAFETIES", "MONOXIDE"}) {
                browser.press("[data-test=prove-" + safety + "] button");
                browser.press("[data-test=dock-" + safety + "] [data-test=yes]");
                browser.see("[data-test=prove-" + safety + "].good");
            }
            browser.see("#decided").sendKeys("Part replaced, three cycles watched.");
            assertThat(browser.see("[data-test=close]").isEnabled()).as("how it ended is said first").isFalse();
            browser.press("[data-test=outcome-FIXED]");
            browser.press("[data-test=close]");
            pageIsPrinted(browser, fault);
            browser.go("/visits/" + visit + "/work");
            assertThat(browser.see("[data-test=closed]").getText()).contains("closed");
            assertThat(browser.shows("[data-test=take]")).isFalse();
        }
    }

    /**
     * How long somebody is busy with the program: for each press a thought of 1.35 s, a pointing of 1.1 s and a stroke of 0.2 s
     * (Card, Moran and Newell, The keystroke-level model, 1980), readings typed by keyboard at 2.65 s as well, and two rounds of
     * the lamp tapped. Waiting for the unit is not counted.
     */
    private static double interactionSeconds(int presses, int flashes) {
        return (1.35 + 1.1 + 0.2) * (presses + MOST_TYPED) + 2 * (0.5 * (flashes - 1) + 2);
    }

    /** Two rounds at the pace of the lamp: by space bar on the laptop, by thumb on the phone. */
    private static void lampIsTapped(Browser browser, int width, int flashes) {
        browser.see("[data-test=tap]");
        Actions actions = new Actions(browser.driver());
        for (int round = 0; round < 2; round++) {
            for (int i = 1; i <= flashes; i++) {
                if (width > 600) {
                    actions.sendKeys(Keys.SPACE);
                } else {
                    actions.click(browser.see("[data-test=tap]"));
                }
                actions.pause(Duration.ofMillis(i < flashes ? 500 : 2000));
            }
        }
        actions.perform();
        browser.press("[data-test=read-lamp]");
        browser.see("[data-test=lamp-read]");
    }

    private static void testIsMade(Browser browser, FieldSheet sheet, int width) {
        int before = browser.logSize();
        String test = String.valueOf(browser.see("[data-test=next]").getDomAttribute("data-id"));
        if (PACK.catalogue().test(test) instanceof Sequence) {
            sequenceIsWatched(browser, sheet);
            return;
        }
        if (width < 600) {
            assertThat(browser.blankBelow()).as("the work fits the phone, only its panes scroll").isLessThanOrEqualTo(1);
        }
        String answer = sheet.shows(test);
        if (answer.equals("yes") || answer.equals("no")) {
            browser.press("[data-test=" + answer + "]");
        } else if (width > 600) {
            new Actions(browser.driver()).sendKeys(answer.equals("OL") ? "o" : answer).sendKeys(Keys.ENTER).perform();
        } else {
            browser.typeReading(answer);
        }
        browser.waitFor(() -> browser.logSize() > before);
    }

    /** What is seen is tapped when it comes, by a clock that the test turns forward. */
    private static void sequenceIsWatched(Browser browser, FieldSheet sheet) {
        browser.press("[data-test=watch]");
        for (String came : sheet.comes()) {
            String channel = came.split(" ")[0];
            browser.clockAt(Double.parseDouble(came.split(" ")[1]));
            browser.press("[data-test=event-" + channel + "]");
            browser.waitFor(() -> browser.textNow("[data-test=event-" + channel + "]").contains("ends"));
        }
        browser.clockAt(LONG_ENOUGH_SECONDS);
        browser.press("[data-test=watched]");
        browser.waitFor(() -> !browser.shows("[data-test=sequence-taps]"));
    }

    private static String label(String fault) {
        return ((Message.Said) PACK.model().fault(fault).label()).text();
    }

    private static void pageIsPrinted(Browser browser, String fault) {
        browser.see("[data-test=found]");
        assertThat(browser.text("[data-test=report-page]")).contains("Found", "Measured", "Decided",
                label(fault), "Proven", "three cycles watched", "maker's instructions");
        Pdf pdf = browser.driver().print(new PrintOptions());
        byte[] bytes = java.util.Base64.getDecoder().decode(pdf.getContent());
        assertThat(bytes).startsWith("%PDF".getBytes());
        assertThat(bytes.length).isGreaterThan(10_000);
    }

    @Test
    void readingsInAnyOrderAreTakenCorrectedAndTakenBack() {
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            String visit = newJob(server, "no heat");
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=free]");
            new Select(browser.see("#free-red")).selectByValue("SEC");
            new Select(browser.see("#free-black")).selectByValue("SECC");
            browser.see("#free-reading").sendKeys("0" + Keys.ENTER);
            browser.waitFor(() -> browser.logSize() == 1);
            browser.see("[data-test=suspect-transformer-open]");
            browser.press("[data-test=take-back]");
            browser.waitFor(() -> browser.shows("[data-test=log] .gone"));
            assertThat(browser.driver().findElements(By.cssSelector("[data-test=log] > li"))).as("it stays in the log")
                    .hasSize(1);
        }
    }

    @Test
    void badReadingIsToldBesideTheFieldAndNothingIsLost() {
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            String visit = newJob(server, "no heat");
            server.logIn("ines").add(visit, bricksignal.server.Client.entry("ANSWER", "test", "hear-inducer-found", "yes", true));
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/work");
            browser.press("[data-test=other]");
            browser.driver().findElements(By.cssSelector(".others .key")).stream()
                    .filter(b -> b.getText().contains("AC volts")).findFirst().orElseThrow().click();
            browser.see("[data-test=display]");
            new Actions(browser.driver()).sendKeys("99999").sendKeys(Keys.ENTER).perform();
            assertThat(browser.text("[data-test=reading-problem]")).contains("99999").contains("beyond");
            assertThat(browser.text("[data-test=refused]")).contains("99999");
            assertThat(browser.text("[data-test=display]")).as("what was typed is still there").contains("99999");
            assertThat(browser.logSize()).isEqualTo(1);
        }
    }

    @Test
    void everythingIsKeptWhileTheDatabaseIsAway() {
        try (Cluster cluster = Cluster.create(); RunningServer.Instance own = RunningServer.Instance.on(cluster);
                Browser browser = new Browser(own.url(), 390, 844)) {
            String visit = newJob(own, "no heat");
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/before");
            browser.press("[data-test=more-looks]");
            browser.see("[data-test=check-see-door]");
            cluster.stop();
            browser.press("[data-test=check-see-door] button:last-of-type");
            assertThat(browser.text("[data-test=outbox]")).contains("1 kept on this device").contains("Nothing is lost");
            cluster.start();
            browser.waitFor(() -> !browser.shows("[data-test=outbox]"));
            assertThat(own.logIn("ines").get("/api/visits/" + visit).json().get("page").get("log")).hasSize(1);
        }
    }
}
