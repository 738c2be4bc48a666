package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What ends a diagnosis, who may say that it is put right, and what one person must not be able to do to all others. */
@ExtendWith(RunningServer.class)
class StopsTest {

    private final RunningServer.Instance server;
    private Client ines;
    private Client tobin;
    private Client odile;

    StopsTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
        tobin = server.logIn("tobin");
        odile = server.logIn("odile");
    }

    @Test
    void complaintThatTellsOfDangerIsReadToTheCallerFirst() {
        String unit = ines.newUnit("f1-furnace");
        Client.Reply asked = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "It smells of gas in the cellar"));
        assertThat(asked.status()).isEqualTo(409);
        assertThat(asked.json().get("caller").get(0).asString()).contains("Touch no switch");
        assertThat(asked.json().get("call").get(0).asString()).contains("Gas supplier");
        String visit = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "It smells of gas in the cellar", "danger", "CALLER_TOLD")).json().get("id").asString();
        assertThat(ines.opened(visit).get("page").get("stops").get(0).get("finding").asString()).isEqualTo("GAS_SMELL");
        String other = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "It smells of gas in the cellar", "danger", "NOT_SO")).json().get("id").asString();
        assertThat(ines.opened(other).get("page").get("stops")).isEmpty();
    }

    @Test
    void stopIsLiftedByACurrentLicenceAndByNothingElse() {
        String visit = tobin.job("f1-furnace", "no heat");
        tobin.add(visit, entry("STOPPED", "finding", "GAS_SMELL"));
        Map<String, Object> lifted = entry("LIFTED", "finding", "GAS_SMELL", "done", "union tightened, instrument 0");
        assertThat(tobin.add(visit, lifted).detail()).contains("current gas license");
        String held = hold("tobin", LocalDate.now().minusDays(1));
        assertThat(tobin.add(visit, lifted).detail()).as("it ended yesterday").contains("current gas license");
        String today = hold("tobin", LocalDate.now());
        JsonNode page = tobin.add(visit, lifted).json().get("page");
        assertThat(page.get("stops")).isEmpty();
        JsonNode log = page.get("log");  // what is known of earlier visits may stand at its head
        assertThat(log.get(log.size() - 1).get("what").asString()).contains("Tobin").contains("SK-9");
        release("tobin", held);
        release("tobin", today);
    }

    /** Whoever lacks a licence is told whom to call, of those who have it today. */
    @Test
    void licenceIsMineOrSomebodysToCall() {
        String held = hold("tobin", LocalDate.now().minusDays(1));
        JsonNode gas = licence(tobin, "GAS");
        assertThat(gas.get("mine").asBoolean()).as("it ended yesterday").isFalse();
        assertThat(gas.get("needed").asString()).contains("gas license").contains("Ines Marrow").doesNotContain("Tobin");
        String today = hold("tobin", LocalDate.now());
        assertThat(licence(tobin, "GAS").get("mine").asBoolean()).isTrue();
        release("tobin", held);
        release("tobin", today);
    }

    private static JsonNode licence(Client client, String named) {
        return java.util.stream.StreamSupport.stream(client.get("/api/licences").json().spliterator(), false).filter(one -> one.get("licence").asString().equals(named)).findFirst()
                .orElseThrow();
    }

    @Test
    void leadLetsNoGasGoOn() {
        String visit = ines.job("f1-furnace", "no heat");
        ines.add(visit, entry("STOPPED", "finding", "STOVE_FIRE"));
        assertThat(odile.add(visit, entry("LIFTED", "finding", "STOVE_FIRE", "done", "it is fine")).status()).isEqualTo(422);
        assertThat(ines.get("/api/people").status()).as("kept by the lead").isEqualTo(403);
    }

    @Test
    void stoppedVisitEndsShutOffAndTaggedWithItsNotice() {
        String visit = ines.job("f1-furnace", "no heat");
        ines.add(visit, entry("ANSWER", "test", "danger.gas-smell", "yes", true));
        assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "left")).detail()).contains("shut off and tagged");
        assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "SHUT_OFF", "decided", "off")).detail()).contains("who was told");
        assertThat(ines.get("/api/visits/" + visit + "/notice.pdf").status()).isEqualTo(409);
        ines.add(visit, entry("TAGGED", "told", "Mrs. Holm", "signed", false, "risk", "pipes may freeze"));
        assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "SHUT_OFF", "decided", "off")).status()).isEqualTo(200);
        assertThat(new String(ines.bytes("/api/visits/" + visit + "/notice.pdf"), 0, 5, java.nio.charset.StandardCharsets.ISO_8859_1)).isEqualTo("%PDF-");
    }

    @Test
    void temporaryChangesAreChosenAndNeverTyped() {
        String visit = ines.job("f1-furnace", "no heat");
        JsonNode allowed = ines.get("/api/visits/" + visit + "/changes").json();
        assertThat(allowed.toString()).contains("off.P4").doesNotContain("rollout");
        assertThat(ines.add(visit, entry("CHANGE_IN", "text", "rollout bridged")).detail()).contains("Choose");
        assertThat(ines.add(visit, entry("CHANGE_IN", "test", allowed.get(0).get("id").asString())).status()).isEqualTo(200);
    }

    /** The session of another who logged in in the same browser sends nothing that is not theirs. */
    @Test
    void entryOfSomebodyElseIsNotTaken() {
        String visit = ines.job("f1-furnace", "no heat");
        Map<String, Object> note = entry("NOTE", "text", "mine");
        assertThat(ines.with("X-Made-By", "tobin").add(visit, note).status()).isEqualTo(401);
        assertThat(ines.with("X-Made-By", "ines").add(visit, note).status()).isEqualTo(200);
    }

    @Test
    void knownIdWithOtherContentIsRefusedWithBoth() {
        String visit = ines.job("f1-furnace", "no heat");
        Map<String, Object> note = entry("NOTE", "text", "one thing");
        assertThat(ines.add(visit, note).status()).isEqualTo(200);
        assertThat(ines.add(visit, note).status()).as("the same again").isEqualTo(200);
        note.put("text", "another thing");
        Client.Reply refused = ines.add(visit, note);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("one thing").contains("another thing");
    }

    /** Four at once of 317 MB each when they are unpacked. */
    @Test
    void photographsThatUnpackToMuchEndNothing() throws Exception {
        String visit = ines.job("f1-furnace", "no heat");
        byte[] bomb = deepPng(6300);
        assertThat(bomb.length).isLessThan(600_000);
        List<Callable<Integer>> sent = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            sent.add(() -> server.logIn("ines").put("/api/visits/" + visit + "/photos/" + UUID.randomUUID() + "?label=deep", "application/octet-stream", bomb).status());
        }
        var people = Executors.newFixedThreadPool(4);
        try {
            for (var reply : people.invokeAll(sent)) {
                assertThat(reply.get()).isIn(201, 422, 503);
            }
        } finally {
            people.shutdownNow();
        }
        assertThat(ines.get("/alive").status()).isEqualTo(200);
    }

    /** Readings that no test foresees, at different points and moments of several families: what is held stays within its bound. */
    @Test
    void readingsAnywhereLeaveNothingBehind() {
        for (String family : List.of("f1-furnace", "f2-furnace", "f14-rooftop")) {
            String visit = ines.job(family, "no heat");
            JsonNode unit = ines.opened(visit).get("unit");
            for (int i = 0; i < 8; i++) {
                String red = unit.get("points").get(i + 1).get("net").asString();
                String black = unit.get("points").get(unit.get("points").size() - 1 - i).get("net").asString();
                String moment = unit.get("moments").get(i % unit.get("moments").size()).get("id").asString();
                assertThat(ines.add(visit, entry("FREE_READING", "red", red, "black", black, "mode", "AC_VOLTS", "moment", moment, "reading", "12")).status()).isEqualTo(200);
            }
        }
    }

    private String hold(String login, LocalDate until) {
        JsonNode person = odile.post("/api/people/" + login + "/qualifications", Map.of("licence", "GAS", "number", "SK-9", "region", "Skerrow", "until", until.toString())).json();
        return java.util.stream.StreamSupport.stream(person.get("qualifications").spliterator(), false).filter(q -> q.get("number").asString().equals("SK-9")
                && q.get("until").asString().equals(until.toString())).findFirst().orElseThrow().get("id").asString();
    }

    private void release(String login, String id) {
        odile.delete("/api/people/" + login + "/qualifications/" + id);
    }

    /** A PNG of 16 bits a channel, four channels, all of one colour. */
    private static byte[] deepPng(int side) throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        ByteBuffer head = ByteBuffer.allocate(13).putInt(side).putInt(side).put((byte) 16).put((byte) 6).put((byte) 0).put((byte) 0).put((byte) 0);
        chunk(file, "IHDR", head.array());
        ByteArrayOutputStream rows = new ByteArrayOutputStream();
        try (DeflaterOutputStream zip = new DeflaterOutputStream(rows, new Deflater(Deflater.BEST_COMPRESSION))) {
            byte[] row = new byte[1 + 8 * side];
            for (int y = 0; y < side; y++) {
                zip.write(row);
            }
        }
        chunk(file, "IDAT", rows.toByteArray());
        chunk(file, "IEND", new byte[0]);
        return file.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream file, String type, byte[] data) throws Exception {
        byte[] named = new byte[4 + data.length];
        System.arraycopy(type.getBytes(java.nio.charset.StandardCharsets.US_ASCII), 0, named, 0, 4);
        System.arraycopy(data, 0, named, 4, data.length);
        CRC32 crc = new CRC32();
        crc.update(named);
        file.write(ByteBuffer.allocate(4).putInt(data.length).array());
        file.write(named);
        file.write(ByteBuffer.allocate(4).putInt((int) crc.getValue()).array());
    }
}
