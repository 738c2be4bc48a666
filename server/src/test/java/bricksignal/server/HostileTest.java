package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What broke the application once, and what arrives at the same moment. */
@ExtendWith(RunningServer.class)
class HostileTest {

    private final RunningServer.Instance server;
    private Client ines;

    HostileTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    private static <T> List<T> atOnce(List<Callable<T>> work) {
        ExecutorService pool = Executors.newFixedThreadPool(work.size());
        try {
            List<T> done = new ArrayList<>();
            for (Future<T> one : pool.invokeAll(work)) {
                done.add(one.get());
            }
            return done;
        } catch (InterruptedException | ExecutionException e) {
            throw new IllegalStateException(e);
        } finally {
            pool.shutdownNow();
        }
    }

    // --- bodies --------------------------------------------------------------------------------------------------------------------

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"/api/identify|{}", "/api/identify|{\"answers\":null}", "/api/identify|{\"answers\":{\"place\":null}}",
        "/api/jobs|{\"unitId\":null,\"complaint\":\"x\"}", "/api/jobs|{\"unitId\":\"0f8fad5b-d9cb-469f-a165-70867728950e\",\"complaint\":\"a\\u0000b\"}",
        "/api/units|{\"siteName\":\"S\",\"label\":\"\\u0000\",\"location\":\"x\",\"pack\":\"f1-furnace\"}",
        "/api/units|{\"siteName\":\"S\",\"label\":\"L\",\"location\":\"x\",\"pack\":null}",
        "/api/overlays/check|{\"overlay\":null,\"family\":\"f1-furnace\",\"title\":\"x\"}",
        "/api/overlays/check|{\"overlay\":\"a\",\"family\":\"f1-furnace\",\"title\":\"x\",\"charts\":{\"board\":[null]}}",
        "/api/overlays/check|{\"overlay\":\"a\",\"family\":\"f1-furnace\",\"title\":\"x\",\"timings\":{\"purge-time\":null}}",
        "/api/overlays|{\"overlay\":\"a\",\"family\":\"f1-furnace\",\"title\":\"x\",\"charts\":{\"board\":[{\"generation\":\"d\",\"codes\":null}]}}",
        "/api/visits/VISIT/log|[]", "/api/visits/VISIT/log|{}", "/api/visits/VISIT/log|null",
        "/api/visits/VISIT/log|{\"id\":\"x\",\"kind\":\"NOTE\",\"madeAt\":1764000000000,\"text\":\"x\"}",
        "/api/visits/VISIT/log|{\"id\":\"0f8fad5b-d9cb-469f-a165-70867728950e\",\"kind\":\"NOTE\",\"madeAt\":1e300,\"text\":\"x\"}",
        "/api/visits/VISIT/log|{\"id\":\"0f8fad5b-d9cb-469f-a165-70867728950e\",\"kind\":\"TAPS\",\"madeAt\":1764000000000,\"taps\":[0,null,2]}",
        "/api/visits/VISIT/log|{\"id\":\"0f8fad5b-d9cb-469f-a165-70867728950e\",\"kind\":\"FILM\",\"madeAt\":1764000000000,\"trace\":{\"seconds\":[null]}}",
        "/api/visits/VISIT/lamp|{\"id\":\"0f8fad5b-d9cb-469f-a165-70867728950e\",\"kind\":\"NOTE\",\"madeAt\":1764000000000,\"text\":\"x\"}"})
    void bodyWithAHoleIsRefusedWithItsField(String path, String body) {
        Client.Reply reply = ines.post(path.replace("VISIT", ines.job("holes")), body);
        assertThat(reply.status()).as(reply.body()).isBetween(400, 422);
        assertThat(reply.type()).startsWith("application/problem+json");
    }

    /** A type of many types names none; it was a 500. */
    @ParameterizedTest
    @CsvSource({"application/*", "*/*"})
    void bodyOfNoOneTypeIsRefused(String type) {
        Client.Reply reply = ines.put("/api/visits/" + ines.job("type") + "/photos/" + UUID.randomUUID() + "?label=x", type, new byte[] {1});
        assertThat(reply.status()).as(reply.body()).isEqualTo(415);
        assertThat(reply.detail()).contains("'" + type + "'").contains("application/json");
    }

    @Test
    void calculatorWithoutItsChoicesSaysWhich() {
        List<String> asked = new ArrayList<>();
        for (var calculator : ines.get("/api/tools/calculators").json()) {
            Client.Reply reply = ines.post("/api/tools/calculators/" + calculator.get("id").asString(), Map.of("numbers", Map.of(), "choices", Map.of()));
            assertThat(reply.status()).as(calculator + " " + reply.body()).isEqualTo(422);
            asked.add(reply.json().get("field").asString());
        }
        assertThat(asked).isNotEmpty().noneMatch(String::isEmpty);
    }

    /** A character that cannot be kept is not somebody else who saved the same thing. */
    @Test
    void characterOfNumberNothingIsToldAsWhatItIs() {
        Client.Reply reply = ines.post("/api/units", "{\"siteName\":\"S\",\"label\":\"a\\u0000b\",\"location\":\"x\",\"pack\":\"f1-furnace\"}");
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.detail()).contains("'label'").contains("invisible character");
    }

    @Test
    void policyWithoutItsListIsRefused() {
        assertThat(server.logIn("odile").post("/api/policy", "{\"labourPerMinute\":1,\"tripCost\":1,\"mistakeCost\":1}").status())
                .isEqualTo(422);
    }

    @ParameterizedTest
    @CsvSource({"-9999-01-01", "99999-12-31", "9999-99-99", "2026-02-30", "1999-12-31", "2200-01-02", "yesterday"})
    void dayThatNoCalendarHoldsIsRefused(String day) {
        assertThat(ines.get("/api/jobs?day=" + day).status()).isBetween(400, 422);
    }

    @Test
    void bodyThatIsTooLargeIsRefusedWithoutBeingHeld() {
        String visit = ines.job("large");
        Client.Reply entry = ines.post("/api/visits/" + visit + "/log", "{\"kind\":\"TAPS\",\"taps\":[" + "0.1,".repeat(2_000_000) + "1]}");
        assertThat(entry.status()).isEqualTo(413);
        Client.Reply overlay = ines.postText("/api/overlays/import", "x".repeat(2_000_000));
        assertThat(overlay.status()).isEqualTo(413);
        assertThat(ines.post("/api/jobs", "{\"complaint\":\"" + "x".repeat(400_000) + "\"}").status()).isEqualTo(413);
        assertThat(ines.get("/api/visits/" + visit).status()).isEqualTo(200);
    }

    @ParameterizedTest
    @CsvSource({"0, 3000", "1, 41"})
    void expressionThatIsNestedTooDeepIsAProblemOfThePack(int kind, int deep) {
        String pack = ines.get("/api/packs/f1-furnace.yaml").body();
        String spoilt = pack.replaceFirst("opens: plenum >= 200", "opens: " + "(".repeat(deep) + "plenum >= 200" + ")".repeat(deep));
        Client.Reply reply = ines.postText("/api/packs/check", spoilt);
        assertThat(reply.status()).isEqualTo(200);
        assertThat(reply.json().get("usable").asBoolean()).isFalse();
    }

    @Test
    void momentThatIsDaysAwayIsAProblemOfThePack() {
        String pack = ines.get("/api/packs/f1-furnace.yaml").body();
        Client.Reply reply = ines.postText("/api/packs/check", pack.replaceFirst("scenario: thermostat, at: 8}",
                "scenario: thermostat, at: 1000000}"));
        assertThat(reply.status()).isEqualTo(200);
        assertThat(reply.json().get("usable").asBoolean()).isFalse();
        assertThat(reply.json().get("problems").get(0).get("path").asString()).contains("/moments/");
    }

    // --- at the same moment --------------------------------------------------------------------------------------------------------

    @Test
    void sameIdToTwoVisitsAtOnceIsTakenOnce() {
        for (int round = 0; round < 6; round++) {
            String one = ines.job("one");
            String two = ines.job("two");
            Map<String, Object> note = entry("NOTE", "text", "x");
            List<Integer> answers = atOnce(List.of(() -> ines.add(one, note).status(), () -> ines.add(two, note).status()));
            assertThat(answers).containsExactlyInAnyOrder(200, 409);
        }
    }

    @Test
    void sameEntrySentTwiceAtOnceIsOneEntry() {
        String visit = ines.job("twice");
        Map<String, Object> note = entry("NOTE", "text", "x");
        List<Callable<Integer>> posts = Collections.nCopies(6, () -> ines.add(visit, note).status());
        assertThat(atOnce(posts)).containsOnly(200);
        assertThat(ines.get("/api/visits/" + visit).json().get("page").get("log")).hasSize(1);
    }

    @Test
    void entriesOfSeveralDevicesAtOnceAllCount() {
        String visit = ines.job("many");
        List<Callable<Integer>> posts = IntStream.range(0, 12).mapToObj(i -> (Callable<Integer>) () -> ines.add(visit,
                entry("NOTE", "text", "note " + i)).status()).toList();
        assertThat(atOnce(posts)).allMatch(status -> status == 200 || status == 409);
        int had = ines.get("/api/visits/" + visit).json().get("page").get("log").size();
        assertThat(had).isGreaterThanOrEqualTo(8);
    }

    @Test
    void twoSavesOfOneBoardAtOnceAreTwoVersions() {
        String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
        List<Callable<Integer>> saves = IntStream.range(0, 4).mapToObj(i -> (Callable<Integer>) () -> ines.post("/api/overlays",
                Map.of("overlay", name, "family", "f1-furnace", "title", "T" + i)).status()).toList();
        assertThat(atOnce(saves)).containsOnly(200);
        assertThat(ines.get("/api/overlays/" + name).json().get("history")).hasSize(4);
    }

    /** Boards over a composition that nobody made ready yet: it is made within no other's making ("Recursive update", a 500). */
    @Test
    void boardsOverAFamilyThatIsNotReadyAreOpenedAtOnce() {
        List<String> visits = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
            ines.post("/api/overlays", Map.of("overlay", name, "family", "f1-furnace", "title", "T", "choices", Map.of("blower", "tapped"), "timings",
                    Map.of("purge-time", 30 + i)));
            String unit = ines.post("/api/units", Map.of("siteName", "S " + name, "label", "L", "location", "x", "pack", "f1-furnace", "board", name)).json().get("id")
                    .asString();
            visits.add(ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "x")).json().get("id").asString());
        }
        List<Callable<Integer>> reads = visits.stream().map(visit -> (Callable<Integer>) () -> ines.get("/api/visits/" + visit).status()).toList();
        assertThat(atOnce(reads)).isSubsetOf(200, 503);
        visits.forEach(visit -> assertThat(ines.opened(visit).get("page").isObject()).isTrue());
    }

    @Test
    void manyBoardsOfOneFamilyAreOpenAtOnceAndEachIsMadeOnce() {
        List<String> visits = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            String name = "board-" + UUID.randomUUID().toString().substring(0, 8);
            Map<String, Object> draft = new TreeMap<>(Map.of("overlay", name, "family", "f3-vehicle", "title", "T",
                    "labels", Map.of()));
            if (i % 2 == 1) {
                draft.put("timings", Map.of("purge-time", 11 + i));
            }
            assertThat(ines.post("/api/overlays", draft).json().get("usable").asBoolean()).isTrue();
            String unit = ines.post("/api/units", Map.of("siteName", "S " + name, "label", "L", "location", "x", "pack", "f3-vehicle",
                    "board", name)).json().get("id").asString();
            visits.add(ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "x")).json().get("id")
                    .asString());
        }
        List<Callable<String>> reads = visits.stream().flatMap(visit -> Collections.nCopies(3, visit).stream()).map(visit ->
                (Callable<String>) () -> {
                    Client.Reply reply = ines.get("/api/visits/" + visit);
                    return reply.status() == 200 ? "fine" : reply.body();
                }).toList();
        assertThat(atOnce(reads)).containsOnly("fine");
    }
}
