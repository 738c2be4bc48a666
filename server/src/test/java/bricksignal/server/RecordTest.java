package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfDictionary;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.io.OutputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The record of a visit on paper and in open formats; documents are read with a library that did not write them (OpenPDF). */
@ExtendWith(RunningServer.class)
class RecordTest {

    private final Client ines;
    private final Client odile;

    RecordTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
        odile = server.logIn("odile");
    }

    private String igniterVisit() {
        String visit = ines.deadIgniter("no heat since the morning");
        ines.add(visit, entry("NOTE", "text", "=HYPERLINK(\"http://bad.invalid\") said the owner"));
        return visit;
    }

    @ParameterizedTest
    @CsvSource({"A4, 595, 842", "LETTER, 612, 792"})
    void reportIsADocumentThatOthersRead(String paper, float width, float height) throws IOException {
        String visit = igniterVisit();
        byte[] pdf = ines.bytes("/api/visits/" + visit + "/report.pdf?paper=" + paper);
        try (PdfReader reader = new PdfReader(pdf)) {
            assertThat(reader.getPageSize(1).getWidth()).isCloseTo(width, org.assertj.core.api.Assertions.within(1f));
            assertThat(reader.getPageSize(1).getHeight()).isCloseTo(height, org.assertj.core.api.Assertions.within(1f));
            StringBuilder text = new StringBuilder();
            for (int page = 1; page <= reader.getNumberOfPages(); page++) {
                text.append(new PdfTextExtractor(reader).getTextFromPage(page));
            }
            assertThat(fonts(reader)).as("the face is in the document").allMatch(font -> font.contains("B612")).isNotEmpty();
            assertThat(text.toString().replaceAll("\\s+", " ")).contains("no heat since the morning", "OL (open)", "Readings",
                    "The visit is still open", "maker's instructions");
        }
    }

    private static List<String> fonts(PdfReader reader) {
        List<String> fonts = new ArrayList<>();
        for (int i = 1; i < reader.getXrefSize(); i++) {
            if (reader.getPdfObject(i) instanceof PdfDictionary object && object.contains(PdfName.FONTFILE2)) {
                fonts.add(String.valueOf(object.get(PdfName.FONTNAME)));
            }
        }
        return fonts;
    }

    @Test
    void readingsAreCommaSeparatedAndNoCellIsAFormula() throws IOException {
        String visit = igniterVisit();
        String csv = ines.get("/api/visits/" + visit + "/readings.csv").body();
        List<CSVRecord> rows = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get().parse(new StringReader(csv)).getRecords();
        assertThat(rows).hasSize(2);
        assertThat(rows.get(0).get("found")).isEqualTo("OL (open)");
        assertThat(rows.get(1).stream()).noneMatch(cell -> cell.startsWith("=")).anyMatch(cell -> cell.startsWith("'=HYPERLINK"));
    }

    @Test
    void runAndCircuitAreInTheFormatsOfOtherTools() throws IOException {
        String visit = igniterVisit();
        ines.add(visit, entry("SEEN", "channel", "inducer", "begins", true, "seconds", 2.5));
        String vcd = ines.get("/api/visits/" + visit + "/run.vcd").body();
        assertThat(vcd).contains("$timescale 1 ms $end", "$scope module seen $end", "$enddefinitions $end", "#2500\n");
        JsonNode dump = readByAnother(vcd);
        assertThat(dump.get("timescale").asString()).isEqualTo("1 ms");
        assertThat(wave(dump, "seen.inducer")).as("nobody knows how it was at first; seen to come after 2.5 s").isEqualTo("[[\"0\",\"x\"],[\"2500\",\"1\"]]");
        assertThat(wave(dump, "in_good_order.inducer")).startsWith("[[\"0\",\"0\"],[\"").contains(",\"1\"]");
        assertThat(ines.get("/api/visits/" + visit + "/circuit.cir").body()).startsWith("* ").contains(" AC ");
        assertThat(ines.get("/api/visits/" + visit + "/circuit.cir?moment=never").status()).isEqualTo(422);
    }

    /** A value change dump as a reader from the npm registry has it (vcd-parser); it is installed with the web module. */
    private static JsonNode readByAnother(String vcd) throws IOException {
        Process node = new ProcessBuilder("node_modules/.bin/node", "-e", "require('vcd-parser').parse(require('fs').readFileSync(0, 'utf8'))"
                + ".then((dump) => console.log(JSON.stringify(dump)))").directory(Path.of("..", "web").toFile()).redirectError(ProcessBuilder.Redirect.INHERIT).start();
        try (OutputStream in = node.getOutputStream()) {
            in.write(vcd.getBytes(StandardCharsets.UTF_8));
        }
        return Client.read(new String(node.getInputStream().readAllBytes(), StandardCharsets.UTF_8));
    }

    private static String wave(JsonNode dump, String name) {
        return StreamSupport.stream(dump.get("signal").spliterator(), false).filter(signal -> signal.get("name").asString().equals(name)).findFirst().orElseThrow()
                .get("wave").toString();
    }

    private static String renamed(String file, JsonNode read) {
        String renamed = file.replace(read.get("visit").get("id").asString(), UUID.randomUUID().toString());
        for (JsonNode entry : read.get("entries")) {
            renamed = renamed.replace(entry.get("id").asString(), UUID.randomUUID().toString());
        }
        return renamed;
    }

    private static JsonNode withoutIds(Client.Reply reply) {
        return Client.read(reply.body().replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}", "id").replaceAll("\"number\" : \\d+", "\"number\" : 0"));
    }

    @Test
    void fileTakenInGivesTheSameVisit() {
        String visit = igniterVisit();
        Map<String, Object> wrong = entry("READING", "test", "ohms-igniter", "reading", "50");
        ines.add(visit, wrong);
        ines.add(visit, entry("TAKE_BACK", "supersedes", wrong.get("id")));
        ines.add(visit, entry("REPAIRED", "part", "igniter"));
        assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "PART_ORDERED", "decided", "A new igniter comes on Monday.")).detail()).contains("Say which one");
        ines.add(visit, entry("ORDERED", "part", "igniter"));
        ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "PART_ORDERED", "decided", "A new igniter comes on Monday."));
        Client.Reply written = odile.get("/api/visits/" + visit + "/visit.json");
        String elsewhere = renamed(written.body(), written.json());
        Client.Reply taken = odile.post("/api/visits/import", elsewhere);
        assertThat(taken.status()).as(taken.body()).isEqualTo(200);
        String copy = taken.json().get("id").asString();
        JsonNode again = withoutIds(odile.get("/api/visits/" + copy + "/visit.json"));
        assertThat(((tools.jackson.databind.node.ArrayNode) again.get("events")).remove(again.get("events").size() - 1).get("kind").asString()).isEqualTo("BROUGHT");
        assertThat(again).isEqualTo(withoutIds(written));
        assertThat(taken.json().get("left")).isEmpty();
        JsonNode one = odile.opened(visit);
        JsonNode other = odile.opened(copy);
        assertThat(other.get("page").get("suspects")).isEqualTo(one.get("page").get("suspects"));
        assertThat(other.get("outcome")).isEqualTo(one.get("outcome"));
        assertThat(odile.post("/api/visits/import", elsewhere).status()).as("the same again").isEqualTo(200);
    }

    @Test
    void fileThatDoesNotFitIsRefusedWithItsReasonAndNothingIsTakenIn() {
        String visit = igniterVisit();
        String file = odile.get("/api/visits/" + visit + "/visit.json").body();
        JsonNode read = Client.read(file);
        assertThat(odile.post("/api/visits/import", file.replace("\"version\" : 1", "\"version\" : 7")).detail()).contains("version 7", "version 1");
        assertThat(odile.post("/api/visits/import", renamed(file, read).replace(read.get("unit").get("id").asString(), UUID.randomUUID().toString())).detail())
                .contains("unit that is not here");
        String sameEntries = file.replace(read.get("visit").get("id").asString(), UUID.randomUUID().toString());
        Client.Reply collides = odile.post("/api/visits/import", sameEntries);
        assertThat(collides.status()).isEqualTo(409);
        assertThat(collides.detail()).contains("another visit");
        assertThat(odile.get("/api/visits/" + Client.read(sameEntries).get("visit").get("id").asString()).status()).as("nothing was taken in").isEqualTo(404);
        assertThat(odile.post("/api/visits/import", file.replace("\"complaint\"", "\"grievance\"")).detail()).contains("no visit that can be taken in");
        assertThat(ines.post("/api/visits/import", file).status()).as("the lead alone takes in").isEqualTo(403);
    }

    @Test
    void fileFitsTheSchemaThatIsPublished() {
        String visit = igniterVisit();
        var schema = com.networknt.schema.SchemaRegistry.withDefaultDialect(com.networknt.schema.SpecificationVersion.DRAFT_2020_12)
                .getSchema(odile.get("/api/visit.schema.json").body());
        assertThat(schema.validate(odile.get("/api/visits/" + visit + "/visit.json").json())).isEmpty();
    }
}
