package bricksignal.server;

import static bricksignal.server.Client.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

@ExtendWith(RunningServer.class)
class AuthorisationTest {

    private final RunningServer.Instance server;

    AuthorisationTest(RunningServer.Instance server) {
        this.server = server;
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/me", "/api/jobs?day=2026-11-24", "/api/sites", "/api/packs", "/api/packs/f1-furnace.yaml",
        "/api/visits/00000000-0000-0000-0000-000000000000", "/api/openapi", "/actuator", "/actuator/env", "/api/nothing"})
    void nothingIsReachableWithoutASession(String path) {
        Client.Reply reply = new Client(server.url()).get(path);
        assertThat(reply.status()).isEqualTo(401);
        assertThat(reply.type()).startsWith("application/problem+json");
    }

    @Test
    void healthIsReachable() {
        Client.Reply reply = new Client(server.url()).get("/actuator/health");
        assertThat(reply.status()).isEqualTo(200);
        assertThat(reply.json().get("status").asString()).isEqualTo("UP");
    }

    @Test
    void wrongPasswordIsToldWithoutSayingWhich() {
        Client client = new Client(server.url());
        client.get("/api/me");
        assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> client.logIn("nobody"))).hasMessageContaining("401")
                .hasMessageContaining("Login or password is wrong");
    }

    @Test
    void anotherTechniciansVisitIsNotThere() {
        String visit = server.logIn("tobin").job("private");
        Client ines = server.logIn("ines");
        assertThat(ines.get("/api/visits/" + visit).status()).isEqualTo(404);
        assertThat(ines.add(visit, entry("NOTE", "text", "hello")).status()).isEqualTo(404);
        assertThat(ines.post("/api/visits/" + visit + "/close", Map.of("outcome", "FIXED", "decided", "x")).status())
                .isEqualTo(404);
        assertThat(ines.jobs().toString()).doesNotContain(visit);
    }

    @Test
    void leadSeesAllVisits() {
        String visit = server.logIn("tobin").job("for the lead");
        Client odile = server.logIn("odile");
        assertThat(odile.get("/api/visits/" + visit).status()).isEqualTo(200);
        assertThat(odile.jobs().toString()).contains(visit);
    }

    @Test
    void postWithoutTheTokenIsRefused() {
        Client ines = server.logIn("ines");
        String visit = ines.job("guarded");
        assertThat(ines.postUnguarded("/api/visits/" + visit + "/log", entry("NOTE", "text", "x")).status()).isEqualTo(403);
    }

    @Test
    void loggedOutSessionIsGone() {
        Client ines = server.logIn("ines");
        assertThat(ines.post("/api/logout", Map.of()).status()).isEqualTo(204);
        assertThat(ines.get("/api/me").status()).isEqualTo(401);
    }
}
