package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What comes after the verdict: ways out, quotes, the change of a board, photographs, lent parts, and finding it all again. */
@ExtendWith(RunningServer.class)
class AfterVerdictTest {

    private final Client ines;
    private final Client odile;

    AfterVerdictTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
        odile = server.logIn("odile");
    }

    private JsonNode ways(String visit) {
        Client.Reply reply = ines.get("/api/visits/" + visit + "/ways");
        assertThat(reply.status()).as(reply.body()).isEqualTo(200);
        return reply.json();
    }

    private static JsonNode way(JsonNode page, String id) {
        return StreamSupport.stream(page.get("ways").spliterator(), false).filter(way -> way.get("id").asString().equals(id)).findFirst().orElseThrow();
    }

    /** The stand-in of a supplier that ships with the application. */
    @Test
    void supplierSaysWhatItHasOfThePartsThatAreCountedWith() {
        String visit = ines.deadIgniter("no heat");
        JsonNode counter = ines.get("/api/visits/" + visit + "/counter").json();
        assertThat(counter.get("away").isNull()).isTrue();
        JsonNode igniter = StreamSupport.stream(counter.get("lines").spliterator(), false).filter(line -> line.get("part").asString().equals("igniter")).findFirst()
                .orElseThrow();
        assertThat(igniter.get("counted").asDouble()).isPositive();
        Map<String, Object> taken = entry("FIGURE", "what", "price.igniter", "value", igniter.get("price").asDouble(), "reason", "supplier");
        assertThat(ines.add(visit, taken).status()).isEqualTo(200);
        JsonNode again = ines.get("/api/visits/" + visit + "/counter").json();
        assertThat(again.toString()).contains("\"counted\":" + igniter.get("price").asDouble());
    }

    @Test
    void waysOutFollowTheFiguresThatSomebodyPutIn() {
        String visit = ines.deadIgniter("no heat");
        JsonNode before = ways(visit);
        assertThat(before.get("ageKnown").asBoolean()).isFalse();
        double van = way(before, "PART.VAN").get("quoted").asDouble();
        Map<String, Object> dearer = entry("FIGURE", "what", "price.igniter", "value", 500, "reason", "the supplier raised it today");
        ines.add(visit, dearer);
        assertThat(way(ways(visit), "PART.VAN").get("quoted").asDouble()).isGreaterThan(van + 400);
        ines.add(visit, entry("TAKE_BACK", "supersedes", dearer.get("id")));
        assertThat(way(ways(visit), "PART.VAN").get("quoted").asDouble()).isEqualTo(van);
        assertThat(ines.add(visit, entry("FIGURE", "what", "price.nothing", "value", 5, "reason", "x")).status()).isEqualTo(422);
        assertThat(ines.add(visit, entry("FIGURE", "what", "price.igniter", "value", -5, "reason", "x")).status()).isEqualTo(422);
        String unit = ines.opened(visit).get("unitId").asString();
        assertThat(ines.post("/api/units/" + unit + "/installed", Map.of("year", 1999)).status()).isEqualTo(200);
        JsonNode old = ways(visit);
        assertThat(old.get("ageKnown").asBoolean()).isTrue();
        assertThat(old.get("age").asInt()).isGreaterThanOrEqualTo(27);
        assertThat(way(old, "PART.VAN").get("expected").asDouble()).as("an old unit fails sooner").isGreaterThan(way(before, "PART.VAN").get("expected").asDouble());
    }

    @Test
    void quoteIsKeptWithItsNumberAndReadAsADocument() throws IOException {
        String visit = ines.deadIgniter("no heat");
        Client.Reply made = ines.post("/api/visits/" + visit + "/quotes", Map.of("way", "PART.VAN"));
        assertThat(made.status()).as(made.body()).isEqualTo(201);
        JsonNode plain = made.json().get("offer").get("plain");
        assertThat(plain.get("total").asDouble()).isEqualTo(Math.round(100 * plain.get("net").asDouble() * 1.08) / 100.0);
        ines.add(visit, entry("FIGURE", "what", "price.igniter", "value", 500, "reason", "dearer now"));
        assertThat(ines.get("/api/visits/" + visit + "/quotes").json().get(0).get("offer")).as("what was offered stays").isEqualTo(made.json().get("offer"));
        byte[] pdf = ines.bytes("/api/visits/" + visit + "/quotes/" + made.json().get("id").asString() + ".pdf");
        try (PdfReader reader = new PdfReader(pdf)) {
            assertThat(new PdfTextExtractor(reader).getTextFromPage(1)).contains("Quote " + made.json().get("number").asInt(), "Total", "holds until");
        }
        assertThat(ines.post("/api/visits/" + visit + "/quotes", Map.of("way", "BOARD.MOON")).detail()).contains("BOARD.MOON");
    }

    /** Two units of a house fail at once: one order, one second trip, and what is worn at the one beside them; nothing of another house. */
    @Test
    void oneOfferCoversTheUnitsOfASite() throws IOException {
        String house = "House " + UUID.randomUUID();
        String left = unitAt(Map.of("siteName", house, "address", "Slip 9"), "Left");
        String site = StreamSupport.stream(ines.get("/api/sites").json().spliterator(), false).filter(s -> s.get("name").asString().equals(house)).findFirst().orElseThrow()
                .get("id").asString();
        String right = unitAt(Map.of("siteId", site), "Right");
        String elsewhere = unitAt(Map.of("siteName", "Elsewhere " + UUID.randomUUID(), "address", "Slip 10"), "Far");
        String atRight = deadIgniterAt(right);
        JsonNode second = ines.post("/api/visits/" + atRight + "/quotes", Map.of("way", "PART.SECOND_TRIP")).json();
        String atLeft = deadIgniterAt(left);
        JsonNode alone = ines.post("/api/visits/" + atLeft + "/quotes", Map.of("way", "PART.SECOND_TRIP")).json();
        JsonNode others = ines.get("/api/visits/" + atLeft + "/other-units").json();
        assertThat(others).hasSize(1);
        assertThat(others.get(0).get("quotes").get(0).get("number").asLong()).isEqualTo(second.get("number").asLong());
        JsonNode inducer = StreamSupport.stream(others.get(0).get("parts").spliterator(), false).filter(part -> part.get("part").asString().equals("inducer")).findFirst()
                .orElseThrow();

        Client.Reply made = ines.post("/api/visits/" + atLeft + "/quotes", Map.of("way", "PART.SECOND_TRIP", "also", List.of(
                Map.of("unit", right, "quote", second.get("id").asString()), Map.of("unit", right, "part", "inducer", "seen", "loud bearing"))));
        assertThat(made.status()).as(made.body()).isEqualTo(201);
        JsonNode offer = made.json().get("offer");
        double both = alone.get("offer").get("plain").get("net").asDouble() + second.get("offer").get("plain").get("net").asDouble() + inducer.get("cost").asDouble();
        double trip = second.get("offer").get("trip").asDouble();
        assertThat(trip).isPositive();
        assertThat(offer.get("plain").get("net").asDouble()).as("both and the worn part, one trip").isCloseTo(both - trip, within(0.011));
        assertThat(offer.get("also").toString()).contains("Right", "loud bearing");
        try (PdfReader reader = new PdfReader(ines.bytes("/api/visits/" + atLeft + "/quotes/" + made.json().get("id").asString() + ".pdf"))) {
            assertThat(new PdfTextExtractor(reader).getTextFromPage(1)).contains("Left: ", "Right: ", "loud bearing", "One second trip for all units");
        }

        assertThat(alsoRefused(atLeft, List.of(Map.of("unit", elsewhere, "part", "inducer")))).contains("Far", house);
        assertThat(alsoRefused(atLeft, List.of(Map.of("unit", right, "part", "moon")))).contains("moon");
        assertThat(alsoRefused(atLeft, List.of(Map.of("unit", right, "quote", alone.get("id").asString())))).contains("Right");
        assertThat(alsoRefused(atLeft, List.of(Map.of("unit", right, "part", "inducer"), Map.of("unit", right, "part", "inducer")))).contains("twice");
        assertThat(alsoRefused(atLeft, List.of(Map.of("unit", UUID.randomUUID().toString(), "part", "inducer")))).isNotEmpty();
        assertThat(ines.get("/api/visits/" + atRight + "/other-units").json().get(0).get("quotes")).as("an offer over several is not taken into another")
                .hasSize(1);
    }

    private String unitAt(Map<String, String> site, String label) {
        Map<String, Object> unit = new java.util.LinkedHashMap<>(site);
        unit.putAll(Map.of("label", label, "location", "hall", "pack", "f1-furnace"));
        return ines.post("/api/units", unit).json().get("id").asString();
    }

    private String deadIgniterAt(String unit) {
        String visit = ines.jobAt(unit, "no heat");
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        return visit;
    }

    private String alsoRefused(String visit, List<Map<String, String>> also) {
        Client.Reply reply = ines.post("/api/visits/" + visit + "/quotes", Map.of("way", "PART.SECOND_TRIP", "also", also));
        assertThat(reply.status()).as(reply.body()).isBetween(400, 499);
        return reply.detail();
    }

    @Test
    void ratesAreSetByTheLeadAndSenselessOnesRefused() {
        JsonNode rates = odile.get("/api/policy/rates").json();
        Map<String, Object> dearer = new java.util.LinkedHashMap<>(asMap(rates));
        dearer.put("unitPrice", -1);
        assertThat(odile.post("/api/policy/rates", dearer).detail()).contains("price of a new unit", "-1");
        assertThat(odile.get("/api/policy/rates").json()).isEqualTo(rates);
        assertThat(ines.post("/api/policy/rates", asMap(rates)).status()).isEqualTo(403);
        assertThat(odile.post("/api/policy/rates", asMap(rates)).json()).isEqualTo(rates);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> asMap(JsonNode node) {
        return (Map<String, Object>) Client.plain(node);
    }

    /** Every ordered pair of the boards of the demo and the family's own: what was on a terminal goes to the one that does the same. */
    @Test
    void boardOfTheDemoTakesEveryConductorByItsFunction() {
        String visit = ines.deadIgniter("no heat");
        ines.add(visit, entry("SETTING", "setting", "off-delay", "found", "1 off, 2 on", "left", "1 off, 2 on"));
        ines.add(visit, entry("TERMINAL", "terminal", "W", "conductor", "brown 3"));
        JsonNode boards = ines.get("/api/visits/" + visit + "/new-boards").json();
        List<String> names = new ArrayList<>();
        boards.forEach(board -> names.add(board.get("name").asString()));
        assertThat(names).contains("skerrow-first", "skerrow-grey", "skerrow-round");
        JsonNode page = ines.get("/api/visits/" + visit + "/change-out?board=skerrow-grey").json();
        JsonNode moved = StreamSupport.stream(page.get("map").spliterator(), false).filter(m -> m.get("terminal").asString().equals("IND")).findFirst().orElseThrow();
        assertThat(moved.get("to").asString()).isEqualTo("J3 IND");
        assertThat(StreamSupport.stream(page.get("map").spliterator(), false).filter(m -> m.get("terminal").asString().equals("W")).findFirst().orElseThrow()
                .get("conductor").asString()).isEqualTo("brown 3");
        JsonNode setting = StreamSupport.stream(page.get("differences").spliterator(), false).filter(d -> d.get("what").asString().startsWith("setting"))
                .findFirst().orElseThrow();
        assertThat(setting.get("position").asString()).as("90 s").isEqualTo("A");
        ines.add(visit, entry("AGREED", "what", setting.get("what").asString()));
        ines.add(visit, entry("MOVED", "terminal", "IND"));
        JsonNode after = ines.get("/api/visits/" + visit + "/change-out?board=skerrow-grey").json();
        assertThat(after.get("differences").toString()).contains("\"agreed\":true");
        assertThat(after.get("map").toString()).contains("\"done\":true");
        assertThat(after.get("blocked").asString()).as("a board is not changed before it is proven").contains("not proven");
        ines.add(visit, entry("TERMINAL", "terminal", "Y", "conductor", "brown 3"));
        assertThat(ines.get("/api/visits/" + visit + "/change-out").json().get("problems").get(0).asString()).contains("two terminals");
        assertThat(ines.get("/api/visits/" + visit + "/change-out?part=igniter").status()).isEqualTo(422);
    }

    private static byte[] picture(String format, int width, int height) {
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, to);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return to.toByteArray();
    }

    private Client.Reply photo(String visit, byte[] file) {
        return ines.put("/api/visits/" + visit + "/photos/" + UUID.randomUUID() + "?label=As%20found", "application/octet-stream", file);
    }

    @Test
    void photographIsDrawnAnewAndNothingOfTheCameraIsLeftInIt() throws IOException {
        String visit = ines.deadIgniter("no heat");
        byte[] jpeg = picture("jpg", 2800, 1400);
        byte[] secret = "Exif\0\0the place where it was taken".getBytes(StandardCharsets.ISO_8859_1);
        byte[] withExif = new byte[jpeg.length + secret.length + 4];
        withExif[0] = jpeg[0];
        withExif[1] = jpeg[1];
        withExif[2] = (byte) 0xff;
        withExif[3] = (byte) 0xe1;
        withExif[4] = 0;
        withExif[5] = (byte) (secret.length + 2);
        System.arraycopy(secret, 0, withExif, 6, secret.length);
        System.arraycopy(jpeg, 2, withExif, 6 + secret.length, jpeg.length - 2);
        Client.Reply kept = photo(visit, withExif);
        assertThat(kept.status()).as(kept.body()).isEqualTo(201);
        assertThat(kept.json().get("width").asInt()).isEqualTo(1400);
        byte[] back = ines.bytes("/api/visits/" + visit + "/photos/" + kept.json().get("id").asString());
        assertThat(new String(back, StandardCharsets.ISO_8859_1)).doesNotContain("the place where");
        assertThat(ImageIO.read(new ByteArrayInputStream(back)).getHeight()).isEqualTo(700);
        byte[] with = ines.bytes("/api/visits/" + visit + "/report.pdf");
        ines.post("/api/visits/" + visit + "/photos/" + kept.json().get("id").asString() + "/on-report?wanted=false", Map.of());
        assertThat(ines.bytes("/api/visits/" + visit + "/report.pdf").length).as("it is on the report while it is wanted there").isLessThan(with.length);
    }

    @Test
    void photographThatIsSwitchedAfterClosingLeavesAnEvent() {
        String visit = ines.deadIgniter("no heat");
        String photo = photo(visit, picture("jpg", 400, 300)).json().get("id").asString();
        String onReport = "/api/visits/" + visit + "/photos/" + photo + "/on-report?wanted=";
        ines.post(onReport + "false", Map.of());
        assertThat(ines.opened(visit).get("events")).as("while it is open it may be chosen").isEmpty();
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "left"));
        assertThat(ines.post(onReport + "true", Map.of()).status()).isEqualTo(200);
        assertThat(ines.post(onReport + "true", Map.of()).status()).isEqualTo(200);
        tools.jackson.databind.JsonNode events = ines.opened(visit).get("events");
        assertThat(events).hasSize(2);
        assertThat(events.get(1).get("kind").asString()).isEqualTo("CHANGED_AFTER");
        assertThat(events.get(1).get("note").asString()).contains("As found");
    }

    @Test
    void whatIsNoPhotographIsRefusedWithItsReason() {
        String visit = ines.deadIgniter("no heat");
        assertThat(photo(visit, "%PDF-1.7 and so on".getBytes(StandardCharsets.UTF_8)).detail()).contains("no photograph");
        assertThat(photo(visit, new byte[13 * 1024 * 1024]).status()).as("too large to be read").isEqualTo(413);
        assertThat(photo(visit, bomb()).detail()).contains("megapixels");
        byte[] cut = java.util.Arrays.copyOf(picture("jpg", 400, 300), 300);
        assertThat(photo(visit, cut).status()).isEqualTo(422);
    }

    /** The head of a PNG of 60,000 by 60,000 pixels, some bytes long. */
    private static byte[] bomb() {
        byte[] png = picture("png", 1, 1);
        java.nio.ByteBuffer.wrap(png).putInt(16, 60_000).putInt(20, 60_000);
        java.util.zip.CRC32 crc = new java.util.zip.CRC32();
        crc.update(png, 12, 17);
        java.nio.ByteBuffer.wrap(png).putInt(29, (int) crc.getValue());
        return png;
    }

    @Test
    void twentyPhotographsAreKeptAndNoMore() {
        String visit = ines.deadIgniter("no heat");
        byte[] small = picture("png", 20, 20);
        for (int i = 0; i < 20; i++) {
            assertThat(photo(visit, small).status()).isEqualTo(201);
        }
        assertThat(photo(visit, small).detail()).contains("20 photographs");
        assertThat(ines.get("/api/visits/" + visit + "/photos").json()).hasSize(20);
    }

    @Test
    void lentPartLeavesItsMarkOnBothUnitsUntilItIsBack() {
        String site = ines.post("/api/units", Map.of("siteName", "Twin shed", "address", "Slip 3", "label", "Left", "location", "left", "pack", "f1-furnace")).json()
                .get("id").asString();
        String siteId = StreamSupport.stream(ines.get("/api/sites").json().spliterator(), false).filter(s -> s.toString().contains(site)).findFirst().orElseThrow()
                .get("id").asString();
        String twin = ines.post("/api/units", Map.of("siteId", siteId, "label", "Right", "location", "right", "pack", "f1-furnace")).json().get("id").asString();
        String visit = ines.jobAt(site, "no heat");
        Map<String, Object> lent = entry("LENT", "part", "igniter", "unit", twin);
        assertThat(ines.add(visit, lent).status()).isEqualTo(200);
        assertThat(ines.add(visit, entry("LENT", "part", "igniter", "unit", UUID.randomUUID().toString())).status()).isEqualTo(422);
        String atTwin = ines.jobAt(twin, "does not start");
        assertThat(ines.get("/api/visits/" + atTwin + "/history").json().get("lentOut").toString()).contains("igniter", "Left");
        ines.add(visit, entry("GIVEN_BACK", "supersedes", lent.get("id")));
        assertThat(ines.get("/api/visits/" + atTwin + "/history").json().get("lentOut")).isEmpty();
    }

    @Test
    void visitIsFoundByAWordOfItAndOnlyByWhoMaySeeIt() {
        String visit = ines.job("squeals like 100% of a gull");
        assertThat(ines.get("/api/visits?query=100%25%20of").json().toString()).contains(visit);
        assertThat(ines.get("/api/visits?query=SQUEALS").json().toString()).contains(visit);
        assertThat(ines.get("/api/visits?query=100_of").json()).as("no sign stands for others").isEmpty();
        assertThat(odile.get("/api/visits?query=squeals").json().toString()).contains(visit);
        assertThat(ines.get("/api/visits?query=%20").status()).isEqualTo(422);
    }
}
