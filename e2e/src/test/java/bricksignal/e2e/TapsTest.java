package bricksignal.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.casework.Shown;
import bricksignal.casework.entry.Entry;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.packs.PackLibrary;
import bricksignal.server.RunningServer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * How many taps it takes from the call of a customer to the closed visit, on a phone: the commonest faults of a furnace with hot-surface ignition, by the shares of its own
 * data, each led by the program alone. The digits of readings are counted apart, what is typed in words not at all. Two of them are driven; all ten with {@code -Dtaps=all}.
 */
@ExtendWith(RunningServer.class)
class TapsTest {

    private static final String FAMILY = "f1-furnace";
    private static final int COMMONEST = 10;
    private static final int USUALLY = 2;
    private static final int MOST_TESTS = 25;
    private static final int MOST = 60;
    private static final int MEDIAN = 40;
    /** A person who watches a run sees it to here: by then a furnace has lit or given up (common practice). */
    private static final double LONG_ENOUGH_SECONDS = 95;

    private final RunningServer.Instance server;
    private final CompiledPack pack = PackLibrary.ready(FAMILY);

    TapsTest(RunningServer.Instance server) {
        this.server = server;
    }

    @Test
    void fromTheCallToTheClosedVisit() {
        boolean all = "all".equals(System.getProperty("taps"));
        List<Hypothesis> faults = pack.space().faults().stream().filter(h -> !h.intermittent() && h.faults().size() == 1)
                .sorted(Comparator.comparingDouble(Hypothesis::prior).reversed()).limit(all ? COMMONEST : USUALLY).toList();
        List<Integer> taps = new ArrayList<>();
        for (Hypothesis fault : faults) {
            taps.add(visited("Boat shed " + (101 + taps.size()), fault));
        }
        assertThat(taps).allMatch(count -> count <= MOST);
        assertThat(taps.stream().sorted().toList().get((taps.size() - 1) / 2)).as("the median").isLessThanOrEqualTo(MEDIAN);
    }

    private int visited(String site, Hypothesis fault) {
        server.logIn("ines").post("/api/units", Map.of("siteName", site, "address", "Slip 2", "label", "Unit", "location", "closet", "pack", FAMILY));
        try (Browser phone = new Browser(server.url(), 390, 844)) {
            phone.logIn("ines");
            int before = phone.pressed();
            jobIsMade(phone, site);
            int job = phone.pressed();
            foundAsItIs(phone, fault);
            for (int tests = 0; tests < MOST_TESTS && !phone.shows("[data-test=done]"); tests++) {
                testIsMade(phone, fault.id());
            }
            int work = phone.pressed();
            phone.press("[data-test=to-verdict]");
            phone.press("[data-test=repaired-" + fault.part().id() + "]");
            proven(phone);
            int taps = phone.pressed() - before;
            System.out.println("taps: " + fault.faults().get(0).id() + " " + taps + " (job " + (job - before) + ", until the verdict " + (work - job) + ", after it "
                    + (phone.pressed() - work) + "), digits " + phone.digits());
            return taps;
        }
    }

    private static void jobIsMade(Browser phone, String site) {
        phone.press("[data-test=new-job]");
        phone.waitFor(() -> "where".equals(phone.driver().switchTo().activeElement().getDomAttribute("id")));
        phone.see("#where").sendKeys(site);
        phone.see("[data-test=picked]");   // one site of that name, one unit: nothing to choose
        phone.press(".quick .key");
        phone.press("form button[type=submit]");
        phone.see(".visit");
    }

    /** The lamp as the unit is found, and the first question at every unit that burns gas. */
    private void foundAsItIs(Browser phone, Hypothesis fault) {
        VirtualUnit unit = VirtualUnit.of(pack.model(), fault.faults().get(0).in(pack.model().machine()));
        String lamp = unit.usualRun().lampShares("board", pack.model().found().from(), pack.model().found().to()).entrySet().stream()
                .max(Map.Entry.comparingByValue()).orElseThrow().getKey().text();
        phone.press("[data-test='pattern-" + lamp + "']");
        phone.see("[data-test=lamp-read]");
        phone.press("[data-test='check-danger.gas-smell'] button:nth-of-type(2)");
        phone.press("[data-test=step-work]");
        phone.see("[data-test=next], [data-test=done]");
    }

    private void testIsMade(Browser phone, HypothesisId matter) {
        String id = String.valueOf(phone.see("[data-test=next]").getDomAttribute("data-id"));
        int before = phone.logSize();
        made(phone, Shown.by(pack, pack.catalogue().test(id), matter));
        phone.waitFor(() -> phone.logSize() > before);
    }

    /** Entered by the keys that stand there. */
    private static void made(Browser phone, List<Entry> shown) {
        if (shown.get(0) instanceof Entry.TestReading reading) {
            phone.typeReading(rounded(reading.reading()));
        } else if (shown.get(0) instanceof Entry.Answer answer) {
            phone.press(answer.yes() ? "[data-test=yes]" : "[data-test=no]");
        } else {
            runIsWatched(phone, shown);
        }
    }

    private static void runIsWatched(Browser phone, List<Entry> shown) {
        phone.press("[data-test=watch]");
        tapped(phone, shown);
    }

    /** What is seen of a run is tapped when it comes. */
    private static void tapped(Browser phone, List<Entry> shown) {
        for (Entry entry : shown) {
            if (entry instanceof Entry.Seen seen && seen.seconds() < LONG_ENOUGH_SECONDS && phone.shows("[data-test=event-" + seen.channel() + "]")) {
                phone.clockAt(seen.seconds());
                phone.press("[data-test=event-" + seen.channel() + "]");
                phone.waitFor(() -> !phone.shows("[data-test=sequence-taps]") || phone.textNow("[data-test=event-" + seen.channel() + "]").contains(seen.begins() ? "ends" : "begins"));
            }
        }
        phone.clockAt(LONG_ENOUGH_SECONDS);
        if (phone.shows("[data-test=watched]") && !phone.shows("[data-kind=dock]")) {
            phone.press("[data-test=watched]");
        }
        phone.waitFor(() -> !phone.shows("[data-test=sequence-taps]"));
    }

    /** Two places behind the point, and none that say nothing, as a meter shows it. */
    private static String rounded(String reading) {
        return reading.equals("OL") ? reading : new java.math.BigDecimal(reading).round(new java.math.MathContext(3)).stripTrailingZeros().toPlainString();
    }

    /** All that the proving run asks, in its order, at a unit that is in order again; then the visit is closed. */
    private void proven(Browser phone) {
        phone.see("[data-test=proving]");
        HypothesisId sound = pack.space().nothing();
        while (!phone.shows("[data-test=all-shown]")) {
            String item = String.valueOf(phone.see("[data-kind=dock]").getDomAttribute("data-test")).substring("dock-".length());
            if (item.equals("SAFETIES") || item.equals("MONOXIDE")) {
                phone.press("[data-test=yes]");
            } else {
                made(phone, Shown.by(pack, pack.catalogue().test(item), sound));
            }
            phone.waitFor(() -> phone.shows("[data-test='prove-" + item + "'].good"));
        }
        phone.press("[data-test=outcome-FIXED]");
        assertThat(phone.textNow("[data-test=blocks]")).isEmpty();
        assertThat(phone.see("#decided").getDomProperty("value")).as("what was repaired stands there already").isNotBlank();
        phone.press("[data-test=close]");
        phone.see("[data-test=report-page]");
    }
}
