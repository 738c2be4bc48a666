package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A visit from elsewhere is what its entries prove, and nothing that its file merely says. */
@ExtendWith(RunningServer.class)
class ImportTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private final Client ines;
    private final Client odile;

    ImportTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
        odile = server.logIn("odile");
    }

    /** A file of a visit with ids of its own, changed by somebody. */
    private String file(String visit, Consumer<ObjectNode> change) {
        JsonNode read = odile.get("/api/visits/" + visit + "/visit.json").json();
        String text = read.toString().replace(read.get("visit").get("id").asString(), UUID.randomUUID().toString());
        for (JsonNode entry : read.get("entries")) {
            text = text.replace(entry.get("id").asString(), UUID.randomUUID().toString());
        }
        ObjectNode own = (ObjectNode) JSON.readTree(text);
        change.accept(own);
        return own.toString();
    }

    private Client.Reply taken(String file) {
        return odile.post("/api/visits/import", file);
    }

    private static ObjectNode logged(Map<String, Object> content) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", UUID.randomUUID().toString());
        entry.put("madeAt", "2026-11-20T09:00:00Z");
        entry.put("entryFormat", 2);
        entry.put("content", content);
        return JSON.valueToTree(entry);
    }

    private static List<String> said(Client.Reply reply) {
        List<String> said = new ArrayList<>();
        reply.json().get("left").forEach(line -> said.add(line.asString()));
        return said;
    }

    @Test
    void verdictAndEndThatNothingProvesAreNotTakenOver() {
        String visit = ines.deadIgniter("no heat");
        Client.Reply reply = taken(file(visit, file -> ((ObjectNode) file.get("visit")).put("openedAt", "2026-11-22T08:00:00Z").set("end", JSON.valueToTree(Map.of("at", "2026-11-21T09:00:00Z", "outcome", "FIXED",
                "decided", "new board", "verdict", "Proven: the board is dead.")))));
        assertThat(reply.status()).as(reply.body()).isEqualTo(422);
        assertThat(reply.detail()).contains("began");  // the end lies before the beginning
        reply = taken(file(visit, file -> {
            ObjectNode of = (ObjectNode) file.get("visit");
            of.put("openedAt", "2026-11-20T08:00:00Z");
            of.set("end", JSON.valueToTree(Map.of("at", "2026-11-21T09:00:00Z", "outcome", "FIXED", "decided", "new board", "verdict", "Proven: the board is dead.")));
        }));
        assertThat(reply.status()).as(reply.body()).isEqualTo(200);
        assertThat(reply.json().get("closed").asBoolean()).isFalse();
        assertThat(said(reply)).anyMatch(line -> line.contains("Fixed on this visit") && line.contains("left open")).anyMatch(line -> line.startsWith("The verdict"));
        JsonNode opened = odile.opened(reply.json().get("id").asString());
        assertThat(opened.get("job").get("brought").asBoolean()).as("marked as taken in").isTrue();
        assertThat(opened.get("job").get("state").asString()).isEqualTo("OPEN");
        assertThat(opened.get("page").toString()).doesNotContain("the board is dead");
        JsonNode last = opened.get("events").get(opened.get("events").size() - 1);
        assertThat(last.get("kind").asString()).isEqualTo("BROUGHT");
        assertThat(last.get("note").asString()).contains("Taken in by Odile").contains("Not taken over");
    }

    @Test
    void entriesThatNobodyCouldEnterHereAreLeftAndNamed() {
        String visit = ines.deadIgniter("no heat");
        String other = ines.job("f1-furnace", "another visit");
        Map<String, Object> foreign = entry("NOTE", "text", "of another visit");
        ines.add(other, foreign);
        String file = file(visit, own -> {
            ArrayNode entries = (ArrayNode) own.get("entries");
            entries.add(logged(Map.of("kind", "REPAIRED", "part", "board")));
            entries.add(logged(Map.of("kind", "EXPERIENCE", "parts", List.of("board"), "factors", List.of(900.0))));
            entries.add(logged(Map.of("kind", "TAKE_BACK")).put("supersedes", foreign.get("id").toString()));
            entries.add(logged(Map.of("kind", "NO_SUCH_KIND")));
            entries.add(logged(Map.of("kind", "NOTE", "text", "kept")));
        });
        Client.Reply reply = taken(file);
        assertThat(reply.status()).as(reply.body()).isEqualTo(200);
        assertThat(said(reply)).hasSize(4).anyMatch(line -> line.contains("REPAIRED")).anyMatch(line -> line.contains("EXPERIENCE"))
                .anyMatch(line -> line.contains("TAKE_BACK")).anyMatch(line -> line.contains("NO_SUCH_KIND"));
        assertThat(odile.opened(reply.json().get("id").asString()).get("page").get("log").toString()).contains("kept");
        assertThat(taken(file).json().get("entries").asInt()).as("the same file again changes nothing").isEqualTo(reply.json().get("entries").asInt());
        assertThat(ines.opened(other).get("page").get("log").toString()).as("the other visit is as it was").contains("of another visit");
    }

    @Test
    void nobodySendsWhatTheCompanysRecordsSay() {
        String visit = ines.job("f1-furnace", "no heat");
        assertThat(ines.add(visit, entry("EXPERIENCE", "parts", List.of("board"), "factors", List.of(900.0))).detail()).contains("not typed in");
    }

    @Test
    void personWhoIsNotHereIsNotWhoeverTakesItIn() {
        String visit = ines.deadIgniter("no heat");
        Client.Reply stranger = taken(file(visit, file -> ((ObjectNode) file.get("visit")).put("technician", "nobody-here")));
        assertThat(stranger.status()).isEqualTo(422);
        assertThat(stranger.detail()).contains("'nobody-here'").contains("Nothing was taken in");
        assertThat(taken(file(visit, file -> ((ObjectNode) file.get("entries").get(0)).put("by", "nobody-here"))).status()).isEqualTo(422);
        assertThat(taken(file(visit, file -> ((ObjectNode) file.get("entries").get(0)).put("by", "tobin"))).status()).isEqualTo(200);
    }

    @Test
    void changedComplaintOfAKnownVisitIsAConflict() {
        String visit = ines.deadIgniter("no heat");
        String same = odile.get("/api/visits/" + visit + "/visit.json").body();
        assertThat(taken(same).status()).as("as it is").isEqualTo(200);
        Client.Reply changed = taken(same.replace("\"complaint\" : \"no heat\"", "\"complaint\" : \"no cooling\""));
        assertThat(changed.status()).isEqualTo(409);
        assertThat(changed.detail()).contains("'no heat'").contains("'no cooling'");
        ObjectNode reworded = (ObjectNode) JSON.readTree(same);
        ((ObjectNode) reworded.get("entries").get(0).get("content")).put("kind", "NOTE");
        assertThat(taken(reworded.toString()).status()).as("an entry says something else").isEqualTo(409);
    }

    /** Each is refused before one of them is looked at. */
    @Test
    void fileOfTooMuchIsRefusedAtOnce() {
        String visit = ines.job("f1-furnace", "no heat");
        Client.Reply events = taken(file(visit, file -> {
            for (int i = 0; i < 30_000; i++) {
                ((ArrayNode) file.get("events")).add(JSON.valueToTree(Map.of("kind", "REOPENED", "at", "2026-11-20T09:00:00Z", "note", "again")));
            }
        }));
        assertThat(events.status()).isEqualTo(422);
        assertThat(events.detail()).contains("30000 events").contains("at most 200");
        Client.Reply entries = taken(file(visit, file -> {
            for (int i = 0; i < 5_000; i++) {
                ((ArrayNode) file.get("entries")).add(logged(Map.of("kind", "NOTE", "text", "again")));
            }
        }));
        assertThat(entries.detail()).contains("entries").contains("at most 1000");
    }

    @Test
    void whatAFileSaysOfOtherDaysIsMarkedAsTheFiles() {
        String visit = ines.deadIgniter("no heat");
        Client.Reply reply = taken(file(visit, file -> ((ArrayNode) file.get("events")).add(JSON.valueToTree(Map.of("kind", "SHOP_TEST", "at", "2026-11-20T09:00:00Z", "note", "BAD")))));
        JsonNode events = odile.opened(reply.json().get("id").asString()).get("events");
        assertThat(events).anyMatch(event -> event.get("kind").asString().equals("SHOP_TEST") && event.get("ofFile").asBoolean())
                .anyMatch(event -> event.get("kind").asString().equals("BROUGHT") && !event.get("ofFile").asBoolean());
        assertThat(taken(file(visit, file -> ((ObjectNode) file.get("visit")).put("scheduledOn", "9999-12-31"))).status()).isEqualTo(422);
        assertThat(taken(file(visit, file -> ((ObjectNode) file.get("entries").get(0)).put("madeAt", "2150-01-01T00:00:00Z"))).detail()).contains("2150");
    }
}
