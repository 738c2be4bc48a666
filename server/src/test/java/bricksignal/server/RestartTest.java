package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Nothing is held in memory that another instance, or the same one after a restart, would miss. */
class RestartTest {

    private static final int TIMES_AWAY = 2;

    @Test
    void visitAndSessionSurviveARestartAndTwoInstancesAgree() {
        try (Cluster cluster = Cluster.create()) {
            Client ines;
            String visit;
            JsonNode before;
            try (RunningServer.Instance first = RunningServer.Instance.on(cluster)) {
                ines = first.logIn("ines");
                visit = ines.job("no heat");
                before = ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL")).json();
            }
            cluster.stop();
            cluster.start();
            try (RunningServer.Instance second = RunningServer.Instance.on(cluster);
                    RunningServer.Instance third = RunningServer.Instance.on(cluster)) {
                JsonNode after = ines.at(second.url()).get("/api/visits/" + visit).json();
                assertThat(after.get("page")).isEqualTo(before.get("page"));
                ines.at(second.url()).add(visit, entry("ANSWER", "test", "see-glow", "yes", false));
                assertThat(ines.at(third.url()).get("/api/visits/" + visit).json().get("page").get("log")).hasSize(2);
                assertThat(second.logIn("odile").jobs()).as("the demo data are loaded once").hasSize(23);
            }
        }
    }

    /** The demo data are loaded by whichever comes first, once. */
    @Test
    void twoInstancesMayStartTogetherOnAnEmptyDatabase() {
        try (Cluster cluster = Cluster.create()) {
            CompletableFuture<RunningServer.Instance> other = CompletableFuture.supplyAsync(() -> RunningServer.Instance.on(cluster));
            try (RunningServer.Instance first = RunningServer.Instance.on(cluster); RunningServer.Instance second = other.join()) {
                assertThat(first.logIn("odile").jobs()).hasSize(22);
                assertThat(second.logIn("odile").jobs()).hasSize(22);
            }
        }
    }

    /** What the runs of a composition showed is kept; what does not fit is run anew. */
    @Test
    void compositionThatWasRunIsNotRunAgainAndRecordsOfAnotherUnitAreNotBelieved() {
        try (Cluster cluster = Cluster.create()) {
            Database database = new Database(cluster);
            String visit;
            JsonNode before;
            try (RunningServer.Instance first = RunningServer.Instance.on(cluster)) {
                Client ines = first.logIn("ines");
                String unit = ines.post("/api/units", Map.of("siteName", "Shed", "label", "Air handler", "location", "loft", "pack",
                        "f9-airhandler", "choices", Map.of("voltage", "two-legs"))).json().get("id").asString();
                visit = ines.jobAt(unit, "no air");
                before = ines.opened(visit).get("page");
            }
            String engine = database.column("select engine from pack_records").get(0);
            assertThat(engine).hasSize(64);
            database.run("update pack_records set content = ?", "nothing of this unit");
            try (RunningServer.Instance second = RunningServer.Instance.on(cluster)) {
                assertThat(second.logIn("ines").opened(visit).get("page").equals(before)).isTrue();
            }
            assertThat(database.column("select content from pack_records").get(0)).as("made anew").hasSizeGreaterThan(1000);
            try (RunningServer.Instance third = RunningServer.Instance.on(cluster)) {
                assertThat(third.logIn("ines").opened(visit).get("page").equals(before)).as("with the records").isTrue();
            }
        }
    }

    /** Not once, and not the second time either, when every connection of the pool was used a moment ago. */
    @Test
    void databaseGoingAwayDuringASaveLosesNothing() {
        try (Cluster cluster = Cluster.create(); RunningServer.Instance server = RunningServer.Instance.on(cluster)) {
            Client ines = server.logIn("ines");
            for (int time = 1; time <= TIMES_AWAY; time++) {
                String visit = ines.job("no heat");
                Map<String, Object> reading = entry("READING", "test", "ohms-igniter", "reading", "OL");
                cluster.stop();
                Client.Reply away = ines.add(visit, reading);
                assertThat(away.status()).isEqualTo(503);
                assertThat(away.type()).startsWith("application/problem+json");
                assertThat(away.detail()).contains("Nothing is lost");
                cluster.start();
                assertThat(ines.add(visit, reading).status()).as("time %d", time).isEqualTo(200);
                assertThat(ines.get("/api/visits/" + visit).json().get("page").get("log")).hasSize(1);
            }
        }
    }
}
