package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Calculators without a visit: what was typed is computed, and what makes no sense is told beside its field. */
@ExtendWith(RunningServer.class)
class ToolsTest {

    private final RunningServer.Instance server;
    private Client ines;

    ToolsTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    private static Map<String, Object> control(String label, double va, String... names) {
        List<Map<String, Object>> terminals = List.of(Map.of("name", names[0], "function", "COOL", "va", va), Map.of("name", names[1], "function", "FAN",
                "va", va));
        return Map.of("label", label, "hot", "R", "common", "C", "ratedVa", 40, "ownVa", 5, "terminals", terminals);
    }

    private static Map<String, Object> wiring(String unit, Map<String, String> landings) {
        return Map.of("building", control("relay board", 0, "DO1", "DO2"), "unit", control(unit, 8, "Y", "G"), "coilVa", 1.5, "feet", 60, "gauge", 18,
                "landings", landings);
    }

    @Test
    void wiringListIsApartAndAConductorFoundOnTheOtherSupplyIsMarked() {
        JsonNode plan = ines.post("/api/tools/isolation", wiring("rooftop", Map.of())).json();
        assertThat(plan.get("apart").asBoolean()).isTrue();
        assertThat(plan.get("wires").size()).isEqualTo(8);
        JsonNode built = ines.post("/api/tools/isolation", wiring("rooftop", Map.of("0", "rooftop R"))).json();
        assertThat(built.get("apart").asBoolean()).isFalse();
        assertThat(built.get("wires").get(0).get("crosses").asBoolean()).isTrue();
        assertThat(built.get("wires").get(5).get("crosses").asBoolean()).isFalse();
    }

    @Test
    void listThatMakesNoSenseIsRefused() {
        assertThat(ines.post("/api/tools/isolation", wiring("relay board", Map.of())).detail()).contains("its own name");
        assertThat(ines.post("/api/tools/isolation", wiring("rooftop", Map.of("0", "the roof"))).detail()).contains("the roof");
    }

    @Test
    void everyCalculationIsListedAndComputesWhatStandsThereFirst() {
        JsonNode all = ines.get("/api/tools/calculators").json();
        assertThat(all.size()).isGreaterThan(12);
        for (JsonNode line : all) {
            String path = "/api/tools/calculators/" + line.get("id").asString();
            Map<String, Object> numbers = new LinkedHashMap<>();
            Map<String, Object> choices = new LinkedHashMap<>();
            for (JsonNode input : ines.get(path).json().get("inputs")) {
                if (input.get("options").size() > 0) {
                    choices.put(input.get("id").asString(), input.get("options").get(0).get("id").asString());
                } else if (input.hasNonNull("usual")) {
                    numbers.put(input.get("id").asString(), input.get("usual").asDouble());
                }
            }
            JsonNode finding = ines.post(path, Map.of("numbers", numbers, "choices", choices)).json();
            assertThat(finding.get("says").asString()).as(path).isNotBlank();
            assertThat(finding.get("source").asString()).as(path).isNotBlank();
        }
    }

    @Test
    void numberThatMakesNoSenseIsNamedAsPeopleCallIt() {
        Client.Reply cold = ines.post("/api/tools/calculators/frost-interval", Map.of("numbers", Map.of("outdoor", 200, "humidity", 50), "choices", Map.of()));
        assertThat(cold.status()).isEqualTo(422);
        assertThat(cold.json().get("field").asString()).isEqualTo("outdoor");
        assertThat(cold.detail()).startsWith("Outdoors").contains("it is 200 °F; it must be from -30 °F to 60 °F");
        assertThat(ines.post("/api/tools/calculators/frost-interval", Map.of("numbers", Map.of(), "choices", Map.of())).detail()).contains("missing");
        assertThat(ines.get("/api/tools/calculators/horoscope").status()).isEqualTo(404);
        assertThat(server.logIn("tobin").get("/api/tools/economizer").status()).isEqualTo(404);
    }

    /** 70 and 120 °F with 60,000 Btu/h, as somebody reads and types them who thinks in metric units; told in Spanish what is wrong. */
    @Test
    void calculationIsMadeInTheUnitsOfThePerson() {
        String rise = "/api/tools/calculators/temperature-rise";
        Client metric = ines.with("Cookie", "locale=es-u-ms-metric");
        assertThat(metric.get(rise).json().get("inputs")).extracting(input -> input.get("unit").asString()).containsExactly("°C", "°C", "kW", "°C", "°C");
        assertThat(metric.get(rise).json().get("inputs").get(0).get("usual").asDouble()).isEqualTo(20);
        JsonNode found = metric.post(rise, Map.of("numbers", Map.of("return", 21.11, "supply", 48.89, "output", 17.58, "least", 22, "most", 39), "choices", Map.of())).json();
        assertThat(found.get("says").asString()).contains("28 °C").contains("22 °C").contains("39 °C");
        assertThat(found.get("results").get(1).get("value").asDouble()).as("1,111 cfm").isCloseTo(524.4, within(1.0));
        assertThat(found.get("results").get(1).get("unit").asString()).isEqualTo("L/s");
        assertThat(metric.post(rise, Map.of("numbers", Map.of("return", 21, "supply", 200, "output", 17, "least", 22, "most", 39), "choices", Map.of())).detail())
                .contains("es 200 °C; debe ser de 10 °C a 104 °C");
    }

    @Test
    void settingOfAUnitIsSuggested() {
        String visit = ines.job("f10-heatpump", "ices up");
        JsonNode interval = ines.get("/api/visits/" + visit + "/settings").json().get(0);
        assertThat(interval.get("suggests").asString()).isEqualTo("frost-interval");
        String path = "/api/visits/" + visit + "/settings/" + interval.get("id").asString() + "/suggestion";
        Map<String, Object> damp = Map.of("numbers", Map.of("outdoor", 35, "humidity", 90), "choices", Map.of());
        assertThat(ines.post(path, damp).json().get("position").asString()).isEqualTo("30");
        assertThat(ines.post("/api/visits/" + visit + "/settings/colour/suggestion", damp).status()).isEqualTo(422);
    }
}
