package bricksignal.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A browser's share of the talk: cookies, the CSRF header, JSON. */
public final class Client {

    private static final int MOST_TRIES = 60;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String base;
    private final Map<String, String> headers = new java.util.LinkedHashMap<>();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

    public Client(String base) {
        this.base = base;
    }

    /** What came back. */
    public record Reply(int status, String type, String body) {
        public JsonNode json() {
            return JSON.readTree(body);
        }

        public String detail() {
            return json().path("detail").asString("");
        }
    }

    public Client logIn(String login) {
        get("/api/me");
        Reply reply = send(request("/api/login").header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("username=" + login + "&password=skerrow")));
        if (reply.status() != 204) {
            throw new IllegalStateException("logging in: " + reply);
        }
        get("/api/me");
        return this;
    }

    /** The same session, with a header more on each request. */
    public Client with(String header, String value) {
        Client other = at(base);
        other.headers.put(header, value);
        return other;
    }

    public Reply delete(String path) {
        return send(request(path).DELETE());
    }

    /** Goes on with the session of another client, at another address. */
    public Client at(String otherBase) {
        Client other = new Client(otherBase);
        cookies.getCookieStore().getCookies().forEach(c -> other.cookies.getCookieStore().add(URI.create(otherBase), c));
        return other;
    }

    public Reply get(String path) {
        return send(request(path).GET());
    }

    public Reply post(String path, Object body) {
        String text = body instanceof String s ? s : JSON.writeValueAsString(body);
        return send(request(path).header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(text)));
    }

    public Reply put(String path, String type, byte[] body) {
        return send(request(path).header("Content-Type", type).PUT(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    public Reply put(String path, Object body) {
        return put(path, "application/json", JSON.writeValueAsBytes(body));
    }

    public Reply postText(String path, String text) {
        return send(request(path).header("Content-Type", "text/plain").POST(HttpRequest.BodyPublishers.ofString(text)));
    }

    public Reply postCsv(String path, String text) {
        return send(request(path).header("Content-Type", "text/csv").POST(HttpRequest.BodyPublishers.ofString(text)));
    }

    /** A text as JSON. */
    public static JsonNode read(String text) {
        return JSON.readTree(text);
    }

    /** What comes as bytes. */
    public byte[] bytes(String path) {
        try {
            HttpResponse<byte[]> reply = http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
            assertThat(reply.statusCode()).as(path).isEqualTo(200);
            return reply.body();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** A part of an answer, to be sent back. */
    public static Object plain(JsonNode node) {
        return JSON.treeToValue(node, Object.class);
    }

    /** Without the CSRF header. */
    public Reply postUnguarded(String path, Object body) {
        return send(HttpRequest.newBuilder(URI.create(base + path)).header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** A fresh job of this person on a furnace that nobody was at before. */
    public String job(String complaint) {
        return jobAt(newUnit("f1-furnace"), complaint);
    }

    /** A unit that nobody was at before, by id. */
    public String newUnit(String pack) {
        return post("/api/units", Map.of("siteName", "Shed", "address", "Slip 2", "label", "Unit", "location", "closet", "pack", pack)).json()
                .get("id").asString();
    }

    public String jobAt(String unit, String complaint) {
        return post("/api/jobs", Map.of("unitId", unit, "complaint", complaint)).json().get("id").asString();
    }

    /** A fresh job of this person on a unit that follows this pack. */
    public String job(String pack, String complaint) {
        String unit = "";
        for (JsonNode site : get("/api/sites").json()) {
            JsonNode first = site.get("units").get(0);
            unit = first.get("pack").asString().equals(pack) ? first.get("id").asString() : unit;
        }
        return jobAt(unit, complaint);
    }

    /** A visit on a furnace that nobody was at before: its igniter reads open. */
    public String deadIgniter(String complaint) {
        String visit = job(complaint);
        add(visit, entry("READING", "test", "ohms-igniter", "reading", "OL"));
        return visit;
    }

    /** A visit that can be opened. */
    public JsonNode opened(String visit) {
        Reply reply = get("/api/visits/" + visit);
        assertThat(reply.status()).as(reply.body()).isEqualTo(200);
        return reply.json();
    }

    /** Closed as fixed, with the safeties said to be in. */
    public Reply closeFixed(String visit, String decided) {
        add(visit, entry("SAFE", "what", "SAFETIES", "yes", true));
        add(visit, entry("SAFE", "what", "MONOXIDE", "yes", true));
        return post("/api/visits/" + visit + "/close", Map.of("outcome", "FIXED", "decided", decided));
    }

    public JsonNode jobs() {
        return get("/api/jobs?day=" + LocalDate.now()).json();
    }

    /** An entry with a new id. */
    public static Map<String, Object> entry(String kind, Object... more) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", UUID.randomUUID().toString());
        entry.put("kind", kind);
        entry.put("madeAt", 1_764_000_000_000L);
        for (int i = 0; i < more.length; i += 2) {
            entry.put((String) more[i], more[i + 1]);
        }
        return entry;
    }

    public Reply add(String visit, Map<String, Object> entry) {
        return post("/api/visits/" + visit + "/log", entry);
    }

    private HttpRequest.Builder request(String path) {
        String token = cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue).reduce((first, last) -> last).orElse("");
        HttpRequest.Builder builder = HttpRequest.newBuilder(URI.create(base + path)).header("X-XSRF-TOKEN", token);
        headers.forEach(builder::header);
        return builder;
    }

    /** Sends; a unit on its way to be ready says so, with its progress, and is asked again, as the screen does. */
    private Reply send(HttpRequest.Builder request) {
        Reply reply = sendOnce(request);
        for (int i = 0; i < MOST_TRIES && reply.status() == 503 && reply.body().contains("being made ready"); i++) {
            assertThat(reply.json().get("progress").asDouble()).isBetween(0.0, 1.0);
            reply = sendOnce(request);
        }
        return reply;
    }

    private Reply sendOnce(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Reply(response.statusCode(), response.headers().firstValue("Content-Type").orElse(""),
                    response.body());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
