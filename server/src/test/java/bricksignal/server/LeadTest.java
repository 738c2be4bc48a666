package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the lead sees of closed visits. */
@ExtendWith(RunningServer.class)
class LeadTest {

    private final Client ines;
    private final Client odile;

    LeadTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
        odile = server.logIn("odile");
    }

    private static String days() {
        return "?from=2025-01-01&to=" + LocalDate.now().plusDays(1);
    }

    private JsonNode overview() {
        Client.Reply reply = odile.get("/api/lead/overview" + days());
        assertThat(reply.status()).as(reply.body()).isEqualTo(200);
        return reply.json();
    }

    private static JsonNode named(JsonNode figures, String name) {
        return StreamSupport.stream(figures.spliterator(), false).filter(one -> one.get("name").asString().equals(name)).findFirst().orElseThrow();
    }

    /** A visit that was closed unproven, and came back: it counts once more everywhere it should, and nowhere else. */
    @Test
    void callBackCountsAgainstTheVisitBeforeIt() {
        String unit = ines.newUnit("f3-vehicle");
        JsonNode before = overview();
        String first = ines.jobAt(unit, "no heat");
        ines.add(first, entry("READING", "test", "v.BAT.standby", "reading", "12.6"));
        assertThat(ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "=1+1 ran when I came")).status()).isEqualTo(200);
        JsonNode between = overview();
        assertThat(between.get("all").get("visits").asInt()).isEqualTo(before.get("all").get("visits").asInt() + 1);
        assertThat(between.get("all").get("proven").asInt()).isEqualTo(before.get("all").get("proven").asInt());
        assertThat(named(between.get("people"), "Ines Marrow").get("visits").asInt()).isPositive();
        String second = ines.jobAt(unit, "no heat again");
        Map<String, Object> now = entry("READING", "test", "v.BAT.standby", "reading", "12.5");
        now.put("madeAt", System.currentTimeMillis() + 1000);
        ines.add(second, now);
        JsonNode after = overview();
        assertThat(after.get("all").get("backs").asInt()).isEqualTo(between.get("all").get("backs").asInt() + 1);
        JsonNode vehicles = named(after.get("families"), "f3-vehicle");
        assertThat(vehicles.get("bookMinutes").asDouble()).as("a reading takes a minute or so, and nothing was changed").isPositive().isLessThan(60);
        assertThat(vehicles.get("cost").asDouble()).isGreaterThanOrEqualTo(0);
        assertThat(vehicles.get("bookCost").asDouble()).as("labour alone").isPositive();
        JsonNode back = after.get("backs").get(0);
        assertThat(back.get("id").asString()).isEqualTo(first);
        assertThat(back.get("proven").asBoolean()).isFalse();
        assertThat(named(after.get("families"), "f3-vehicle").get("backs").asInt()).isPositive();
    }

    /** The weeks are the same visits, each once, by the Monday of the company's own days. */
    @Test
    void weeksAddUpToAll() {
        ines.post("/api/visits/" + ines.jobAt(ines.newUnit("f3-vehicle"), "no heat") + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "ran when I came"));
        JsonNode found = overview();
        for (String figure : new String[] {"visits", "proven", "backs", "boards"}) {
            assertThat(found.get("weeks").valueStream().mapToInt(week -> week.get(figure).asInt()).sum()).as(figure).isEqualTo(found.get("all").get(figure).asInt());
        }
        List<LocalDate> mondays = found.get("weeks").valueStream().map(week -> LocalDate.parse(week.get("week").asString())).toList();
        assertThat(mondays).isSorted().doesNotHaveDuplicates().allMatch(day -> day.getDayOfWeek() == java.time.DayOfWeek.MONDAY);
    }

    /** A board goes unproven with a lead's approval only, and that stands in the lead's figures, the list, and for the shop to answer. */
    @Test
    void boardThatALeadLetGoUnprovenIsShownAsThat() {
        String visit = ines.deadIgniter("no heat");
        Map<String, Object> order = entry("ORDERED", "part", "board");
        assertThat(ines.post("/api/visits/" + visit + "/log", order).detail()).contains("not proven");
        Map<String, Object> leave = entry("ALLOWED", "part", "board", "reason", "the only one for a week", "by", "nobody in particular");
        assertThat(ines.post("/api/visits/" + visit + "/log", leave).detail()).contains("lead's approval");
        long before = overview().get("all").get("allowed").asLong();
        odile.add(visit, leave);
        odile.add(visit, leave);
        ines.add(visit, entry("REPAIRED", "part", "board"));
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_RUNNING", "decided", "new board"));
        JsonNode after = overview();
        assertThat(after.get("all").get("allowed").asLong()).isEqualTo(before + 1);
        JsonNode shown = StreamSupport.stream(after.get("boards").spliterator(), false).filter(one -> one.get("id").asString().equals(visit)).findFirst().orElseThrow();
        assertThat(shown.get("proven").asBoolean()).isFalse();
        assertThat(shown.get("allowed").asString()).contains("Odile").contains("the only one for a week");
        assertThat(odile.get("/api/lead/visits.csv" + days()).body()).contains("the only one for a week");
        assertThat(ines.get("/api/visits/" + visit + "/visit.json").body()).contains("the only one for a week");
    }

    /** What nobody gets at on one visit is in nobody's way on the next: the plan begins without it. */
    @Test
    void whatIsNotFittedAndWhatIsSpareIsKnownOnTheNextVisit() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        ines.add(first, entry("UNABLE", "test", "ohms-igniter", "why", "REACH"));
        ines.add(first, entry("UNABLE", "test", "flame-current", "why", "TOOL"));
        ines.add(first, entry("SPARE", "cable", "thermostat cable", "conductor", "blue"));
        ines.add(first, entry("ALONG", "part", "igniter"));
        ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "come back with a ladder"));
        String second = ines.jobAt(unit, "no heat");
        ines.add(second, entry("READING", "test", "v.R.standby", "reading", "26"));
        String log = ines.opened(second).get("page").get("log").toString();
        assertThat(log).contains("cannot be reached").contains("Spare conductor in thermostat cable").doesNotContain("no tool for it").doesNotContain("Taken along");
        assertThat(ines.get("/api/visits/" + second + "/history").json().get("visits").get(0).get("past").get("unused").toString()).contains("gniter");
        assertThat(ines.add(second, entry("ALONG", "part", "flux")).detail()).contains("flux");
    }

    @Test
    void listIsCommaSeparatedAndNoCellIsAFormula() throws IOException {
        String visit = ines.job("@SUM(A1) no heat");
        ines.add(visit, entry("NOTE", "text", "came and went"));
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "MADE_SAFE", "decided", "off"));
        List<CSVRecord> rows = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get().parse(new StringReader(odile.get("/api/lead/visits.csv" + days())
                .body())).getRecords();
        assertThat(rows).isNotEmpty().allSatisfy(row -> assertThat(row.stream()).noneMatch(cell -> cell.startsWith("@") || cell.startsWith("=")));
        assertThat(rows).anySatisfy(row -> assertThat(row.get("complaint")).isEqualTo("'@SUM(A1) no heat"));
    }

    @Test
    void onlyTheLeadSeesItAndSenselessDaysAreRefused() {
        assertThat(ines.get("/api/lead/overview" + days()).status()).isEqualTo(403);
        assertThat(odile.get("/api/lead/overview?from=2026-05-01&to=2026-04-01").detail()).contains("comes after");
        assertThat(odile.get("/api/lead/overview?from=1900-01-01&to=2026-04-01").detail()).contains("longer than");
    }

    /** For a handful of furnaces no igniter is worth its room; where three were wanted at once one is. */
    @Test
    void vanCarriesWhatIsWorthItsRoom() {
        for (int i = 0; i < 3; i++) {
            String visit = ines.deadIgniter("no heat");
            ines.add(visit, entry("REPAIRED", "part", "igniter"));
            assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_RUNNING", "decided", "new igniter")).status()).isEqualTo(200);
        }
        JsonNode stock = odile.get("/api/lead/stock").json();
        JsonNode igniter = StreamSupport.stream(stock.get("lines").spliterator(), false).filter(line -> line.get("family").asString().equals("f1-furnace")
                && line.get("part").asString().equals("igniter")).findFirst().orElseThrow();
        assertThat(igniter.get("used").asInt()).isGreaterThanOrEqualTo(3);
        assertThat(igniter.get("all").asInt()).isPositive();
        assertThat(igniter.get("carry").size()).as("a number for each van").isEqualTo(stock.get("vans").size()).isGreaterThanOrEqualTo(2);
        assertThat(stock.get("vans")).allSatisfy(van -> assertThat(van.get("filled").asDouble()).isLessThanOrEqualTo(stock.get("litres").asDouble()));
        assertThat(igniter.get("missing").asDouble()).as("a second trip is the cheapest way not to have it").isLessThanOrEqualTo(90);
        assertThat(odile.get("/api/lead/stock.csv").body()).contains("f1-furnace,igniter");
        assertThat(ines.get("/api/lead/stock").status()).isEqualTo(403);
    }
}
