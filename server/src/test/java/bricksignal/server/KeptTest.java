package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.packs.PackLibrary;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What was entered, and what it was read with, is kept: through formats, packs and mistakes. */
@ExtendWith(RunningServer.class)
class KeptTest {

    private final RunningServer.Instance server;
    private final Database database;
    private Client ines;

    KeptTest(RunningServer.Instance server) {
        this.server = server;
        this.database = new Database(server.cluster());
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    private void stored(String visit, int format, String kind, String content) {
        database.run("insert into evidence (id, visit_id, account_id, kind, format, content, made_at) select ?, ?, id, ?, ?, ?, now() "
                + "from account where login = 'ines'", UUID.randomUUID(), UUID.fromString(visit), kind, format, content);
    }

    /** A visit as the first version of the server stored it: each kind of entry with all fields, most of them null. */
    @Test
    void visitOfTheFirstFormatIsRead() {
        String visit = ines.job("from before");
        String rest = "\"id\":\"x\",\"madeAt\":\"2026-10-01T10:00:00Z\",\"supersedes\":null,\"board\":null,\"holds\":null,\"marks\":null,"
                + "\"trace\":null,\"unit\":null}";
        stored(visit, 1, "PATTERN", "{\"kind\":\"PATTERN\",\"pattern\":\"7 flashes\",\"test\":null," + rest);
        stored(visit, 1, "READING", "{\"kind\":\"READING\",\"test\":\"ohms-igniter\",\"reading\":\"OL\"," + rest);
        stored(visit, 1, "READING", "{\"kind\":\"READING\",\"test\":null,\"black\":\"C\",\"red\":\"SEC\",\"mode\":\"AC_VOLTS\",\"moment\":"
                + "\"standby\",\"reading\":\"27\"," + rest);
        stored(visit, 1, "ANSWER", "{\"kind\":\"ANSWER\",\"test\":\"see-glow\",\"yes\":false," + rest);
        stored(visit, 1, "EVENT", "{\"kind\":\"EVENT\",\"channel\":\"inducer\",\"begins\":true,\"seconds\":2.0," + rest);
        stored(visit, 1, "RESET", "{\"kind\":\"RESET\",\"yes\":true," + rest);
        JsonNode page = ines.opened(visit).get("page");
        assertThat(page.get("log")).hasSize(6);
        page.get("log").forEach(line -> assertThat(line.get("what").asString()).doesNotContain("From an older version"));
        assertThat(page.get("suspects").get(0).get("id").asString()).isEqualTo("igniter-open");
        assertThat(page.get("powerCycled").asBoolean()).isTrue();
    }

    @Test
    void entryThatIsNotUnderstoodAnyMoreIsShownTakenBackAndBreaksNothing() {
        String visit = ines.job("broken");
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        stored(visit, 2, "READING", "{\"kind\":\"READING\",\"test\":\"a-test-that-was-renamed\",\"reading\":\"1\"}");
        stored(visit, 2, "SNIFFED", "{\"kind\":\"SNIFFED\",\"ppm\":40}");
        stored(visit, 7, "NOTE", "{\"kind\":\"NOTE\",\"text\":\"from the future\"}");
        stored(visit, 2, "NOTE", "no JSON at all");
        JsonNode log = ines.opened(visit).get("page").get("log");
        assertThat(log).hasSize(5);
        assertThat(log.get(2).get("what").asString()).contains("From an older version").contains("SNIFFED");
        assertThat(log.get(2).get("found").asString()).contains("\"ppm\":40");
        Client.Reply back = ines.add(visit, entry("TAKE_BACK", "supersedes", log.get(2).get("id").asString()));
        assertThat(back.status()).isEqualTo(200);
        assertThat(back.json().get("page").get("log").get(2).get("counts").asBoolean()).isFalse();
    }

    private String olderPack(String visit, String text) {
        String digest = "older-" + UUID.randomUUID();
        database.run("insert into pack_text (digest, family, content) values (?, 'f1-furnace', ?)", digest, text);
        database.run("update visit set pack_digest = ? where id = ?", digest, UUID.fromString(visit));
        return digest;
    }

    @Test
    void openVisitGoesOnWithThePackItWasOpenedWithUntilSomebodyGoesOver() {
        String visit = ines.job("old pack");
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        olderPack(visit, PackLibrary.text("f1-furnace").replace("label: hot-surface igniter", "label: igniter as it was called")
                .replace("ohms-igniter: ", "ohms-glow: "));
        JsonNode view = ines.opened(visit);
        assertThat(view.get("newerPack").toString()).contains("ohms-glow").contains("ADDED").contains("TAKEN_OUT");
        assertThat(view.get("page").get("log").get(0).get("what").asString()).as("the old pack has no such test").contains(
                "From an older version");
        Client.Reply over = ines.post("/api/visits/" + visit + "/pack", Map.of());
        assertThat(over.status()).isEqualTo(200);
        assertThat(over.json().get("newerPack").isNull()).isTrue();
        assertThat(over.json().get("page").get("suspects").get(0).get("id").asString()).isEqualTo("igniter-open");
        assertThat(over.json().get("events").get(0).get("kind").asString()).isEqualTo("PACK_CHANGED");
    }

    @Test
    void closedVisitIsReadWithWhatItWasClosedWith() {
        String visit = ines.job("old pack");
        ines.add(visit, entry("PATTERN", "pattern", "7 flashes"));
        olderPack(visit, PackLibrary.text("f1-furnace").replace("title: ", "title: Once "));
        ines.opened(visit);
        assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "x")).status())
                .isEqualTo(200);
        JsonNode view = ines.opened(visit);
        assertThat(view.get("unit").get("title").asString()).startsWith("Once ");
        assertThat(view.get("newerPack").isNull()).as("nobody goes over").isTrue();
        assertThat(ines.post("/api/visits/" + visit + "/pack", Map.of()).status()).isEqualTo(409);
    }

    @Test
    void visitWhosePackCannotBeReadAnyMoreIsShownAsItWasWritten() {
        String visit = ines.job("no pack");
        ines.add(visit, entry("NOTE", "text", "the hose was off"));
        olderPack(visit, "pack: f1-furnace\nnonsense: true\n");
        JsonNode view = ines.opened(visit);
        assertThat(view.get("page").isNull()).isTrue();
        assertThat(view.get("raw").get(0).get("text").asString()).contains("the hose was off");
    }

    @Test
    void everyInstalledPackTextIsKept() {
        assertThat(database.column("select family from pack_text where first_seen is not null")).contains("f1-furnace", "f14-rooftop");
    }

    // --- closing and opening again -----------------------------------------------------------------------------------------------

    @Test
    void visitIsNotClosedWithoutSayingHow() {
        String visit = ines.job("close");
        for (String body : new String[] {"{}", "{\"decided\":\"x\"}", "{\"outcome\":null,\"decided\":\"x\"}", "{\"outcome\":\"FIXED\"}"}) {
            assertThat(ines.post("/api/visits/" + visit + "/close", body).status()).as(body).isEqualTo(422);
        }
        assertThat(ines.opened(visit).get("job").get("state").asString()).isNotEqualTo("CLOSED");
    }

    @Test
    void technicianOpensAgainTheSameDayAndTheLeadAlways() {
        String visit = ines.job("again");
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "later"));
        assertThat(ines.opened(visit).get("mayReopen").asBoolean()).isTrue();
        JsonNode open = ines.post("/api/visits/" + visit + "/reopen", Map.of("reason", "came back")).json();
        assertThat(open.get("job").get("state").asString()).isEqualTo("OPEN");
        assertThat(open.get("events").get(1).get("note").asString()).contains("came back").contains("later");
        assertThat(ines.add(visit, entry("NOTE", "text", "x")).status()).isEqualTo(200);
        assertThat(ines.closeFixed(visit, "done").status()).isEqualTo(200);
        database.run("update visit set closed_at = closed_at - interval '2 days' where id = ?", UUID.fromString(visit));
        assertThat(ines.opened(visit).get("mayReopen").asBoolean()).isFalse();
        assertThat(ines.post("/api/visits/" + visit + "/reopen", Map.of("reason", "x")).status()).isEqualTo(409);
        assertThat(server.logIn("odile").post("/api/visits/" + visit + "/reopen", Map.of("reason", "x")).status()).isEqualTo(200);
    }

    /** The server refuses what the screen would not offer. */
    @Test
    void boardThatIsNotProvenIsNotRepaired() {
        String visit = ines.job("board");
        ines.add(visit, entry("PATTERN", "pattern", "7 flashes"));
        Client.Reply refused = ines.add(visit, entry("REPAIRED", "part", "board"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("not proven");
    }

    @Test
    void samplesOfARecordingAreKeptBesideItsEntryAndNotReadAgain() {
        String visit = ines.job("film");
        StringBuilder csv = new StringBuilder("seconds,brightness\n");
        for (int i = 0; i < 20_000; i++) {
            csv.append(i / 100.0).append(',').append(i % 380 < 30 ? 120 : 40).append('\n');
        }
        Object trace = Client.plain(ines.postCsv("/api/lamp/csv", csv.toString()).json().get("trace"));
        Map<String, Object> film = entry("FILM", "trace", trace);
        assertThat(ines.add(visit, film).status()).isEqualTo(200);
        UUID id = UUID.fromString((String) film.get("id"));
        assertThat(database.column("select length(content) from evidence where id = ?", id).get(0)).matches(n -> Integer.parseInt(n)
                < 20_000);
        assertThat(database.column("select length(content) from recording where evidence_id = ?", id).get(0)).matches(n ->
                Integer.parseInt(n) > 100_000);
    }
}
