package bricksignal.server.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** A supplier that answers, is slow, talks nonsense, or is not there. */
@Timeout(20)
class HttpSupplierTest {

    private static HttpServer answering(int status, String body) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/parts", exchange -> {
            try (exchange) {
                byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
                exchange.getResponseHeaders().set("Content-Type", "application/json");
                exchange.sendResponseHeaders(status, bytes.length);
                exchange.getResponseBody().write(bytes);
            }
        });
        server.start();
        return server;
    }

    private static String url(int port) {
        return "http://" + InetAddress.getLoopbackAddress().getHostAddress() + ":" + port;
    }

    @Test
    void standInGivesTheSamePartTheSamePriceAndSaysWhenItIsThere() throws IOException {
        try (StandInSupplier standIn = StandInSupplier.started()) {
            Supplier supplier = new HttpSupplier(standIn.url());
            List<Supplier.OnShelf> shelf = supplier.ask("f1-furnace", List.of("igniter", "board", "fuse"));
            assertThat(shelf).extracting(Supplier.OnShelf::part).containsExactly("igniter", "board", "fuse");
            assertThat(shelf).allSatisfy(one -> assertThat(one.price()).isPositive());
            assertThat(shelf).allSatisfy(one -> assertThat(one.hours() > 2).as("what is not on the shelf has to come").isEqualTo(one.pieces() == 0));
            assertThat(supplier.ask("f1-furnace", List.of("igniter"))).containsExactly(shelf.get(0));
        }
    }

    @Test
    void whatMakesNoSenseIsLeftOut() throws IOException {
        HttpServer server = answering(200, "[{\"part\":\"igniter\",\"price\":-3,\"pieces\":1,\"hours\":1},{\"part\":\"other\",\"price\":3,\"pieces\":1,\"hours\":1},"
                + "{\"part\":\"fuse\",\"price\":3,\"pieces\":2,\"hours\":1}]");
        assertThat(new HttpSupplier(url(server.getAddress().getPort())).ask("f1-furnace", List.of("igniter", "fuse"))).extracting(Supplier.OnShelf::part)
                .containsExactly("fuse");
        server.stop(0);
    }

    @Test
    void nonsenseAndErrorsAreToldAsSuch() throws IOException {
        for (HttpServer server : List.of(answering(200, "<html>"), answering(500, "[]"), answering(404, "{}"))) {
            Supplier supplier = new HttpSupplier(url(server.getAddress().getPort()));
            assertThatThrownBy(() -> supplier.ask("f1-furnace", List.of("igniter"))).isInstanceOf(SupplierAway.class).hasMessageContaining("not as agreed");
            server.stop(0);
        }
    }

    @Test
    void nobodyThereAndNobodyAnsweringIsTold() throws IOException {
        int free;
        try (ServerSocket socket = new ServerSocket(0)) {
            free = socket.getLocalPort();
        }
        assertThatThrownBy(() -> new HttpSupplier(url(free)).ask("f1-furnace", List.of("igniter"))).isInstanceOf(SupplierAway.class).hasMessageContaining("did not answer");
        try (ServerSocket silent = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            long start = System.nanoTime();
            assertThatThrownBy(() -> new HttpSupplier(url(silent.getLocalPort())).ask("f1-furnace", List.of("igniter"))).isInstanceOf(SupplierAway.class)
                    .hasMessageContaining("did not answer");
            assertThat(Duration.ofNanos(System.nanoTime() - start)).as("it gives up").isLessThan(Duration.ofSeconds(15));
        }
    }
}
