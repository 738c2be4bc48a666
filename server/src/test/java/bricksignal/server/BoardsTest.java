package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Identifying a unit, typing its board in, and what a visit makes of it. */
@ExtendWith(RunningServer.class)
class BoardsTest {

    private final RunningServer.Instance server;
    private Client ines;

    BoardsTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    private static Map<String, Object> draft(String name, String pattern, String condition) {
        return Map.of("overlay", name, "family", "f1-furnace", "title", "Board " + name, "timings", Map.of("purge-time", 25),
                "charts", Map.of("board", List.of(Map.of("generation", "door", "codes",
                        List.of(Map.of("pattern", pattern, "condition", condition))))));
    }

    private String unitWith(String board) {
        Map<String, Object> unit = new LinkedHashMap<>(Map.of("siteName", "Site " + UUID.randomUUID(), "label", "Furnace",
                "location", "cellar", "pack", "f1-furnace"));
        if (!board.isEmpty()) {
            unit.put("board", board);
        }
        Client.Reply made = ines.post("/api/units", unit);
        assertThat(made.status()).isEqualTo(201);
        return made.json().get("id").asString();
    }

    private String visitTo(String unit) {
        return ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "no heat")).json().get("id").asString();
    }

    @Test
    void questionsLeadToAFamily() {
        Map<String, String> answers = new LinkedHashMap<>();
        JsonNode state = ines.post("/api/identify", Map.of("answers", answers)).json();
        assertThat(state.get("families")).as("every legal composition").hasSize(bricksignal.packs.PackLibrary.compositions().size());
        answers.putAll(Map.of("place", "roof", "supply", "three"));
        state = ines.post("/api/identify", Map.of("answers", answers)).json();
        assertThat(state.get("families").get(0).get("id").asString()).isEqualTo("f14-rooftop");
        Map<String, List<String>> traits = bricksignal.packs.PackLibrary.family("f14-rooftop").compositions().get(0).traits();
        while (!state.get("next").isNull()) {
            String next = state.get("next").get("id").asString();
            answers.put(next, traits.getOrDefault(next, List.of("")).get(0));
            state = ines.post("/api/identify", Map.of("answers", answers)).json();
        }
        assertThat(answers).as("its choices were asked").containsKeys("plate", "detectors").hasSizeLessThanOrEqualTo(8);
        assertThat(state.get("families").get(0).get("choices")).as("the usual one").isEmpty();
        assertThat(ines.post("/api/identify", Map.of("answers", Map.of("place", "moon"))).status()).isEqualTo(422);
    }

    /** What the lead looks at: the run of a composition and how each of its faults is proven; the first time that takes some seconds. */
    @Test
    void familyIsRunAndItsFaultsAreProven() {
        JsonNode run = ines.get("/api/packs/f9-airhandler/run?choice=voltage:two-legs").json();
        assertThat(run.get("channels").size()).isGreaterThan(3);
        assertThat(run.get("stages").size()).isGreaterThan(1);
        JsonNode proof = ines.get("/api/packs/f9-airhandler/proof?choice=voltage:two-legs").json();
        assertThat(proof.size()).isGreaterThan(30);
        assertThat(proof.valueStream()).allSatisfy(fault -> {
            assertThat(fault.get("proven").asBoolean()).as(fault.get("id").asString()).isTrue();
            assertThat(fault.get("shown").size()).isPositive();
            assertThat(fault.get("open").size()).isZero();
        });
        List<Double> shares = proof.valueStream().map(fault -> fault.get("share").asDouble()).toList();
        assertThat(shares).as("the commonest first").isSortedAccordingTo(java.util.Comparator.reverseOrder());
        assertThat(shares.stream().mapToDouble(share -> share).sum()).isCloseTo(1, within(1e-9));
        JsonNode tests = ines.get("/api/packs/f9-airhandler/tests?choice=voltage:two-legs").json();
        assertThat(tests.valueStream().flatMap(group -> group.get("cautions").valueStream()).map(JsonNode::asString)).as("what can hurt somebody").anyMatch(said -> said.contains("Line voltage"));
        assertThat(tests.valueStream().flatMap(group -> group.get("tests").valueStream()).count()).isGreaterThan(50);
        assertThat(ines.get("/api/packs/f99/run").status()).isEqualTo(404);
        assertThat(ines.get("/api/packs/f9-airhandler/proof?choice=voltage:seven").status()).isEqualTo(422);
    }

    /** The questions end in a family with its choices made; the unit keeps them, and its visit is of that composition. */
    @Test
    void questionsLeadToChoicesThatTheUnitAndItsVisitKeep() {
        JsonNode leader = ines.post("/api/identify", Map.of("answers", Map.of("place", "indoors", "fuel", "gas", "ignition", "spark", "blower", "psc",
                "vent", "metal", "boards", "one")))
                .json().get("families").get(0);
        assertThat(leader.get("name").asString()).startsWith("f1-furnace ignition=spark blower=capacitor");
        Client.Reply made = ines.post("/api/units", Map.of("siteName", "Spark " + UUID.randomUUID(), "label", "furnace", "location", "cellar",
                "pack", leader.get("id").asString(), "choices", Map.of("ignition", "spark")));
        assertThat(made.json().get("board").asString()).isEqualTo("f1-furnace-spark-capacitor-eighty");
        String visit = visitTo(made.json().get("id").asString());
        String seen = ines.get("/api/visits/" + visit).body();
        assertThat(seen).contains("spark electrode").doesNotContain("hot-surface igniter");
        assertThat(ines.get("/api/packs/f1-furnace/family?choice=ignition:spark").json().get("chosen").get("ignition").asString()).isEqualTo("spark");
        assertThat(ines.get("/api/packs/f1-furnace.yaml?choice=ignition:spark").body()).contains("spark electrode").doesNotContain("uses:");
        assertThat(ines.get("/api/packs/f1-furnace/family?choice=ignition:candle").status()).isEqualTo(422);
        assertThat(ines.post("/api/units", Map.of("siteName", "x", "label", "y", "location", "z", "pack", "f1-furnace", "choices",
                Map.of("ignition", "candle"))).status()).isEqualTo(422);
    }

    /** What is chosen can be changed with everything entered kept: an open visit follows, a closed one stays as it was. */
    @Test
    void openVisitFollowsWhatIsChosenAndAClosedOneDoesNot() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        Map<String, Object> draft = new LinkedHashMap<>(Map.of("overlay", name, "family", "f1-furnace", "title", "Board " + name));
        ines.post("/api/overlays", draft);
        String unit = unitWith(name);
        String open = visitTo(unit);
        assertThat(ines.add(open, Client.entry("READING", "test", "v.R.standby", "reading", "27.4")).status()).isEqualTo(200);
        String closed = visitTo(unit);
        ines.add(closed, Client.entry("READING", "test", "v.R.standby", "reading", "27.4"));
        assertThat(ines.closeFixed(closed, "nothing").status()).isEqualTo(200);
        draft.put("choices", Map.of("ignition", "spark"));
        assertThat(ines.post("/api/overlays", draft).json().get("usable").asBoolean()).isTrue();
        JsonNode followed = ines.get("/api/visits/" + open).json();
        assertThat(followed.get("page").get("log")).as("everything entered is kept").hasSize(1);
        assertThat(followed.get("unit").toString()).contains("spark").doesNotContain("igniter output");
        assertThat(ines.add(open, Client.entry("ANSWER", "test", "hear-spark", "yes", false)).status()).isEqualTo(200);
        assertThat(ines.get("/api/visits/" + closed).json().get("unit").toString()).contains("igniter output");
    }

    /** A unit whose board has times of its own takes a while to be made ready; the job does not wait for it, and is made once. */
    @Test
    void jobIsMadeAtOnceHoweverLongItsUnitTakes() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        Map<String, Object> draft = new LinkedHashMap<>(draft(name, "9 flashes", "ignition lockout"));
        draft.put("timings", Map.of("purge-time", 20 + Math.random()));
        assertThat(ines.post("/api/overlays", draft).json().get("usable").asBoolean()).isTrue();
        Client.Reply made = ines.post("/api/jobs", Map.of("unitId", unitWith(name), "complaint", name));
        assertThat(made.status()).isEqualTo(201);
        assertThat(made.json().get("state").asString()).isEqualTo("PLANNED");
        assertThat(ines.get("/api/visits/" + made.json().get("id").asString()).json().get("page").get("next").isNull()).isFalse();
        int jobs = 0;
        for (JsonNode job : ines.get("/api/jobs?day=" + java.time.LocalDate.now(java.time.ZoneId.systemDefault())).json()) {
            jobs += job.get("complaint").asString().equals(name) ? 1 : 0;
        }
        assertThat(jobs).isEqualTo(1);
    }

    @Test
    void eachSaveIsAVersionAndTheSameTextIsNone() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        assertThat(ines.post("/api/overlays", draft(name, "9 flashes", "ignition lockout")).json().get("usable").asBoolean()).isTrue();
        ines.post("/api/overlays", draft(name, "9 flashes", "ignition lockout"));
        ines.post("/api/overlays", draft(name, "8 flashes", "ignition lockout"));
        JsonNode view = ines.get("/api/overlays/" + name).json();
        assertThat(view.get("row").get("version").asInt()).isEqualTo(2);
        assertThat(view.get("history")).hasSize(2);
        assertThat(ines.get("/api/overlays/" + name + "/yaml?version=1").body()).contains("9 flashes");
        assertThat(ines.get("/api/overlays/nobody").status()).isEqualTo(404);
    }

    @Test
    void exportIsImportedAgainAndProblemsNameTheirLine() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        ines.post("/api/overlays", draft(name, "9 flashes", "ignition lockout"));
        String yaml = ines.get("/api/overlays/" + name + "/yaml").body().replace(name, name + "-copy");
        assertThat(ines.postText("/api/overlays/import", yaml).json().get("usable").asBoolean()).isTrue();
        JsonNode spoiled = ines.postText("/api/overlays/import", yaml.replace("ignition lockout", "ignition lockut")).json();
        assertThat(spoiled.get("usable").asBoolean()).isFalse();
        JsonNode problem = spoiled.get("problems").get(0);
        assertThat(problem.get("line").asInt()).isGreaterThan(3);
        assertThat(problem.get("remedy").asString()).contains("Maybe 'ignition lockout'");
    }

    @Test
    void unitUsesItsBoardAtOnceAndAClosedVisitKeepsTheVersionItHad() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        ines.post("/api/overlays", draft(name, "9 flashes", "ignition lockout"));
        String unit = unitWith("");
        String visit = visitTo(unit);
        assertThat(ines.post("/api/units/" + unit + "/board", Map.of("board", name)).status()).isEqualTo(200);
        JsonNode before = ines.add(visit, entry("PATTERN", "pattern", "9 flashes")).json().get("page");
        assertThat(before.get("log").get(0).get("judgement").asString()).isEqualTo("ignition lockout");
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "later"));
        ines.post("/api/overlays", draft(name, "9 flashes", "limit or rollout open"));
        assertThat(ines.get("/api/visits/" + visit).json().get("page").get("log").get(0).get("judgement").asString())
                .as("kept as it was closed").isEqualTo("ignition lockout");
        String next = visitTo(unit);
        assertThat(ines.add(next, entry("PATTERN", "pattern", "9 flashes")).json().get("page").get("log").get(1)
                .get("judgement").asString()).as("the newest").isEqualTo("limit or rollout open");
    }

    @Test
    void boardOfAnotherFamilyIsRefusedForAUnit() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        ines.post("/api/overlays", draft(name, "9 flashes", "ignition lockout"));
        Client.Reply refused = ines.post("/api/units", Map.of("siteName", "X", "label", "Y", "location", "Z", "pack",
                "f14-rooftop", "board", name));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("f1-furnace").contains("own equipment type");
    }

    @Test
    void lampIsPreviewedFromATraceAndKeptAsOne() {
        String visit = ines.job("no heat");
        StringBuilder csv = new StringBuilder("seconds,brightness\n");
        for (int i = 0; i < 420; i++) {
            double t = i / 30.0;
            csv.append(t).append(',').append(t % 3.8 < 0.3 || t % 3.8 >= 0.6 && t % 3.8 < 0.9 || t % 3.8 >= 1.2 && t % 3.8 < 1.5
                    ? 120 : 40).append('\n');
        }
        Client.Reply read = ines.postCsv("/api/lamp/csv", csv.toString());
        assertThat(read.status()).isEqualTo(200);
        Object trace = Client.plain(read.json().get("trace"));
        JsonNode seen = ines.post("/api/visits/" + visit + "/lamp", entry("FILM", "trace", trace)).json();
        assertThat(seen.get("weights").get(0).get("pattern").asString()).isEqualTo("3 flashes");
        assertThat(seen.get("flashes").size()).isBetween(10, 12);
        JsonNode log = ines.add(visit, entry("FILM", "trace", trace)).json().get("page").get("log");
        assertThat(log.get(0).get("found").asString()).startsWith("3 flashes");
    }

    @Test
    void fileThatCannotBeReadTellsWhatAndWhere() {
        assertThat(ines.postCsv("/api/lamp/csv", "time,volts\n0,1\n").detail()).contains("no column 'brightness'");
        assertThat(ines.postCsv("/api/lamp/csv", "seconds,brightness\n0,1\n0,2\n").detail()).contains("Row 2").contains("not later");
        assertThat(ines.postCsv("/api/lamp/csv", "seconds,brightness\n-1,1\n").detail()).contains("negative");
        assertThat(ines.postCsv("/api/lamp/csv", "seconds,brightness\n0,bright\n").detail()).contains("'bright' is not a number");
        assertThat(ines.postCsv("/api/lamp/csv", "seconds,brightness\n").detail()).contains("no row");
        assertThat(ines.postCsv("/api/lamp/csv", "").status()).isEqualTo(422);
    }

    @Test
    void fileOfTwoMillionRowsIsReadAsFarAsItCanBeUsedAndThatIsSaid() {
        StringBuilder csv = new StringBuilder("seconds,brightness\n");
        for (int i = 0; i < 2_000_000; i++) {
            csv.append(i).append("e-3,1\n");
        }
        JsonNode read = ines.postCsv("/api/lamp/csv", csv.toString()).json();
        assertThat(read.get("trace").get("seconds")).hasSize(20_000);
        assertThat(read.get("notes").get(0).asString()).contains("more than 20000 rows");
    }

    @Test
    void resetAndTwinsAreEvidence() {
        String visit = ines.job("f14-rooftop", "dead");
        JsonNode view = ines.get("/api/visits/" + visit).json();
        assertThat(view.get("twins")).hasSize(2);
        ines.add(visit, entry("PATTERN", "board", "unit-board", "pattern", "off"));
        for (JsonNode twin : view.get("twins")) {
            ines.add(visit, entry("TWIN", "unit", twin.get("id").asString(), "alike", true));
        }
        JsonNode after = ines.add(visit, entry("POWER_CYCLED", "yes", true)).json();
        assertThat(after.get("page").get("powerCycled").asBoolean()).isTrue();
        assertThat(after.get("twins").get(view.get("twins").get(0).get("id").asString()).asBoolean()).isTrue();
        assertThat(after.get("page").get("suspects").get(0).get("id").asString()).isIn("fire-alarm", "supply-low", "phase-reversed");
        JsonNode taken = ines.add(visit, entry("TWIN", "unit", view.get("twins").get(0).get("id").asString(), "alike", false)).json();
        assertThat(taken.get("twins").get(view.get("twins").get(0).get("id").asString()).asBoolean()).as("the last word on a twin counts").isFalse();
        assertThat(ines.add(visit, entry("TWIN", "alike", true)).status()).isEqualTo(422);
    }
}
