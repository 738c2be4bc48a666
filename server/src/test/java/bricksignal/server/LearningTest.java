package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What own records say of a family, before and after, and that visits to come are told only while the lead wants it. */
@ExtendWith(RunningServer.class)
class LearningTest {

    private final Client ines;
    private final Client odile;

    LearningTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
        odile = server.logIn("odile");
    }

    @AfterEach
    void nothingIsInUse() {
        use(null);
    }

    private void use(@Nullable Long number) {
        Client.Reply reply = odile.put("/api/lead/learning/in-use", java.util.Collections.singletonMap("number", number));
        assertThat(reply.status()).as(reply.body()).isEqualTo(200);
    }

    private JsonNode part(String id) {
        JsonNode families = odile.get("/api/lead/learning").json().get("families");
        JsonNode furnace = named(families, "family", "f1-furnace");
        return named(furnace.get("parts"), "part", id);
    }

    private static JsonNode named(JsonNode all, String field, String name) {
        return StreamSupport.stream(all.spliterator(), false).filter(one -> one.get(field).asString().equals(name)).findFirst().orElseThrow();
    }

    /** Closed as fixed after a proof of a fault, its part changed. */
    private String closed(String fault, String part) {
        String visit = ines.job("no heat");
        Prover.prove(ines, visit, "f1-furnace", fault);
        assertThat(ines.add(visit, entry("REPAIRED", "part", part)).status()).isEqualTo(200);
        Client.Reply closed = ines.closeFixed(visit, part + " changed");
        assertThat(closed.status()).as(closed.body()).isEqualTo(200);
        return visit;
    }

    private String proven() {
        return closed("igniter-open", "igniter");
    }

    @Test
    void confirmedVisitsMoveTheSharesAndVisitsToComeAreToldOnRequest() {
        proven();
        JsonNode before = part("igniter");
        for (int i = 0; i < 2; i++) {
            proven();
        }
        JsonNode after = part("igniter");
        assertThat(after.get("confirmed").asInt()).isEqualTo(before.get("confirmed").asInt() + 2);
        assertThat(after.get("after").asDouble()).isGreaterThan(before.get("after").asDouble()).isGreaterThan(after.get("before").asDouble());
        String untold = ines.job("no heat");
        assertThat(ines.add(untold, entry("NOTE", "text", "here")).json().get("page").get("log")).hasSize(1);
        JsonNode told = odile.post("/api/lead/learning", Map.of()).json();
        assertThat(told.get("inUse").asLong()).isEqualTo(told.get("versions").get(0).get("number").asLong());
        String visit = ines.job("no heat");
        JsonNode log = ines.add(visit, entry("NOTE", "text", "here")).json().get("page").get("log");
        assertThat(log).hasSize(2);
        assertThat(log.get(0).get("kind").asString()).isEqualTo("EXPERIENCE");
        assertThat(log.get(0).get("found").asString()).startsWith("likelier than by the book: hot-surface igniter");
        use(null);
        String again = ines.job("no heat");
        assertThat(ines.add(again, entry("NOTE", "text", "here")).json().get("page").get("log")).hasSize(1);
        assertThat(odile.get("/api/lead/learning").json().get("versions")).as("nothing is lost").isNotEmpty();
    }

    /** Ten faults on a unit that is new: units fail sooner than was set. Repair options and van stock use it. */
    @Test
    void faultsOfUnitsWhoseYearIsKnownMoveTheAgeing() {
        JsonNode before = odile.get("/api/lead/learning").json().get("ageing");
        for (int i = 0; i < 4; i++) {
            String visit = ines.job("no heat");
            String unit = ines.opened(visit).get("unitId").asString();
            assertThat(ines.post("/api/units/" + unit + "/installed", Map.of("year", java.time.LocalDate.now().getYear())).status()).isLessThan(300);
            ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
            ines.add(visit, entry("REPAIRED", "part", "igniter"));
            assertThat(ines.closeFixed(visit, "igniter changed").status()).isEqualTo(200);
        }
        JsonNode after = odile.get("/api/lead/learning").json().get("ageing");
        assertThat(after.get("faults").asInt()).isEqualTo(before.get("faults").asInt() + 4);
        assertThat(after.get("after").asDouble()).isLessThan(before.get("after").asDouble());
        assertThat(after.get("before").asDouble()).isEqualTo(before.get("before").asDouble());
    }

    @Test
    void onlyTheLeadLearnsAndUnknownVersionsAreRefused() {
        assertThat(ines.get("/api/lead/learning").status()).isEqualTo(403);
        assertThat(ines.post("/api/lead/learning", Map.of()).status()).isEqualTo(403);
        Client.Reply unknown = odile.put("/api/lead/learning/in-use", Map.of("number", 4711));
        assertThat(unknown.status()).isEqualTo(404);
        assertThat(unknown.detail()).contains("4711");
    }

    /** A shop looks at boards, and only the lead says what it found. */
    @Test
    void shopTestIsOfABoardThatWasChanged() {
        String visit = ines.deadIgniter("no heat");
        assertThat(test(odile, visit, "SOUND").detail()).contains("No board was changed");
        assertThat(test(ines, visit, "SOUND").status()).isEqualTo(403);
        assertThat(test(odile, visit, "PERHAPS").status()).isEqualTo(400);
    }

    /** What was proven against a board does not count once a shop finds the board sound. */
    @Test
    void boardThatAShopFindsSoundConfirmsNothing() {
        proven();
        String visit = closed("board-igniter", "board");
        int confirmed = part("board").get("confirmed").asInt();
        assertThat(test(odile, visit, "SOUND").status()).isEqualTo(204);
        JsonNode boards = odile.get("/api/lead/overview?from=2025-01-01&to=" + java.time.LocalDate.now().plusDays(1)).json().get("boards");
        assertThat(named(boards, "id", visit).get("shopTest").asString()).isEqualTo("SOUND");
        assertThat(part("board").get("confirmed").asInt()).isEqualTo(confirmed - 1);
        assertThat(odile.get("/api/visits/" + visit).json().get("events").toString()).contains("SHOP_TEST");
    }

    private static Client.Reply test(Client who, String visit, String found) {
        return who.put("/api/visits/" + visit + "/shop-test", Map.of("found", found));
    }
}
