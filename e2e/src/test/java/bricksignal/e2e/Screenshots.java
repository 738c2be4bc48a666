package bricksignal.e2e;

import static bricksignal.server.Client.entry;

import bricksignal.server.Client;
import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.support.ui.Select;

/** {@code bin/screenshots}: one picture of each main view, from the demo data, with both sizes of screen in it: the laptop by day, the phone in the closet. */
public final class Screenshots {

    private static final Path FOLDER = Cluster.project().resolve("docs/screenshots");
    private static final int BETWEEN = 24;
    private static final Color AROUND = new Color(0x8a8d8c);

    private Screenshots() {
    }

    /** The two screens that are photographed. */
    private record Screens(Browser laptop, Browser phone) implements AutoCloseable {

        static Screens of(RunningServer.Instance server, String login) {
            Screens screens = new Screens(new Browser(server.url(), 1280, 800), new Browser(server.url(), 390, 844));
            screens.phone.go("/login");
            screens.phone.driver().executeScript("localStorage.setItem('brick-theme', 'closet')");
            screens.both().forEach(browser -> browser.logIn(login));
            return screens;
        }

        List<Browser> both() {
            return List.of(laptop, phone);
        }

        void go(String path) {
            both().forEach(browser -> browser.go(path));
        }

        void press(String css) {
            both().forEach(browser -> browser.press(css));
        }

        void take(String whenSeen, String name) throws IOException, InterruptedException {
            BufferedImage wide = shot(laptop, whenSeen);
            BufferedImage narrow = shot(phone, whenSeen);
            BufferedImage page = new BufferedImage(wide.getWidth() + BETWEEN + narrow.getWidth(), Math.max(wide.getHeight(), narrow.getHeight()), BufferedImage.TYPE_INT_RGB);
            Graphics2D pen = page.createGraphics();
            pen.setColor(AROUND);
            pen.fillRect(0, 0, page.getWidth(), page.getHeight());
            pen.drawImage(wide, 0, 0, null);
            pen.drawImage(narrow, wide.getWidth() + BETWEEN, 0, null);
            pen.dispose();
            Files.createDirectories(FOLDER);
            ImageIO.write(page, "png", FOLDER.resolve(name + ".png").toFile());
        }

        private static BufferedImage shot(Browser browser, String whenSeen) throws IOException, InterruptedException {
            browser.see(whenSeen);
            browser.driver().executeAsyncScript("document.fonts.ready.then(arguments[0])");
            Thread.sleep(300);
            return ImageIO.read(new ByteArrayInputStream(browser.driver().getScreenshotAs(OutputType.BYTES)));
        }

        @Override
        public void close() {
            both().forEach(Browser::close);
        }
    }

    public static void main(String[] args) throws Exception {
        try (Cluster cluster = Cluster.create(); RunningServer.Instance server = RunningServer.Instance.on(cluster)) {
            Client ines = server.logIn("ines");
            String ferry = ines.jobs().get(0).get("id").asString();
            try (Screens lead = Screens.of(server, "odile")) {
                lead.go("/jobs/lead");
                lead.take("[data-test=lead-page] section", "results");
                lead.go("/jobs/learning");
                lead.take("[data-test=learning] table", "own-records");
            }
            try (Screens screens = Screens.of(server, "ines")) {
                beforeTheVisit(screens);
                theVisit(screens, ines, ferry);
                afterTheVerdict(screens, ines, ferry);
            }
        }
        System.exit(0);
    }

    private static void beforeTheVisit(Screens screens) throws IOException, InterruptedException {
        screens.go("/jobs");
        screens.take(".jobs", "jobs");
        screens.go("/identify");
        screens.take("[data-test=question]", "identify");
        screens.go("/packs");
        screens.take("[data-test=diagram]", "equipment");
        screens.go("/tools/economizer?mixed=66");
        screens.take("[data-test=curve]", "economizer");
    }

    private static void theVisit(Screens screens, Client ines, String ferry) throws IOException, InterruptedException {
        screens.go("/visits/" + ferry + "/before");
        screens.take("[data-test=tap]", "before");
        noGas(ines, ferry);
        ines.add(ferry, entry("PATTERN", "pattern", "4 flashes"));
        ines.add(ferry, entry("ANSWER", "test", "hear-inducer-found", "yes", true));
        screens.go("/visits/" + ferry + "/work");
        screens.take("[data-test=next]", "work");
        sequence(screens, ines);
        board(ines);
        screens.go("/boards/grey-board");
        screens.take("[data-test=save-board]", "board");
        String roof = ines.job("f14-rooftop", "Rooftop is dead, lamp on the board is dark.");
        ines.add(roof, entry("PATTERN", "board", "unit-board", "pattern", "off"));
        ines.add(roof, entry("FREE_READING", "black", "COM", "red", "PERM", "mode", "AC_VOLTS", "moment", "standby", "reading", "0.1"));
        ines.add(roof, entry("FREE_READING", "black", "COM", "red", "PMO", "mode", "AC_VOLTS", "moment", "standby", "reading", "27.4"));
        screens.go("/visits/" + roof + "/power");
        screens.take("[data-test=chain-said]", "power");
        screens.go("/visits/" + roof + "/drawing?moment=standby");
        screens.take("[data-test=sheet]", "diagram");
        String cellar = ines.job("f1-furnace", "Soot on the front, no heat.");
        ines.add(cellar, entry("STOPPED", "finding", "ROLLOUT"));
        screens.go("/visits/" + cellar + "/work");
        screens.take("[data-test=stop]", "stop");
        screens.go("/visits/" + ines.job("f16-humidity", "Dries all day.") + "/settings");
        screens.press("[data-test=setting-limit]");
        screens.press("[data-test='found-45 %']");
        screens.press("[data-test='left-60 %']");
        screens.take("[data-test=key-steps]", "settings");
    }

    private static void afterTheVerdict(Screens screens, Client ines, String ferry) throws IOException, InterruptedException {
        ines.add(ferry, entry("READING", "test", "v.ps-com.purge", "reading", "27.1"));
        ines.add(ferry, entry("READING", "test", "v.ps-no.purge", "reading", "0.1"));
        ines.add(ferry, entry("READING", "test", "draft-gauge", "reading", "0.39"));
        ines.add(ferry, entry("ANSWER", "test", "see-hose", "yes", true));
        screens.go("/visits/" + ferry + "/verdict");
        screens.take("[data-test=verdict]", "verdict");
        screens.go("/visits/" + ferry + "/ways");
        screens.press(".way");
        screens.take("[data-test=quote]", "ways");
        changed(screens, ines);
        proved(screens, ines, ferry);
        ines.closeFixed(ferry, "Hose renewed, port cleared, three cycles watched.");
        screens.go("/visits/" + ferry + "/report");
        screens.take("[data-test=found]", "report");
    }

    /** A board is changed for one of another series; how it was found is written down. */
    private static void changed(Screens screens, Client ines) throws IOException, InterruptedException {
        String visit = ines.job("f1-furnace", "No heat.");
        ines.add(visit, entry("SETTING", "setting", "off-delay", "found", "1 off, 2 on", "left", "1 off, 2 on"));
        for (String terminal : new String[] {"R red", "C blue", "W white 3"}) {
            ines.add(visit, entry("TERMINAL", "terminal", terminal.substring(0, 1), "conductor", terminal.substring(2)));
        }
        screens.go("/visits/" + visit + "/change");
        for (Browser browser : screens.both()) {
            new Select(browser.see("[data-test=new-board]")).selectByValue("skerrow-grey");
            browser.see("[data-test=differences]");
            browser.driver().executeScript("document.querySelector('.bank').scrollIntoView()");
        }
        screens.take("[data-test=differences]", "change");
    }

    /** The hose is renewed, and some of the proving run is done. */
    private static void proved(Screens screens, Client ines, String visit) throws IOException, InterruptedException {
        ines.add(visit, entry("REPAIRED", "part", "draft-hose"));
        ines.add(visit, entry("READING", "test", "draft-gauge", "reading", "0.95"));
        ines.add(visit, entry("SAFE", "what", "SAFETIES", "yes", true));
        screens.go("/visits/" + visit + "/prove");
        screens.take("[data-test=proving] [data-test=display]", "prove");
    }

    /** Some way into a run: what was tapped, what comes next, what is late. */
    private static void sequence(Screens screens, Client ines) throws IOException, InterruptedException {
        String visit = ines.job("f1-furnace", "Blows cold, then nothing.");
        noGas(ines, visit);
        ines.add(visit, entry("PATTERN", "pattern", "heartbeat"));
        screens.go("/visits/" + visit + "/work");
        screens.press("[data-test=watch]");
        for (String seen : new String[] {"2 inducer", "21 igniter", "26 gas"}) {
            int blank = seen.indexOf(' ');
            ines.add(visit, entry("SEEN", "channel", seen.substring(blank + 1), "begins", true, "seconds", Double.parseDouble(seen.substring(0, blank))));
        }
        screens.go("/visits/" + visit + "/work");
        screens.both().forEach(browser -> browser.clockAt(44));
        screens.take("[data-test=watched]", "sequence");
    }

    /** The first question at every unit that burns gas. */
    private static void noGas(Client ines, String visit) {
        ines.add(visit, entry("ANSWER", "test", "danger.gas-smell", "yes", false));
    }

    private static void board(Client ines) {
        ines.post("/api/overlays", Map.of("overlay", "grey-board", "family", "f1-furnace", "title", "Grey board, door chart",
                "timings", Map.of("purge-time", 30), "charts", Map.of("board", List.of(Map.of("generation",
                "as on the door", "codes", List.of(Map.of("pattern", "9 flashes", "condition",
                "draft proving stays open"), Map.of("pattern", "8 flashes", "condition", "ignition lockout"),
                Map.of("pattern", "2 long 1 short", "text", "see the manual")))))));
    }
}
