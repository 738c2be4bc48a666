package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The diagrams of a visit and of an equipment type. */
@ExtendWith(RunningServer.class)
class DrawingTest {

    private final RunningServer.Instance server;
    private Client ines;

    DrawingTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    private static JsonNode spot(JsonNode drawing, String net) {
        for (JsonNode spot : drawing.get("spots")) {
            if (spot.get("net").asString().equals(net)) {
                return spot;
            }
        }
        throw new AssertionError("no place " + net);
    }

    @Test
    void drawingOfAVisitHasWhatWasReadThere() {
        String visit = ines.job("no heat");
        assertThat(spot(ines.get("/api/visits/" + visit + "/drawing?moment=purge").json(), "PSI").get("found").isNull()).isTrue();
        ines.add(visit, entry("FREE_READING", "black", "C", "red", "PSI", "mode", "AC_VOLTS", "moment", "purge", "reading", "0.1"));
        JsonNode drawing = ines.get("/api/visits/" + visit + "/drawing?moment=purge").json();
        assertThat(spot(drawing, "PSI").get("found").asString()).isEqualTo("0.1 V AC");
        assertThat(spot(drawing, "PSI").get("expected").asString()).startsWith("27.");
        assertThat(drawing.get("momentLabel").asString()).isEqualTo("inducer running");
    }

    @Test
    void momentThatTheUnitDoesNotHaveIsRefusedBesideItsField() {
        String visit = ines.job("no heat");
        Client.Reply refused = ines.get("/api/visits/" + visit + "/drawing?moment=doomsday");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("field").asString()).isEqualTo("moment");
        assertThat(ines.get("/api/packs/f1-furnace/drawing?moment=doomsday").status()).isEqualTo(422);
    }

    @Test
    void boardIsShownWithItsPlugs() {
        JsonNode boards = ines.get("/api/visits/" + ines.job("no heat") + "/connections").json();
        assertThat(boards).hasSize(1);
        assertThat(boards.get(0).get("plugs").toString()).contains("P1 pin 1", "limit feed side");
    }

    @Test
    void equipmentTypeIsDrawnAsItIsComposed() {
        String usual = ines.get("/api/packs/f1-furnace/drawing").json().toString();
        String spark = ines.get("/api/packs/f1-furnace/drawing?choice=ignition:spark").json().toString();
        assertThat(usual).contains("hot-surface");
        assertThat(spark).doesNotContain("hot-surface").contains("120 V AC");
    }
}
