package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The nameplate of a unit is kept as it was typed, told in a line, and every change of it is an event. */
@ExtendWith(RunningServer.class)
class NameplateTest {

    private final RunningServer.Instance server;
    private Client ines;
    private String visit;
    private String path;

    NameplateTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void job() {
        ines = server.logIn("ines");
        String unit = ines.newUnit("f10-heatpump");
        visit = ines.jobAt(unit, "ices up");
        path = "/api/units/" + unit + "/nameplate";
    }

    private static Map<String, Object> plate(Object... more) {
        Map<String, Object> plate = new LinkedHashMap<>(Map.of("model", " HP-24 ", "serial", "0007731", "refrigerant", "R-410A", "charge", "6 lb 4 oz", "altitude", 5_200, "year", 2016));
        for (int i = 0; i < more.length; i += 2) {
            plate.put(String.valueOf(more[i]), more[i + 1]);
        }
        return plate;
    }

    @Test
    void whatWasTypedIsToldInALineOnScreenAndOnPaper() {
        assertThat(ines.get(path).json().get("says").asString()).isEmpty();
        JsonNode kept = ines.post(path, plate()).json();
        assertThat(kept.get("says").asString()).isEqualTo("model HP-24, serial 0007731, refrigerant R-410A 6 lb 4 oz, altitude 5,200 ft");
        assertThat(ines.get(path).json()).isEqualTo(kept);
        assertThat(kept.get("plate").get("year").asInt()).isEqualTo(2016);
        JsonNode changes = ines.get("/api/visits/" + visit + "/history").json().get("changes");
        assertThat(changes).extracting(change -> change.get("what").asString()).contains("nameplate: not typed to HP-24, 0007731, R-410A, 6 lb 4 oz, 5200.0 ft");
    }

    /** 5,200 ft are 1,585 m. */
    @Test
    void altitudeIsInTheUnitOfThePerson() {
        ines.post(path, plate());
        Client metric = ines.with("Cookie", "locale=es-u-ms-metric");
        JsonNode read = metric.get(path).json();
        assertThat(read.get("plate").get("altitude").asDouble()).isEqualTo(1_585);
        assertThat(read.get("altitudeUnit").asString()).isEqualTo("m");
        assertThat(read.get("says").asString()).contains("modelo HP-24").contains("altitud 1,585 m");
        assertThat(metric.post(path, plate("altitude", 9_000)).detail()).contains("La altitud es 9,000 m").contains("3,658 m");
    }

    @Test
    void whatCannotBeIsRefusedAndNothingIsKept() {
        ines.post(path, plate());
        assertThat(ines.post(path, plate("model", "x".repeat(81))).status()).isEqualTo(422);
        assertThat(ines.post(path, plate("year", 17)).json().get("field").asString()).isEqualTo("year");
        assertThat(ines.post(path, plate("altitude", -5_000)).json().get("field").asString()).isEqualTo("altitude");
        assertThat(ines.post(path, plate("gas", "COAL")).status()).isEqualTo(400);
        assertThat(ines.get(path).json().get("says").asString()).startsWith("model HP-24");
        assertThat(ines.get("/api/units/00000000-0000-0000-0000-000000000000/nameplate").status()).isEqualTo(404);
    }

    @Test
    void whoHasNothingToDoWithTheUnitReadsItAndChangesNothing() {
        ines.post(path, plate());
        Client tobin = server.logIn("tobin");
        assertThat(tobin.get(path).json().get("says").asString()).contains("HP-24");
        assertThat(tobin.post(path, plate("serial", "1")).status()).isEqualTo(403);
    }
}
