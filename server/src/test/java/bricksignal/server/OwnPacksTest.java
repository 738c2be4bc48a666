package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Packs that the lead wrote: kept, followed by units, changed, withdrawn; and texts that nobody should wait for. */
@ExtendWith(RunningServer.class)
class OwnPacksTest {

    private final RunningServer.Instance server;
    private Client odile;

    OwnPacksTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        odile = server.logIn("odile");
    }

    private Client.Reply unit(String pack) {
        return odile.post("/api/units", Map.of("siteName", "Site " + UUID.randomUUID(), "label", "Unit", "location", "here", "pack", pack));
    }

    private List<String> families() {
        return odile.get("/api/packs").json().findValuesAsString("id");
    }

    private JsonNode own(String id) {
        for (JsonNode pack : odile.get("/api/own-packs").json()) {
            if (pack.get("id").asString().equals(id)) {
                return pack;
            }
        }
        throw new AssertionError("there is no pack " + id);
    }

    /** A version that is not there yet (its row comes with another transaction): the look fails, others go on, and the next look finds it. */
    @Test
    void packThatCannotBeInstalledNowBlocksNoOtherAndIsTriedAgain() throws InterruptedException {
        String text = odile.get("/api/packs/f9-airhandler/source").body().replace("pack: f9-airhandler", "pack: f9-late");
        assertThat(odile.postText("/api/own-packs", text).json().get("usable").asBoolean()).isTrue();
        JdbcTemplate database = new JdbcTemplate(server.context().getBean(DataSource.class));
        database.update("update own_pack set used = 9 where name = 'f9-late'");
        Thread.sleep(6_000);  // one look, every five seconds, has failed
        assertThat(odile.postText("/api/own-packs", text.replace("f9-late", "f9-beside")).json().get("usable").asBoolean()).as("another goes on").isTrue();
        assertThat(unit("f9-beside").status()).isEqualTo(201);
        String title = odile.get("/api/packs").json().findParents("id").stream().filter(pack -> pack.get("id").asString().equals("f9-late")).findFirst().orElseThrow()
                .get("title").asString();
        database.update("insert into own_pack_version select ?, pack, 9, title, replace(content, ?, ?), made_by, made_at from own_pack_version where pack = 'f9-late'",
                UUID.randomUUID(), title, "The ninth one");
        for (int i = 0; i < 100 && !odile.get("/api/packs").body().contains("The ninth one"); i++) {
            Thread.sleep(200);
        }
        assertThat(odile.get("/api/packs").body()).contains("The ninth one");
        odile.post("/api/own-packs/f9-late/withdraw", Map.of());
        odile.post("/api/own-packs/f9-beside/withdraw", Map.of());
    }

    /** An upgrade may leave a version behind that it cannot read: that is said where the packs are, and nothing follows it by mistake. */
    @Test
    void versionThatCannotBeReadAnyMoreIsSaidAndNotUsed() throws InterruptedException {
        String text = odile.get("/api/packs/f9-airhandler/source").body().replace("pack: f9-airhandler", "pack: f9-stale");
        assertThat(odile.postText("/api/own-packs", text).json().get("usable").asBoolean()).isTrue();
        assertThat(own("f9-stale").get("unreadable").isNull()).isTrue();
        JdbcTemplate database = new JdbcTemplate(server.context().getBean(DataSource.class));
        database.update("insert into own_pack_version select ?, pack, 2, title, replace(content, 'uses:', 'used:'), made_by, made_at "
                + "from own_pack_version where pack = 'f9-stale'", UUID.randomUUID());
        Client.Reply refused = odile.post("/api/own-packs/f9-stale/use/2", Map.of());
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.body()).contains("Version 2").contains("cannot be read any more").contains("line ").contains("keep it as a new version");
        assertThat(own("f9-stale").get("used").asInt()).isEqualTo(1);

        database.update("update own_pack set used = 2 where name = 'f9-stale'");
        for (int i = 0; i < 100 && own("f9-stale").get("unreadable").isNull(); i++) {
            Thread.sleep(200);
        }
        assertThat(own("f9-stale").get("unreadable").asString("")).contains("line ");
        assertThat(odile.post("/api/own-packs/f9-stale/use/1", Map.of()).json().get("unreadable").isNull()).as("an earlier one mends it").isTrue();
        odile.post("/api/own-packs/f9-stale/withdraw", Map.of());
    }

    @Test
    void packIsKeptInVersionsFollowedAndWithdrawn() {
        String source = odile.get("/api/packs/f9-airhandler/source").body();
        assertThat(source).contains("uses:");
        String text = source.replace("pack: f9-airhandler", "pack: f9-ours");
        assertThat(odile.postText("/api/own-packs", text).json().get("usable").asBoolean()).isTrue();
        assertThat(families()).contains("f9-ours");
        JsonNode identified = odile.post("/api/identify", Map.of("answers", Map.of())).json();
        assertThat(identified.get("families").findValuesAsString("id")).as("each of its compositions").filteredOn("f9-ours"::equals).hasSize(3);

        String unit = unit("f9-ours").json().get("id").asString();
        String visit = odile.jobAt(unit, "no air");
        JsonNode begun = odile.opened(visit);
        assertThat(begun.get("page").get("suspects")).isNotEmpty();

        String other = text.replaceFirst("title: .*", "title: Ours, the second");
        assertThat(odile.postText("/api/own-packs", other).json().get("usable").asBoolean()).isTrue();
        assertThat(odile.postText("/api/own-packs", other).json().get("usable").asBoolean()).as("the same again").isTrue();
        assertThat(own("f9-ours").get("versions")).as("the same text is no new version").hasSize(2);
        assertThat(own("f9-ours").get("used").asInt()).isEqualTo(2);
        assertThat(own("f9-ours").get("units").asInt()).isEqualTo(1);
        assertThat(odile.get("/api/own-packs/f9-ours/1.yaml").body()).isEqualTo(text);
        assertThat(odile.opened(visit).get("page").get("suspects")).as("the visit goes on with what it was begun with").isNotEmpty();

        assertThat(odile.post("/api/own-packs/f9-ours/withdraw", Map.of()).json().get("withdrawn").asBoolean()).isTrue();
        assertThat(families()).doesNotContain("f9-ours");
        assertThat(unit("f9-ours").status()).as("no other unit follows it").isEqualTo(422);
        assertThat(odile.opened(odile.jobAt(unit, "no air again")).get("page").get("suspects")).as("those that do go on").isNotEmpty();

        assertThat(odile.post("/api/own-packs/f9-ours/use/1", Map.of()).json().get("used").asInt()).isEqualTo(1);
        assertThat(families()).contains("f9-ours");
        assertThat(odile.post("/api/own-packs/f9-ours/use/7", Map.of()).status()).isEqualTo(404);
        odile.post("/api/own-packs/f9-ours/withdraw", Map.of());
    }

    @Test
    void onlyTheLeadKeepsAndNothingThatShipsIsOverwritten() {
        String text = odile.get("/api/packs/f9-airhandler/source").body();
        assertThat(server.logIn("ines").postText("/api/own-packs", text).status()).isEqualTo(403);
        Client.Reply shipped = odile.postText("/api/own-packs", text);
        assertThat(shipped.status()).isEqualTo(409);
        assertThat(shipped.detail()).contains("ships with the application").contains("f9-airhandler-own");
    }

    @Test
    void textWithProblemsIsToldLineByLineAndNotKept() {
        String text = odile.get("/api/packs/f9-airhandler/source").body().replace("pack: f9-airhandler", "pack: f9-broken")
                .replace("assembly: door-switch", "assembly: door-svitch");
        JsonNode check = odile.postText("/api/own-packs", text).json();
        assertThat(check.get("usable").asBoolean()).isFalse();
        assertThat(check.get("problems").get(0).get("reason").asString()).contains("door-svitch");
        assertThat(check.get("problems").get(0).get("line").asInt()).isGreaterThan(1);
        assertThat(odile.get("/api/own-packs").json().findValuesAsString("id")).doesNotContain("f9-broken");
    }

    // --- texts that nobody should wait for ------------------------------------------------------------------------------------------

    private JsonNode problems(String text) {
        JsonNode check = odile.postText("/api/packs/check", text).json();
        assertThat(check.get("usable").asBoolean()).isFalse();
        return check.get("problems");
    }

    @Test
    void tenMegabytesAreRefused() {
        Client.Reply reply = odile.postText("/api/own-packs", "# " + "x".repeat(10 * 1024 * 1024));
        assertThat(reply.status()).isEqualTo(413);
        assertThat(problems("# " + "x".repeat(500_000)).get(0).get("reason").asString()).contains("characters");
    }

    @Test
    void fiveThousandNetsAreRefused() {
        String wires = IntStream.range(0, 5000).mapToObj(i -> "  x" + i + ": {is: wire, a: N" + i + ", b: N" + (i + 1) + ", ohms: 1, mark: I}\n")
                .collect(Collectors.joining());
        String text = odile.get("/api/packs/f12-minisplit.yaml").body().replace("\ncircuit:\n", "\ncircuit:\n" + wires);
        assertThat(problems(text).get(0).get("path").asString()).isEqualTo("/circuit");
    }

    @Test
    void unitThatFindsNoRestIsRefused() {
        String text = odile.get("/api/packs/f12-minisplit/source").body().replaceFirst("follows: out.permit", "follows: out.permit and amps.wire-3 <= 0.01");
        assertThat(problems(text).toString()).contains("chatters");
    }

    @Test
    void moreWaysToChooseThanCanBeLookedThroughAreRefused() {
        String options = "options: {a: {label: a}, b: {label: b}, c: {label: c}}}\n";
        String choices = IntStream.range(0, 12).mapToObj(i -> "  c" + i + ": {label: c" + i + ", usual: a, " + options)
                .collect(Collectors.joining());
        String text = odile.get("/api/packs/f12-minisplit/source").body().replaceFirst("\nchoices:\n", "\nchoices:\n" + choices);
        assertThat(problems(text).get(0).get("reason").asString()).contains("more than 300 ways");
    }
}
