package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The sequence beside the unit, repairs on the way, the plan, and the company's policy. */
@ExtendWith(RunningServer.class)
class IsolateTest {

    private final RunningServer.Instance server;
    private Client ines;

    IsolateTest(RunningServer.Instance server) {
        this.server = server;
    }

    @BeforeEach
    void logIn() {
        ines = server.logIn("ines");
    }

    private static double belief(JsonNode visit, String id) {
        for (JsonNode suspect : visit.get("page").get("suspects")) {
            if (suspect.get("id").asString().equals(id)) {
                return suspect.get("probability").asDouble();
            }
        }
        return 0;
    }

    @Test
    void whatIsSeenOfTheSequenceIsEvidenceAndCanBeTakenBack() {
        String visit = ines.job("starts and goes out");
        ines.add(visit, entry("SEEN", "channel", "flame", "begins", true, "seconds", 26.0));
        Map<String, Object> lost = entry("SEEN", "channel", "flame", "begins", false, "seconds", 31.0);
        JsonNode after = ines.add(visit, lost).json();
        assertThat(belief(after, "rod-coated")).isGreaterThan(0.3);
        assertThat(after.get("page").get("log").get(1).get("what").asString()).isEqualTo("flame stopped");
        JsonNode back = ines.add(visit, entry("TAKE_BACK", "supersedes", lost.get("id"))).json();
        assertThat(belief(back, "rod-coated")).isLessThan(0.2);
    }

    @Test
    void eventThatMakesNoSenseIsRefusedBesideItsField() {
        String visit = ines.job("no heat");
        assertThat(ines.add(visit, entry("SEEN", "channel", "steam", "begins", true, "seconds", 3.0)).json().get("field")
                .asString()).isEqualTo("channel");
        assertThat(ines.add(visit, entry("SEEN", "channel", "flame", "begins", true, "seconds", -3.0)).json().get("field")
                .asString()).isEqualTo("seconds");
        assertThat(ines.add(visit, entry("MISSED", "channel", "flame")).status()).isEqualTo(422);
        assertThat(ines.add(visit, entry("REPAIRED", "part", "flux-capacitor")).json().get("field").asString()).isEqualTo("part");
    }

    @Test
    void afterARepairTheVisitGoesOnWithWhatIsLeft() {
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "7 flashes"));
        ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        ines.add(visit, entry("REPAIRED", "part", "igniter"));
        JsonNode still = ines.add(visit, entry("ANSWER", "test", "watch.reset", "yes", false)).json();
        assertThat(belief(still, "igniter-open")).isZero();
        assertThat(ines.get("/api/visits/" + visit + "/repairs").json().get(0).get("done").asBoolean()).isTrue();
        assertThat(still.get("page").get("next").isNull()).as("it goes on").isFalse();
        String running = ines.job("no heat");
        ines.add(running, entry("PATTERN", "pattern", "7 flashes"));
        ines.add(running, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        ines.add(running, entry("REPAIRED", "part", "igniter"));
        JsonNode runs = ines.add(running, entry("ANSWER", "test", "watch.reset", "yes", true)).json();
        assertThat(runs.get("page").get("suspects").get(0).get("id").asString()).isEqualTo("nothing-now");
    }

    @Test
    void planSaysWhatComesAfterEachOutcome() {
        String visit = ines.job("no heat");
        ines.add(visit, entry("PATTERN", "pattern", "4 flashes"));
        JsonNode plan = ines.get("/api/visits/" + visit + "/plan").json();
        assertThat(plan.size()).isGreaterThanOrEqualTo(2);
        double sum = 0;
        for (JsonNode way : plan) {
            sum += way.get("probability").asDouble();
        }
        assertThat(sum).isBetween(0.9, 1.0001);
    }

    @Test
    void readingsThatCannotBothBeRightAreNamed() {
        String visit = ines.job("no heat");
        ines.add(visit, entry("READING", "test", "v.SEC.standby", "reading", "0.1"));
        ines.add(visit, entry("READING", "test", "v.R.standby", "reading", "27.2"));
        JsonNode found = ines.add(visit, entry("READING", "test", "v.HLI.standby", "reading", "27.1")).json().get("page")
                .get("contradictions");
        assertThat(found.size()).isGreaterThanOrEqualTo(1);
        assertThat(found.get(0).get("test").get("id").asString()).startsWith("v.");
    }

    @Test
    void onlyTheLeadSetsThePolicyAndItCountsAtOnce() {
        Map<String, Object> strict = Map.of("labourPerMinute", 2.0, "tripCost", 120, "mistakeCost", 400, "school", "STRICT", "notAllowed",
                List.of("SUBSTITUTE", "TRY"));
        assertThat(ines.post("/api/policy", strict).status()).isEqualTo(403);
        Client odile = server.logIn("odile");
        Map<String, Object> before = Map.of("labourPerMinute", 1.5, "tripCost", 90, "mistakeCost", 400, "school", "STRICT", "notAllowed", List.of());
        try {
            assertThat(odile.post("/api/policy", strict).status()).isEqualTo(200);
            String visit = ines.job("no heat");
            JsonNode others = ines.get("/api/visits/" + visit).json().get("page").get("others");
            for (JsonNode test : others) {
                assertThat(test.get("id").asString()).doesNotStartWith("new.").doesNotStartWith("try-");
            }
            assertThat(odile.post("/api/policy", Map.of("labourPerMinute", -1, "tripCost", 90, "mistakeCost", 400, "school", "STRICT", "notAllowed",
                    List.of())).status()).isEqualTo(422);
        } finally {
            odile.post("/api/policy", before);
        }
    }
}
