package bricksignal.e2e;

import static bricksignal.server.Client.entry;

import bricksignal.server.Client;
import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.support.ui.Select;

/** {@code bin/screenshots}: one picture of each main view, from the demo data. */
public final class Screenshots {

    private static final Path FOLDER = Cluster.project().resolve("docs/screenshots");

    private Screenshots() {
    }

    public static void main(String[] args) throws Exception {
        try (Cluster cluster = Cluster.create(); RunningServer.Instance server = RunningServer.Instance.on(cluster)) {
            Client ines = server.logIn("ines");
            String ferry = ines.jobs().get(0).get("id").asString();
            try (Browser lead = new Browser(server.url(), 1280, 800)) {
                lead.go("/login");
                lead.logIn("odile");
                lead.go("/jobs/learning");
                take(lead, "[data-test=learning] table", "own-records");
            }
            try (Browser laptop = new Browser(server.url(), 1280, 800)) {
                laptop.go("/login");
                laptop.logIn("ines");
                take(laptop, ".jobs", "jobs");
                laptop.go("/identify");
                take(laptop, "[data-test=question]", "identify");
                laptop.go("/packs");
                take(laptop, "[data-test=diagram]", "families");
                laptop.go("/tools/economizer?mixedF=66");
                take(laptop, "[data-test=air-chart]", "economizer");
                laptop.go("/visits/" + ferry + "/before");
                take(laptop, "[data-test=tap]", "before");
                noGas(ines, ferry);
                ines.add(ferry, entry("PATTERN", "pattern", "4 flashes"));
                ines.add(ferry, entry("ANSWER", "test", "hear-inducer-found", "yes", true));
                laptop.go("/visits/" + ferry + "/work");
                take(laptop, "[data-test=next]", "work");
                board(ines);
                laptop.go("/boards/grey-board");
                take(laptop, "[data-test=save-board]", "board");
                String roof = ines.job("f14-rooftop", "Rooftop is dead, lamp on the board is dark.");
                ines.add(roof, entry("PATTERN", "board", "unit-board", "pattern", "off"));
                ines.add(roof, entry("FREE_READING", "black", "COM", "red", "PERM", "mode", "AC_VOLTS", "moment", "standby",
                        "reading", "0.1"));
                ines.add(roof, entry("FREE_READING", "black", "COM", "red", "PMO", "mode", "AC_VOLTS", "moment", "standby",
                        "reading", "27.4"));
                laptop.go("/visits/" + roof + "/power");
                take(laptop, "[data-test=chain-said]", "power");
                laptop.go("/visits/" + roof + "/drawing?moment=standby");
                take(laptop, "[data-test=sheet]", "diagram");
                try (Browser phone = new Browser(server.url(), 390, 844)) {
                    phone.go("/login");
                    phone.driver().executeScript("localStorage.setItem('brick-theme', 'closet')");
                    phone.logIn("ines");
                    phone.go("/visits/" + ferry + "/work");
                    take(phone, "[data-test=next]", "work-phone");
                    String cellar = ines.job("f1-furnace", "Soot on the front, no heat.");
                    ines.add(cellar, entry("STOPPED", "finding", "ROLLOUT"));
                    phone.go("/visits/" + cellar + "/work");
                    take(phone, "[data-test=stop]", "stop-phone");
                    phone.go("/visits/" + ines.job("f16-humidity", "Dries all day.") + "/settings");
                    phone.press("[data-test=setting-limit]");
                    phone.press("[data-test='found-45 %']");
                    phone.press("[data-test='left-60 %']");
                    take(phone, "[data-test=key-steps]", "settings-phone");
                    sequence(phone, ines);
                }
                ines.add(ferry, entry("READING", "test", "v.ps-com.purge", "reading", "27.1"));
                ines.add(ferry, entry("READING", "test", "v.ps-no.purge", "reading", "0.1"));
                ines.add(ferry, entry("READING", "test", "draft-gauge", "reading", "0.39"));
                ines.add(ferry, entry("ANSWER", "test", "see-hose", "yes", true));
                laptop.go("/visits/" + ferry + "/verdict");
                take(laptop, "[data-test=verdict]", "verdict");
                laptop.go("/visits/" + ferry + "/ways");
                laptop.press(".way");
                take(laptop, "[data-test=quote]", "ways");
                changed(laptop, ines);
                proved(laptop, ines, ferry);
                ines.closeFixed(ferry, "Hose renewed, port cleared, three cycles watched.");
                laptop.go("/visits/" + ferry + "/report");
                take(laptop, "[data-test=found]", "report");
            }
        }
        System.exit(0);
    }

    /** A board is changed for one of another series; how it was found is written down. */
    private static void changed(Browser laptop, Client ines) throws IOException, InterruptedException {
        String visit = ines.job("f1-furnace", "No heat.");
        ines.add(visit, entry("SETTING", "setting", "off-delay", "found", "1 off, 2 on", "left", "1 off, 2 on"));
        for (String terminal : new String[] {"R red", "C blue", "W white 3"}) {
            ines.add(visit, entry("TERMINAL", "terminal", terminal.substring(0, 1), "conductor", terminal.substring(2)));
        }
        laptop.go("/visits/" + visit + "/change");
        new Select(laptop.see("[data-test=new-board]")).selectByValue("skerrow-grey");
        laptop.see("[data-test=differences]");
        laptop.driver().executeScript("document.querySelector('.bank').scrollIntoView()");
        take(laptop, "[data-test=differences]", "change");
    }

    /** The hose is renewed, and some of the proving run is done. */
    private static void proved(Browser laptop, Client ines, String visit) throws IOException, InterruptedException {
        ines.add(visit, entry("REPAIRED", "part", "draft-hose"));
        ines.add(visit, entry("READING", "test", "draft-gauge", "reading", "0.95"));
        ines.add(visit, entry("SAFE", "what", "SAFETIES", "yes", true));
        laptop.go("/visits/" + visit + "/prove");
        take(laptop, "[data-test=proving]", "prove");
    }

    /** A minute after the call: the blower should have come. */
    private static void sequence(Browser phone, Client ines) throws IOException, InterruptedException {
        String visit = ines.job("f1-furnace", "Blows cold, then nothing.");
        noGas(ines, visit);
        ines.add(visit, entry("PATTERN", "pattern", "heartbeat"));
        phone.go("/visits/" + visit + "/work");
        phone.press("[data-test=watch]");
        for (String seen : new String[] {"2 inducer", "21 igniter", "26 gas", "27 flame"}) {
            String channel = seen.substring(seen.indexOf(' ') + 1);
            phone.clockAt(Double.parseDouble(seen.substring(0, seen.indexOf(' '))));
            phone.press("[data-test=event-" + channel + "]");
            phone.waitFor(() -> phone.textNow("[data-test=event-" + channel + "]").contains("ends"));
        }
        phone.clockAt(75);
        take(phone, "[data-test=watched]", "sequence-phone");
    }

    /** The first question at every unit that burns gas. */
    private static void noGas(Client ines, String visit) {
        ines.add(visit, entry("ANSWER", "test", "danger.gas-smell", "yes", false));
    }

    private static void board(Client ines) {
        ines.post("/api/overlays", Map.of("overlay", "grey-board", "family", "f1-furnace", "title", "Grey board, door chart",
                "timings", Map.of("purge-time", 30), "charts", Map.of("board", java.util.List.of(Map.of("generation",
                "as on the door", "codes", java.util.List.of(Map.of("pattern", "9 flashes", "condition",
                "draft proving stays open"), Map.of("pattern", "8 flashes", "condition", "ignition lockout"),
                Map.of("pattern", "2 long 1 short", "text", "see the manual")))))));
    }

    private static void take(Browser browser, String whenSeen, String name) throws IOException, InterruptedException {
        browser.see(whenSeen);
        browser.driver().executeAsyncScript("document.fonts.ready.then(arguments[0])");
        Thread.sleep(300);
        Files.createDirectories(FOLDER);
        Files.write(FOLDER.resolve(name + ".png"), browser.driver().getScreenshotAs(OutputType.BYTES));
    }
}
