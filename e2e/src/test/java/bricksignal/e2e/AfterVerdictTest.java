package bricksignal.e2e;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Client;
import bricksignal.server.RunningServer;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.support.ui.Select;

/** After the verdict, on a phone: a way out is quoted, a board is written down as found, a visit is found again. */
@ExtendWith(RunningServer.class)
class AfterVerdictTest {

    private final RunningServer.Instance server;

    AfterVerdictTest(RunningServer.Instance server) {
        this.server = server;
    }

    @Test
    void wayOutIsQuotedWithAPriceThatSomebodyKnowsBetter() {
        Client ines = server.logIn("ines");
        String visit = ines.job("No heat.");
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/verdict");
            browser.press("[data-test=to-ways]");
            assertThat(browser.text("[data-test=ways-say]")).contains("from the truck");
            browser.press("[data-test='way-PART.VAN'] button");
            browser.press("[data-test=quote]");
            assertThat(browser.text("[data-test=quotes]")).contains("Quote").contains("SKD");
            assertThat(ines.get("/api/visits/" + visit + "/quotes").json()).hasSize(1);
        }
    }

    @Test
    void boardIsWrittenDownAsFoundWithItsPhotograph(@TempDir Path folder) throws IOException {
        Client ines = server.logIn("ines");
        String visit = ines.job("No heat.");
        File picture = folder.resolve("board.jpg").toFile();
        ImageIO.write(new BufferedImage(2000, 1000, BufferedImage.TYPE_INT_RGB), "jpg", picture);
        assertThat(Files.size(picture.toPath())).isPositive();
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/visits/" + visit + "/change");
            browser.see("[data-test=change-page] h1");
            browser.driver().findElement(org.openqa.selenium.By.cssSelector("[data-test=photo]")).sendKeys(picture.getAbsolutePath());
            browser.waitFor(() -> ines.get("/api/visits/" + visit + "/photos").json().size() == 1);
            assertThat(ines.get("/api/visits/" + visit + "/photos").json().get(0).get("width").asInt()).as("made small in the browser").isEqualTo(1400);
            browser.press("[data-test=usual-W]");
            browser.waitFor(() -> ines.opened(visit).get("page").get("log").toString().contains("As found on"));
            new Select(browser.see("[data-test=new-board]")).selectByValue("skerrow-grey");
            browser.waitFor(() -> browser.textNow("[data-test=differences]").contains("J3 IND"));
            assertThat(browser.text("[data-test=blocked]")).containsIgnoringCase("not proven");
            assertThat(browser.shows("[data-test=moved]")).as("nothing is moved before the board is proven").isFalse();
        }
    }

    @Test
    void visitIsFoundByAWordOfItsComplaint() {
        Client ines = server.logIn("ines");
        ines.job("Hoots like an owl in the rafters.");
        try (Browser browser = new Browser(server.url(), 390, 844)) {
            browser.logIn("ines");
            browser.go("/jobs/record");
            browser.see("#query").sendKeys("owl in the");
            browser.waitFor(() -> browser.textNow("[data-test=record-page]").contains("Hoots like an owl"));
            browser.see("#query").sendKeys(" nowhere");
            browser.waitFor(() -> browser.textNow("[data-test=record-page]").contains("No visit says"));
        }
    }
}
