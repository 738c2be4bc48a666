package bricksignal.bench.server;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

/**
 * {@code bin/bench boards --count N}: as many different boards of the five families, each typed in, on a unit of its own, with an
 * open visit: two in five change only labels, colours and charts, two in five a time as well, one in five a value of the circuit.
 * Then readings go to all of them in turn, from four people at once.
 */
public final class BoardsBench {

    private static final int ROUNDS = 3;
    private static final int PEOPLE = 4;

    private final Times readings = new Times();
    private final Times opened = new Times();
    private final AtomicInteger errors = new AtomicInteger();

    private BoardsBench() {
    }

    public static Map<String, Object> run(long seed, int count) {
        try (Application application = Application.start()) {
            return new BoardsBench().run(application, seed, count);
        }
    }

    private Map<String, Object> run(Application application, long seed, int count) {
        Person ines = Person.loggedIn(application.url(), "ines");
        Map<String, JsonNode> families = new LinkedHashMap<>();
        Truth.families().forEach(id -> families.put(id, ines.get("/api/packs/" + id + "/family").json()));
        List<String> visits = new ArrayList<>();
        List<Truth> truths = new ArrayList<>();
        Random random = new Random(seed);
        for (int i = 0; i < count; i++) {
            String family = Truth.families().get(i % families.size());
            Person.Reply saved = ines.post("/api/overlays", draft(i, family, families.get(family), random));
            Person.Reply unit = ines.post("/api/units", Map.of("siteName", "Site " + i, "label", "Unit " + i, "location", "here",
                    "pack", family, "board", "bench-" + i));
            if (!saved.good() || !unit.good()) {
                throw new IllegalStateException("board " + i + ": " + saved.body() + unit.body());
            }
            String visit = ines.post("/api/jobs", Map.of("unitId", unit.json().get("id").asString(), "complaint", "bench")).json()
                    .get("id").asString();
            opened.add(patiently(() -> ines.get("/api/visits/" + visit)).ms());
            visits.add(visit);
            truths.add(Truth.drawn(family, random));
        }
        System.out.printf("%d boards open, %.0f MB in use%n", count, application.residentMb());
        for (int round = 0; round < ROUNDS; round++) {
            rounds(application, visits, truths);
        }
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("boards", count);
        figures.put("alive", application.alive());
        figures.put("errors", errors.get());
        figures.put("residentMb", application.residentMb());
        figures.put("openP95Ms", opened.percentile(95));
        figures.put("readingP50Ms", readings.percentile(50));
        figures.put("readingP95Ms", readings.percentile(95));
        figures.put("readingMostMs", readings.most());
        figures.forEach((name, value) -> System.out.printf("%-20s %s%n", name, value));
        return figures;
    }

    private void rounds(Application application, List<String> visits, List<Truth> truths) {
        ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
        for (int p = 0; p < PEOPLE; p++) {
            int first = p;
            people.execute(() -> {
                Person person = Person.loggedIn(application.url(), "ines");
                for (int i = first; i < visits.size(); i += PEOPLE) {
                    reading(person, visits.get(i), truths.get(i));
                }
            });
        }
        people.shutdown();
        try {
            people.awaitTermination(20, TimeUnit.MINUTES);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void reading(Person person, String visit, Truth truth) {
        String path = "/api/visits/" + visit;
        Person.Reply page = patiently(() -> person.get(path));
        JsonNode next = page.good() ? page.json().get("page").get("next") : null;
        if (next != null && !next.isNull()) {
            Person.Reply reading = person.post(path + "/log", truth.entry(next.get("id").asString()));
            readings.add(reading.ms());
            errors.addAndGet(reading.good() ? 0 : 1);
        }
        errors.addAndGet(page.good() ? 0 : 1);
    }

    /** A unit on its way to be ready is waited for, as the screen does; the wait counts. */
    static Person.Reply patiently(java.util.function.Supplier<Person.Reply> ask) {
        double ms = 0;
        for (int i = 0; i < 60; i++) {
            Person.Reply reply = ask.get();
            ms += reply.ms();
            if (reply.status() != 503) {
                return new Person.Reply(reply.status(), reply.body(), ms, reply.bytes());
            }
            Application.sleep(1000);
            ms += 1000;
        }
        return new Person.Reply(503, "never ready", ms, 0);
    }

    private static Map<String, Object> draft(int i, String family, JsonNode of, Random random) {
        Map<String, Object> draft = new LinkedHashMap<>();
        draft.put("overlay", "bench-" + i);
        draft.put("family", family);
        draft.put("title", "Board " + i);
        JsonNode points = of.get("points");
        draft.put("labels", Map.of(points.get(i % points.size()).get("id").asString(), "terminal " + i));
        JsonNode chart = of.get("charts").get(0);
        String condition = chart.get("conditions").get(i % chart.get("conditions").size()).asString();
        draft.put("charts", Map.of(chart.get("board").asString(), List.of(Map.of("generation", "door " + i, "codes",
                condition.isEmpty() ? List.of(Map.of("pattern", "5 flashes", "text", "see " + i))
                : List.of(Map.of("pattern", (2 + i % 7) + " flashes", "condition", condition))))));
        JsonNode timings = of.get("timings");
        if (i % 5 >= 2 && !timings.isEmpty()) {
            JsonNode timing = timings.get(random.nextInt(timings.size()));
            draft.put("timings", Map.of(timing.get("id").asString(), timing.get("value").asDouble() * (0.9 + 0.02 * (i % 10))));
        }
        JsonNode nominals = of.get("nominals");
        if (i % 5 == 4 && !nominals.isEmpty()) {
            JsonNode nominal = nominals.get(i % nominals.size());
            draft.put("nominals", Map.of(nominal.get("id").asString(), Map.of("value", nominal.get("value").asDouble()
                    * (1 + 0.001 * i))));
        }
        return draft;
    }
}
