package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.AutoClose;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Nothing is held in memory that another instance, or the same one after a restart, would miss. */
class RestartTest {

    private static final int TIMES_AWAY = 2;
    private static final int JOBS_OF_THE_DEMO = 22;

    @AutoClose
    private static final Cluster CLUSTER = Cluster.create();

    private static final List<Integer> JOBS_AT_FIRST = new ArrayList<>();

    @BeforeAll
    static void twoInstancesStartTogetherOnAnEmptyDatabase() {
        CompletableFuture<RunningServer.Instance> other = CompletableFuture.supplyAsync(() -> RunningServer.Instance.on(CLUSTER));
        try (RunningServer.Instance first = RunningServer.Instance.on(CLUSTER); RunningServer.Instance second = other.join()) {
            Stream.of(first, second).forEach(instance -> JOBS_AT_FIRST.add(instance.logIn("odile").jobs().size()));
        }
    }

    @Test
    void demoDataAreLoadedOnceByWhicheverComesFirst() {
        assertThat(JOBS_AT_FIRST).containsExactly(JOBS_OF_THE_DEMO, JOBS_OF_THE_DEMO);
    }

    @Test
    void visitAndSessionSurviveARestartAndTwoInstancesAgree() {
        Client ines;
        String visit;
        JsonNode before;
        int jobs;
        try (RunningServer.Instance first = RunningServer.Instance.on(CLUSTER)) {
            ines = first.logIn("ines");
            visit = ines.job("no heat");
            before = ines.add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL")).json();
            jobs = first.logIn("odile").jobs().size();
        }
        CLUSTER.stop();
        CLUSTER.start();
        try (RunningServer.Instance second = RunningServer.Instance.on(CLUSTER);
                RunningServer.Instance third = RunningServer.Instance.on(CLUSTER)) {
            JsonNode after = ines.at(second.url()).get("/api/visits/" + visit).json();
            assertThat(after.get("page")).isEqualTo(before.get("page"));
            ines.at(second.url()).add(visit, entry("ANSWER", "test", "see-glow", "yes", false));
            assertThat(ines.at(third.url()).get("/api/visits/" + visit).json().get("page").get("log")).hasSize(2);
            assertThat(second.logIn("odile").jobs()).as("no demo data are added").hasSize(jobs);
        }
    }

    /** What the runs of a composition showed is kept; what does not fit is run anew. */
    @Test
    void compositionThatWasRunIsNotRunAgainAndRecordsOfAnotherUnitAreNotBelieved() {
        Database database = new Database(CLUSTER);
        String visit;
        JsonNode before;
        try (RunningServer.Instance first = RunningServer.Instance.on(CLUSTER)) {
            Client ines = first.logIn("ines");
            String unit = ines.post("/api/units", Map.of("siteName", "Shed", "label", "Air handler", "location", "loft", "pack",
                    "f9-airhandler", "choices", Map.of("voltage", "two-legs"))).json().get("id").asString();
            visit = ines.jobAt(unit, "no air");
            before = ines.opened(visit).get("page");
        }
        assertThat(database.column("select engine from pack_records")).singleElement().asString().hasSize(64);
        database.run("update pack_records set content = ?", "nothing of this unit");
        try (RunningServer.Instance second = RunningServer.Instance.on(CLUSTER)) {
            assertThat(second.logIn("ines").opened(visit).get("page").equals(before)).isTrue();
        }
        assertThat(database.column("select content from pack_records")).as("made anew").singleElement().asString().hasSizeGreaterThan(1000);
        try (RunningServer.Instance third = RunningServer.Instance.on(CLUSTER)) {
            assertThat(third.logIn("ines").opened(visit).get("page").equals(before)).as("with the records").isTrue();
        }
    }

    /** Not once, and not the second time either, when every connection of the pool was used a moment ago. */
    @Test
    void databaseGoingAwayDuringASaveLosesNothing() {
        try (RunningServer.Instance server = RunningServer.Instance.on(CLUSTER)) {
            Client ines = server.logIn("ines");
            for (int time = 1; time <= TIMES_AWAY; time++) {
                String visit = ines.job("no heat");
                Map<String, Object> reading = entry("READING", "test", "ohms-igniter", "reading", "OL");
                CLUSTER.stop();
                Client.Reply away = ines.add(visit, reading);
                assertThat(away.status()).isEqualTo(503);
                assertThat(away.type()).startsWith("application/problem+json");
                assertThat(away.detail()).contains("Nothing is lost");
                CLUSTER.start();
                assertThat(ines.add(visit, reading).status()).as("time %d", time).isEqualTo(200);
                assertThat(ines.get("/api/visits/" + visit).json().get("page").get("log")).hasSize(1);
            }
        }
    }
}
