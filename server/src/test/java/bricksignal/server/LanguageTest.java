package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Pages, files and errors in the language and the units of the person; what is kept for all is kept in one. */
@ExtendWith(RunningServer.class)
class LanguageTest {

    private static final String SPANISH = "es-u-ms-metric";

    private final RunningServer.Instance server;
    private Client ines;

    LanguageTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    @AfterEach
    void asBefore() {
        ines.put("/api/me", Map.of("locale", "en-u-ms-ussystem", "hand", "RIGHT"));
    }

    @Test
    void choiceIsKeptWithThePerson() {
        assertThat(ines.get("/api/me").json().get("hand").asString()).isEqualTo("RIGHT");
        JsonNode chosen = ines.put("/api/me", Map.of("locale", SPANISH, "hand", "LEFT")).json();
        assertThat(chosen.get("locale").asString()).isEqualTo(SPANISH);
        JsonNode again = server.logIn("ines").get("/api/me").json();
        assertThat(again.get("locale").asString()).isEqualTo(SPANISH);
        assertThat(again.get("hand").asString()).isEqualTo("LEFT");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "spanish", "es-u-ms-furlong", "es; drop table account", "e"})
    void languageThatIsNoneIsRefusedWithItsField(String nonsense) {
        Client.Reply refused = ines.put("/api/me", Map.of("locale", nonsense, "hand", "RIGHT"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body()).contains("locale").contains("such as en-u-ms-ussystem");
    }

    @Test
    void pagesAreToldInTheLanguageOfThePersonAndCautionsWithTheEnglishBeside() {
        String visit = ines.job("no heat");
        Client spanish = ines.with("Cookie", "locale=" + SPANISH);
        JsonNode page = spanish.opened(visit);
        assertThat(page.get("page").toString()).contains("transformador", "[").doesNotContain("\"Expected ");
        assertThat(page.get("unit").get("title").asString()).startsWith("Calefactor de gas de una etapa");
        assertThat(page.get("unit").get("defer").asString()).startsWith("Las instrucciones del fabricante").endsWith("Safeties are never bypassed to run a unit.]");
        assertThat(ines.opened(visit).get("unit").get("title").asString()).as("nobody else's").startsWith("Single-stage gas furnace");
    }

    @Test
    void amountsAreShownAndTypedInTheUnitsOfThePerson() {
        String visit = ines.job("no heat");
        Client metric = ines.with("Cookie", "locale=en-u-ms-metric");
        metric.add(visit, entry("READING", "test", "draft-gauge", "reading", "250 Pa"));
        assertThat(metric.opened(visit).get("page").get("log").toString()).contains("250 Pa");
        assertThat(ines.opened(visit).get("page").get("log").toString()).as("stored once, told to each in their own").contains("1 in. w.c.");
    }

    /** A browser that was tampered with, or an older one, gets the program in English rather than an error. */
    @ParameterizedTest
    @ValueSource(strings = {"locale=xx", "locale=%00", "locale=" + "es-u-ms-metric-" + "aaaaaaaa-aaaaaaaa-aaaaaaaa", "locale=../../etc"})
    void cookieThatIsNoLanguageIsPassedOver(String cookie) {
        Client.Reply reply = ines.with("Cookie", cookie).get("/api/packs");
        assertThat(reply.status()).isEqualTo(200);
    }

    @Test
    void whatACustomerSaysIsUnderstoodInEitherLanguageWhicheverIsSpoken() {
        String unit = ines.newUnit("f1-furnace");
        Client spanish = ines.with("Cookie", "locale=" + SPANISH);
        assertThat(heard(ines, unit, "el soplador nunca para")).contains("The fan never stops");
        assertThat(heard(spanish, unit, "Blower never stops")).contains("El ventilador nunca para");
        for (String danger : new String[] {"I smell gas here", "huele a gas aquí"}) {
            for (Client who : new Client[] {ines, spanish}) {
                assertThat(who.post("/api/jobs", Map.of("unitId", unit, "complaint", danger)).status()).as(danger).isEqualTo(409);
            }
        }
    }

    private static String heard(Client client, String unit, String complaint) {
        return client.get("/api/units/" + unit + "/statements?complaint=" + URLEncoder.encode(complaint, StandardCharsets.UTF_8)).json().get("understood").toString();
    }

    /** What a person did wrong is said in the language of the person, with the value and what to do. */
    @Test
    void problemsAreToldInTheLanguageOfThePerson() {
        String unit = ines.newUnit("f1-furnace");
        Client spanish = ines.with("Accept-Language", "es");
        ines.put("/api/me", Map.of("locale", SPANISH, "hand", "RIGHT"));
        assertThat(spanish.post("/api/jobs", Map.of("unitId", unit, "complaint", "frio", "at", "25:00")).detail()).isEqualTo("'25:00' no es una hora. Escríbala como 14:30, o déjela vacía.");
        assertThat(spanish.get("/api/visits?query=").detail()).startsWith("Diga qué buscar, en 1 a");
        assertThat(spanish.get("/api/visits/00000000-0000-0000-0000-000000000000").detail()).startsWith("No hay tal visita");
    }

    @Test
    void verdictIsKeptForTheRecordInOneLanguage() {
        String visit = ines.job("no heat");
        Client spanish = ines.with("Cookie", "locale=" + SPANISH);
        assertThat(spanish.post("/api/visits/" + visit + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "dejado como estaba")).status()).isLessThan(300);
        assertThat(ines.get("/api/visits/" + visit).body()).contains("dejado como estaba");
        assertThat(ines.get("/api/jobs/record?search=Shed").body()).doesNotContain("sin comprobar");
    }

    /** Read with a library that did not write it. */
    @Test
    void reportOnPaperIsInTheLanguageOfThePersonWithTheRungAroundTheCause() throws IOException {
        String visit = ines.job("no heat");
        for (String reading : new String[] {"v.HSI.warm-up", "v.PSI.purge"}) {
            ines.add(visit, entry("READING", "test", reading, "reading", reading.startsWith("v.PSI") ? "27.3" : "119"));
        }
        ines.add(visit, entry("ANSWER", "test", "see-glow", "yes", false));
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        String spanish = text(ines.with("Cookie", "locale=" + SPANISH).bytes("/api/visits/" + visit + "/report.pdf"));
        assertThat(spanish).contains("Informe de servicio", "Queja:", "encendedor rajado", "Hallado", "Se espera", "Cliente").doesNotContain("Service report", "Complaint:");
        String english = text(ines.bytes("/api/visits/" + visit + "/report.pdf"));
        assertThat(english).contains("Service report", "Complaint:", "igniter cracked open", "Where it sits", "igniter plug");
        assertThat(english.substring(english.indexOf("Where it sits"), english.indexOf("Readings"))).as("volts found beside volts expected").contains("119 V AC").doesNotContain("OL (open)", "0 V AC 0 V AC");
    }

    private static String text(byte[] pdf) throws IOException {
        try (PdfReader reader = new PdfReader(pdf)) {
            PdfTextExtractor pages = new PdfTextExtractor(reader);
            StringBuilder all = new StringBuilder();
            for (int page = 1; page <= reader.getNumberOfPages(); page++) {
                all.append(pages.getTextFromPage(page)).append('\n');
            }
            return all.toString();
        }
    }

    @Test
    void filesAreInTheLanguageOfThePersonToo() {
        String visit = ines.job("no heat");
        ines.add(visit, entry("NOTE", "text", "looked at"));
        Client spanish = ines.with("Cookie", "locale=" + SPANISH);
        assertThat(new String(spanish.bytes("/api/visits/" + visit + "/readings.csv"), StandardCharsets.UTF_8)).contains("Nota");
        assertThat(new String(ines.bytes("/api/visits/" + visit + "/readings.csv"), StandardCharsets.UTF_8)).contains("Note");
    }
}
