package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A new unit: set up step by step, over as many visits as it takes, and handed over with its record. */
@ExtendWith(RunningServer.class)
class CommissioningTest {

    private final Client ines;

    CommissioningTest(RunningServer.Instance server) {
        ines = server.logIn("ines");
    }

    private String newJob(String unit) {
        return ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "set it up", "newUnit", true, "told", List.of(Map.of("test", "told.fan.runs", "yes", false))))
                .json().get("id").asString();
    }

    private JsonNode steps(String visit) {
        return ines.get("/api/visits/" + visit + "/commissioning").json();
    }

    private static String state(JsonNode page, String id) {
        return StreamSupport.stream(page.get("steps").spliterator(), false).filter(step -> step.get("id").asString().equals(id)).findFirst().orElseThrow().get("state").asString();
    }

    @Test
    void whereItHasComeIsKnownOnTheNextVisitUntilItIsHandedOver() throws IOException {
        String unit = ines.newUnit("f1-furnace");
        String first = newJob(unit);
        assertThat(steps(first).get("begun").asBoolean()).isTrue();
        ines.add(first, entry("SET_UP", "step", "gas-shut", "fitted", true, "text", "soaped, 10 min at 10 in. w.c."));
        ines.add(first, entry("SETTING", "setting", "off-delay", "found", "1 off, 2 off", "left", "1 off, 2 on", "why", "long ducts"));
        Client.Reply early = ines.post("/api/visits/" + first + "/close", Map.of("outcome", "COMMISSIONED", "decided", "done"));
        assertThat(early.status()).isEqualTo(409);
        assertThat(early.detail()).contains("Not done yet: Vent complete");
        ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "vent comes tomorrow"));

        String second = ines.jobAt(unit, "set it up");
        assertThat(state(steps(second), "gas-shut")).as("before anything is entered").isEqualTo("DONE");
        ines.add(second, entry("NOTE", "text", "vent is in"));
        JsonNode page = steps(second);
        assertThat(page.get("begun").asBoolean()).isTrue();
        assertThat(state(page, "gas-shut")).isEqualTo("DONE");
        assertThat(state(page, "setting.off-delay")).isEqualTo("DONE");
        assertThat(state(page, "vent-blocked")).isEqualTo("OPEN");
        String said = new PdfTextExtractor(new PdfReader(ines.bytes("/api/visits/" + second + "/report.pdf"))).getTextFromPage(1);
        assertThat(said).contains("Setting up the new unit").contains("soaped, 10 min");
    }

    /** F5: hold, the installer's number, three to the right, press, five to the right, press until it blinks. */
    @Test
    void aNumberBehindTheMenuIsReachedByKeysAndHasItsBounds() {
        String visit = ines.jobAt(ines.newUnit("f5-boiler"), "set it up");
        JsonNode steps = ines.get("/api/visits/" + visit + "/settings/hottest/steps?from=150&to=155").json();
        assertThat(steps.get(4).get("times").asInt()).isEqualTo(5);
        assertThat(steps.get(5).get("press").asString()).contains("blinks");
        assertThat(ines.get("/api/visits/" + visit + "/settings/hottest/steps?from=150&to=700").status()).isEqualTo(422);
        assertThat(ines.get("/api/visits/" + visit + "/settings/wheels/steps?from=1&to=2").status()).isEqualTo(422);
        assertThat(ines.get("/api/visits/" + visit + "/menu").json().size()).isGreaterThan(10);
        assertThat(ines.add(visit, entry("SETTING", "setting", "hottest", "found", "150", "left", "155.5")).detail()).isEqualTo(
                "Hottest water: 155.5 is none of its numbers. Type one from 90 to 190 °F, by steps of 1.");
        assertThat(ines.add(visit, entry("SETTING", "setting", "hottest", "found", "150", "left", "156", "why", "radiators, by the reset line")).status()).isEqualTo(200);
        assertThat(ines.opened(visit).get("page").get("log").toString()).contains("found 150, left 156: radiators");
    }

    /** What a customer noticed stands first in the log, and what is known before it comes all the same. */
    @Test
    void whatIsKnownBeforeComesAlsoWhereTheCustomerSaidSomething() {
        String unit = ines.newUnit("f1-furnace");
        String first = ines.jobAt(unit, "no heat");
        ines.add(first, entry("SPARE", "cable", "thermostat cable", "conductor", "blue"));
        ines.post("/api/visits/" + first + "/close", Map.of("outcome", "LEFT_AS_FOUND", "decided", "come back"));
        String second = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "no heat", "told", List.of(Map.of("test", "told.fan.runs", "yes", false)))).json()
                .get("id").asString();
        ines.add(second, entry("READING", "test", "v.R.standby", "reading", "26"));
        assertThat(ines.opened(second).get("page").get("log").toString()).contains("Spare conductor in thermostat cable").contains("An earlier visit");
    }

    @Test
    void aUnitThatRanBeforeHasNoStepsAndBadStepsAreRefused() {
        String visit = ines.job("no heat");
        assertThat(ines.add(visit, entry("SET_UP", "step", "gas-shut", "fitted", true)).detail()).contains("Say first that the unit is new");
        ines.add(visit, entry("NEW_UNIT"));
        assertThat(ines.add(visit, entry("SET_UP", "step", "wheels", "fitted", true)).detail()).contains("wheels").contains("gas-shut");
        assertThat(ines.add(visit, entry("SET_UP", "step", "gas-shut", "fitted", true, "text", "x".repeat(9000))).status()).isEqualTo(422);
        assertThat(ines.add(visit, entry("NEW_UNIT")).detail()).contains("marked as new already");
    }
}
