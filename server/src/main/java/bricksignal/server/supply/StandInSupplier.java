package bricksignal.server.supply;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.web.util.UriComponentsBuilder;
import tools.jackson.databind.json.JsonMapper;

/**
 * A small supplier on a free port of this machine, with invented prices and shelves: the same part always costs the same.
 */
final class StandInSupplier implements AutoCloseable {

    private static final int CHEAPEST = 12;
    private static final int DEAREST = 260;
    private static final int MOST_PIECES = 5;
    private static final double COUNTER_HOURS = 1.5;
    private static final double ORDER_HOURS = 26;
    private static final int OK = 200;

    private final HttpServer server;
    private final JsonMapper json = JsonMapper.shared();

    private StandInSupplier(HttpServer server) {
        this.server = server;
    }

    static StandInSupplier started() throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        StandInSupplier made = new StandInSupplier(server);
        server.createContext("/parts", made::answer);
        server.start();
        return made;
    }

    String url() {
        return "http://" + server.getAddress().getAddress().getHostAddress() + ":" + server.getAddress().getPort();
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            byte[] body = json.writeValueAsBytes(shelf(exchange.getRequestURI()));
            exchange.getResponseHeaders().set("Content-Type", MediaType.APPLICATION_JSON_VALUE);
            exchange.sendResponseHeaders(OK, body.length);
            exchange.getResponseBody().write(body);
        }
    }

    private static List<Map<String, Object>> shelf(URI asked) {
        Map<String, List<String>> query = UriComponentsBuilder.fromUri(asked).build().getQueryParams();
        String family = String.join("", query.getOrDefault("family", List.of()));
        Stream<String> parts = query.getOrDefault("part", List.of()).stream();
        return parts.map(part -> {
            RandomGenerator invented = RandomGeneratorFactory.of("L64X128MixRandom").create((family + "/" + part).hashCode());
            int pieces = invented.nextInt(MOST_PIECES);
            return Map.<String, Object>of("part", part, "price", CHEAPEST + invented.nextInt(DEAREST - CHEAPEST), "pieces", pieces, "hours",
                    pieces > 0 ? COUNTER_HOURS : ORDER_HOURS);
        }).toList();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
