package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The complaint is the first evidence of a visit. */
@ExtendWith(RunningServer.class)
class ComplaintTest {

    private final RunningServer.Instance server;
    private Client ines;
    private String unit;

    ComplaintTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
        for (JsonNode site : ines.get("/api/sites").json()) {
            for (JsonNode one : site.get("units")) {
                unit = one.get("pack").asString().equals("f1-furnace") ? one.get("id").asString() : unit;
            }
        }
    }

    private Client.Reply statements(String of, String complaint) {
        return ines.get("/api/units/" + of + "/statements?complaint=" + URLEncoder.encode(complaint, StandardCharsets.UTF_8));
    }

    private static List<String> labels(JsonNode statements) {
        List<String> labels = new ArrayList<>();
        statements.forEach(said -> labels.add(said.get("label").asString()));
        return labels;
    }

    @Test
    void complaintIsUnderstoodAndWhatCanBeSaidIsOffered() {
        JsonNode said = statements(unit, "Blower never stops, and it hums").json();
        assertThat(labels(said.get("understood"))).containsExactly("The fan never stops", "Hums without running");
        assertThat(labels(said.get("all"))).contains("The fan never runs", "Since work or a change").doesNotHaveDuplicates();
        assertThat(labels(statements(unit, "").json().get("understood"))).isEmpty();
    }

    @Test
    void whatWasNoticedIsInTheLogBeforeAnythingIsSeen() {
        String id = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "Blower never stops", "told",
                List.of(Map.of("test", "told.fan.never-stops", "yes", true)))).json().get("id").asString();
        JsonNode log = ines.opened(id).get("page").get("log");
        assertThat(log).anySatisfy(line -> {
            assertThat(line.get("test").asString("")).isEqualTo("told.fan.never-stops");
            assertThat(line.get("yes").asBoolean()).isTrue();
            assertThat(line.get("counts").asBoolean()).isTrue();
        });
    }

    @Test
    void whatNobodyCanNoticeThereIsRefusedAndNoJobIsMade() {
        int before = ines.jobs().size();
        Client.Reply refused = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "x", "told", List.of(Map.of("test", "v.R.standby", "yes", true))));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("v.R.standby").contains("Choose");
        assertThat(ines.jobs().size()).isEqualTo(before);
    }

    @Test
    void nonsenseIsRefusedWithWhatToDo() {
        assertThat(statements(unit, "x".repeat(4000)).status()).isEqualTo(422);
        assertThat(statements(UUID.randomUUID().toString(), "no heat").status()).isEqualTo(422);
        assertThat(labels(statements(unit, "Es kommt keine warme Luft").json().get("understood"))).isEmpty();
    }
}
