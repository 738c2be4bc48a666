package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Paragraph;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Documents of a unit and of a kind of board: kept as they are, told by their content, shown where they are wanted. */
@ExtendWith(RunningServer.class)
class PaperTest {

    private final Client ines;
    private final Client tobin;

    PaperTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
        tobin = server.logIn("tobin");
    }

    /** Written by another library than the one that reads it here. */
    private static byte[] pdf(int pages) throws DocumentException {
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        Document document = new Document();
        PdfWriter.getInstance(document, to);
        document.open();
        for (int i = 1; i <= pages; i++) {
            document.add(new Paragraph("Wiring, page " + i));
            document.newPage();
        }
        document.close();
        return to.toByteArray();
    }

    private static byte[] locked() throws IOException {
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.addPage(new PDPage());
            StandardProtectionPolicy policy = new StandardProtectionPolicy("owner", "secret", new AccessPermission());
            policy.setEncryptionKeyLength(128);
            document.protect(policy);
            document.save(to);
        }
        return to.toByteArray();
    }

    private static String place(String unit) {
        return "/api/units/" + unit + "/papers/" + UUID.randomUUID() + "?title=Wiring";
    }

    private Client.Reply keep(String unit, String more, byte[] file) {
        return ines.put(place(unit) + more, "application/octet-stream", file);
    }

    @Test
    void aPageOfAManualIsKeptWithTheUnitAndComesBackAsItWas() throws IOException, DocumentException {
        String unit = ines.newUnit("f1-furnace");
        byte[] manual = pdf(3);
        Client.Reply kept = keep(unit, "&part=igniter&page=2", manual);
        assertThat(kept.status()).as(kept.body()).isEqualTo(201);
        assertThat(tobin.get("/api/units/" + unit + "/papers").json()).singleElement().satisfies(paper -> {
            assertThat(paper.get("pages").asInt()).isEqualTo(3);
            assertThat(paper.get("page").asInt()).isEqualTo(2);
            assertThat(paper.get("part").asString()).isEqualTo("igniter");
            assertThat(paper.get("board").asBoolean()).isFalse();
        });
        String file = "/api/papers/" + kept.json().get("id").asString();
        assertThat(tobin.get(file).type()).startsWith("application/pdf");
        try (PdfReader reader = new PdfReader(tobin.bytes(file))) {
            assertThat(reader.getNumberOfPages()).isEqualTo(3);
        }
        String visit = ines.jobAt(unit, "no heat");
        assertThat(ines.get("/api/visits/" + visit + "/tests/ohms-igniter").json().get("about").toString()).contains("igniter");
        assertThat(ines.get("/api/visits/" + visit + "/tests/v.R.standby").json().get("about").toString()).as("a terminal of the board").contains("board");
        assertThat(ines.get("/api/visits/" + visit + "/history").json().get("changes").toString()).contains("Wiring");
    }

    @Test
    void aPictureIsDrawnAnewAndWhatIsNeitherIsRefused() throws IOException, DocumentException {
        String unit = ines.newUnit("f1-furnace");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
        Client.Reply picture = keep(unit, "", png.toByteArray());
        assertThat(picture.json().get("picture").asBoolean()).isTrue();
        assertThat(ines.get("/api/papers/" + picture.json().get("id").asString()).type()).startsWith("image/jpeg");
        assertThat(keep(unit, "", "<html><script>alert(1)</script></html>".getBytes(StandardCharsets.UTF_8)).status()).isEqualTo(422);
        assertThat(keep(unit, "", "%PDF-1.7 and nothing more".getBytes(StandardCharsets.UTF_8)).detail()).contains("does not open as a PDF");
        assertThat(keep(unit, "", locked()).detail()).contains("password");
        assertThat(keep(unit, "&page=4", pdf(3)).detail()).isEqualTo("Page 4: the file has 3 pages.");
        assertThat(keep(unit, "&page=0", pdf(3)).status()).isEqualTo(422);
        assertThat(keep(unit, "&board=true", pdf(1)).detail()).contains("no board of its own");
        assertThat(keep(unit, "", new byte[21 * 1024 * 1024]).status()).as("200 MB are not read either").isEqualTo(413);
        assertThat(ines.put("/api/units/" + unit + "/papers/" + UUID.randomUUID() + "?title=+", "application/octet-stream", pdf(1)).detail()).contains("title");
        assertThat(ines.put("/api/units/" + UUID.randomUUID() + "/papers/" + UUID.randomUUID() + "?title=x", "application/octet-stream", pdf(1)).status()).isEqualTo(404);
        assertThat(ines.get("/api/units/" + unit + "/papers").json()).as("nothing of what was refused is kept").hasSize(1);
    }

    @Test
    void whatIsKeptWithABoardStandsAtEveryUnitThatHasOne() throws DocumentException {
        String one = twinOf("Slate");
        String other = twinOf("Slate");
        Client.Reply kept = keep(one, "&board=true", pdf(1));
        assertThat(kept.status()).as(kept.body()).isEqualTo(201);
        assertThat(ines.get("/api/units/" + other + "/papers").json()).singleElement().satisfies(paper -> assertThat(paper.get("board").asBoolean()).isTrue());
        assertThat(ines.delete("/api/units/" + other + "/papers/" + kept.json().get("id").asString()).status()).isEqualTo(204);
        assertThat(ines.get("/api/units/" + one + "/papers").json()).isEmpty();
    }

    /** A unit with a board of its own: chosen by a trait, so all that are chosen so have the same. */
    private String twinOf(String site) {
        return ines.post("/api/units", Map.of("siteName", site, "address", "Slip 2", "label", "Unit", "location", "closet", "pack", "f1-furnace", "choices", Map.of("ignition", "spark")))
                .json().get("id").asString();
    }

    @Test
    void oneDocumentIsNotAnother() throws DocumentException {
        String unit = ines.newUnit("f1-furnace");
        String place = place(unit);
        byte[] file = pdf(1);
        assertThat(ines.put(place, "application/octet-stream", file).status()).isEqualTo(201);
        assertThat(ines.put(place, "application/octet-stream", file).status()).as("sent again it is the same").isEqualTo(201);
        assertThat(ines.put(place + "&part=igniter", "application/octet-stream", file).status()).isEqualTo(409);
        String foreign = ines.newUnit("f1-furnace");
        String id = place.substring(place.indexOf("papers/") + 7, place.indexOf('?'));
        assertThat(ines.delete("/api/units/" + foreign + "/papers/" + id).status()).as("not of that unit").isEqualTo(404);
    }
}
