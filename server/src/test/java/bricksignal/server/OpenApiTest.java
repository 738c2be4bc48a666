package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The web application's client is generated from this document, so it must be that of the server. */
@ExtendWith(RunningServer.class)
class OpenApiTest {

    @Test
    void documentInTheWebFolderIsCurrent(RunningServer.Instance server) throws IOException {
        Path file = Cluster.project().resolve("web/openapi.json");
        JsonMapper json = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        String current = json.writeValueAsString(server.logIn("ines").get("/api/openapi").json()) + "\n";
        if (Boolean.getBoolean("brick.write-openapi")) {
            Files.writeString(file, current);
        }
        assertThat(json.readTree(Files.readString(file))).as("run: mvn -pl server -am test -Dtest=OpenApiTest "
                + "-Dbrick.write-openapi=true -Dsurefire.failIfNoSpecifiedTests=false").isEqualTo(json.readTree(current));
    }
}
