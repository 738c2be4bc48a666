package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import tools.jackson.databind.JsonNode;

/** Rules of the house: which day it is, and who may change what somebody else made. */
@Isolated("the rules are those of the whole company")
@ExtendWith(RunningServer.class)
class HouseRulesTest {

    private final RunningServer.Instance server;
    private Client ines;
    private Client tobin;
    private Client odile;
    private JsonNode before;

    HouseRulesTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
        tobin = server.logIn("tobin");
        odile = server.logIn("odile");
        before = odile.get("/api/policy").json();
    }

    @AfterEach
    void putBack() {
        odile.post("/api/policy", before.toString());
    }

    private Client.Reply rule(String name, String value) {
        Map<String, Object> policy = new LinkedHashMap<>();
        before.properties().forEach(field -> policy.put(field.getKey(), field.getValue()));
        policy.put(name, value);
        return odile.post("/api/policy", policy);
    }

    /** These two zones are 25 hours apart: there it is never the same day. */
    @Test
    void jobIsOfTheDayOfTheCompany() {
        String unit = ines.newUnit("f1-furnace");
        for (String zone : new String[] {"Pacific/Kiritimati", "Pacific/Pago_Pago"}) {
            assertThat(rule("timeZone", zone).status()).isEqualTo(200);
            LocalDate there = LocalDate.now(ZoneId.of(zone));
            JsonNode job = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "no heat")).json();
            assertThat(job.get("scheduledOn").asString()).isIn(there.toString(), LocalDate.now(ZoneId.of(zone)).toString());
            assertThat(ines.get("/api/me").json().get("timeZone").asString()).isEqualTo(zone);
        }
        assertThat(rule("timeZone", "Mars/Phobos").detail()).contains("'Mars/Phobos'").contains("America/Adak");
    }

    @Test
    void unitOfAnotherIsChangedByWhoeverWorksAtItAndEachChangeIsKept() {
        String unit = ines.newUnit("f1-furnace");
        Client.Reply refused = tobin.post("/api/units/" + unit + "/installed", Map.of("year", 2011));
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.detail()).contains("Ask the lead");
        String visit = tobin.post("/api/jobs", Map.of("unitId", unit, "complaint", "no heat")).json().get("id").asString();
        assertThat(tobin.post("/api/units/" + unit + "/installed", Map.of("year", 2011)).status()).as("a job of his is open there").isEqualTo(200);
        assertThat(tobin.post("/api/units/" + unit + "/installed", Map.of("year", 2011)).status()).as("nothing changes").isEqualTo(200);
        assertThat(ines.post("/api/units/" + unit + "/installed", Map.of("year", 2012)).status()).as("she made it").isEqualTo(200);
        JsonNode changes = tobin.get("/api/visits/" + visit + "/history").json().get("changes");
        assertThat(changes).hasSize(2);
        assertThat(changes.get(0).get("by").asString()).startsWith("Ines");
        assertThat(changes.get(0).get("what").asString()).contains("2011 to 2012");
        assertThat(changes.get(1).get("by").asString()).startsWith("Tobin");
        rule("changers", "LEAD");
        assertThat(ines.post("/api/units/" + unit + "/installed", Map.of("year", 2013)).detail()).contains("the lead alone");
        assertThat(odile.post("/api/units/" + unit + "/installed", Map.of("year", 2013)).status()).isEqualTo(200);
        rule("changers", "EVERYBODY");
        assertThat(server.logIn("tobin").post("/api/units/" + unit + "/board", Map.of()).status()).isEqualTo(200);
    }

    @Test
    void boardThatOthersUseIsChangedByWhoeverTypedItIn() {
        Map<String, Object> board = new LinkedHashMap<>(Map.of("overlay", "house-rules-board", "family", "f1-furnace", "title", "Board of Ines", "timings", Map.of("purge-time", 30)));
        assertThat(ines.post("/api/overlays", board).json().get("usable").asBoolean()).isTrue();
        board.put("timings", Map.of("purge-time", 45));
        Client.Reply refused = tobin.post("/api/overlays", board);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.detail()).contains("another name");
        assertThat(tobin.get("/api/overlays/house-rules-board").json().get("mayChange").asBoolean()).isFalse();
        assertThat(odile.post("/api/overlays", board).status()).isEqualTo(200);
        JsonNode history = ines.get("/api/overlays/house-rules-board").json().get("history");
        assertThat(history.get(0).get("by").asString()).startsWith("Odile");
        assertThat(history.get(1).get("by").asString()).startsWith("Ines");
    }
}
