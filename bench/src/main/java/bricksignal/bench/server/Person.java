package bricksignal.bench.server;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody who is logged in: a session, its token, JSON. */
final class Person {

    static final JsonMapper JSON = JsonMapper.builder().build();

    private static final Duration LONGEST = Duration.ofSeconds(120);

    /** One for all: thousands of people, not thousands of selector threads. */
    private static final HttpClient HTTP = HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(10)).build();

    private final String base;
    private final Map<String, String> cookies = new LinkedHashMap<>();

    private Person(String base) {
        this.base = base;
    }

    /** What came back; status 0 where nothing did. */
    record Reply(int status, String body, double ms, int bytes) {
        JsonNode json() {
            return JSON.readTree(body);
        }

        boolean good() {
            return status >= 200 && status < 300;
        }
    }

    static Person loggedIn(String base, String login) {
        Person person = new Person(base);
        person.logIn(login);
        return person;
    }

    void logIn(String login) {
        get("/api/me");
        send(builder("/api/login").header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("username=" + login + "&password=skerrow")));
        get("/api/me");
    }

    static boolean healthy(String base) {
        try {
            HttpResponse<String> answer = HTTP.send(HttpRequest.newBuilder(URI.create(base
                    + "/actuator/health")).timeout(Duration.ofSeconds(2)).build(), HttpResponse.BodyHandlers.ofString());
            return answer.statusCode() == 200 && answer.body().contains("\"status\":\"UP\"");
        } catch (IOException away) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    Reply get(String path) {
        return send(builder(path).header("Accept-Encoding", "gzip").GET());
    }

    Reply post(String path, Object body) {
        return postText(path, "application/json", body instanceof String text ? text : JSON.writeValueAsString(body));
    }

    Reply postText(String path, String type, String body) {
        return send(builder(path).header("Content-Type", type).header("Accept-Encoding", "gzip")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** An entry with a new id. */
    static Map<String, Object> entry(String kind, Object... more) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", UUID.randomUUID().toString());
        entry.put("madeAt", System.currentTimeMillis());
        entry.put("kind", kind);
        for (int i = 0; i < more.length; i += 2) {
            entry.put((String) more[i], more[i + 1]);
        }
        return entry;
    }

    private HttpRequest.Builder builder(String path) {
        StringBuilder all = new StringBuilder();
        cookies.forEach((name, value) -> all.append(all.isEmpty() ? "" : "; ").append(name).append('=').append(value));
        HttpRequest.Builder builder = HttpRequest.newBuilder(URI.create(base + path)).timeout(LONGEST)
                .header("X-XSRF-TOKEN", cookies.getOrDefault("XSRF-TOKEN", ""));
        return all.isEmpty() ? builder : builder.header("Cookie", all.toString());
    }

    private Reply send(HttpRequest.Builder request) {
        long began = System.nanoTime();
        try {
            HttpResponse<byte[]> answer = HTTP.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            double ms = (System.nanoTime() - began) / 1e6;
            answer.headers().allValues("Set-Cookie").forEach(this::keep);
            byte[] body = answer.body();
            boolean zipped = answer.headers().firstValue("Content-Encoding").orElse("").equals("gzip");
            return new Reply(answer.statusCode(), zipped ? unzipped(body) : new String(body), ms, body.length);
        } catch (IOException away) {
            return new Reply(0, String.valueOf(away.getMessage()), (System.nanoTime() - began) / 1e6, 0);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return new Reply(0, "stopped", 0, 0);
        }
    }

    private static String unzipped(byte[] body) throws IOException {
        try (var in = new java.util.zip.GZIPInputStream(new java.io.ByteArrayInputStream(body))) {
            return new String(in.readAllBytes());
        }
    }

    private void keep(String cookie) {
        String pair = cookie.split(";", 2)[0];
        int equals = pair.indexOf('=');
        if (equals > 0) {
            cookies.put(pair.substring(0, equals), pair.substring(equals + 1));
        }
    }
}
