package bricksignal.bench.server;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

/**
 * {@code bin/bench load --technicians N --think SECONDS --seconds N [--warm SECONDS] [--family ID]}: each technician has a session and
 * opens a visit of its own, the five families one after the other (or one family), and reads what the screen reads: the visit and the
 * checks before power when it opens, after a reading nothing but its answer (the page is in it), the way of the power once in a visit,
 * the repairs at its end. It thinks after each reading, and opens the next visit when nothing is asked any more. Before, two people
 * work without a pause until the application is warm: while all cores are busy its compiler gets no turn, and what is measured then is
 * the interpreter. The clock begins when all have logged in (a password is slow to check, on purpose); the first quarter of the time is
 * not counted. Client, server and database share the machine's cores; as a reference, the same people first ask as fast as they can for
 * what costs nothing but the way (who am I).
 */
public final class LoadBench {

    private static final int REFERENCE_SECONDS = 10;
    private static final int WARMERS = 2;
    private static final int LOOKS_AT_THE_POWER_AFTER = 3;

    private final List<String> families;

    private final Times readings = new Times();
    private final Times pages = new Times();
    private final Times sizes = new Times();
    private final AtomicInteger errors = new AtomicInteger();
    private final AtomicInteger plainAnswers = new AtomicInteger();
    private volatile boolean plainOver;
    private volatile boolean counts;
    private volatile boolean over;
    private double countedSeconds;

    private LoadBench(List<String> families) {
        this.families = families;
    }

    /** Runs it; an empty family stands for all. */
    public static Map<String, Object> run(long seed, int technicians, double think, int seconds, int warm, String family) {
        List<String> families = family.isEmpty() ? Truth.families() : List.of(family);
        try (Application application = Application.start()) {
            new LoadBench(families).work(application.url(), seed - 1, WARMERS, 0, warm);
            return new LoadBench(families).run(application.url(), seed, technicians, think, seconds);
        }
    }

    private Map<String, Object> run(String url, long seed, int technicians, double think, int seconds) {
        double plain = work(url, seed, technicians, think, seconds);
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("technicians", technicians);
        figures.put("errors", errors.get());
        figures.put("plainPerSecond", plain);
        figures.put("readings", readings.count());
        figures.put("readingsPerSecond", readings.count() / countedSeconds);
        figures.put("requestsPerSecond", (readings.count() + pages.count()) / countedSeconds);
        figures.put("readingP50Ms", readings.percentile(50));
        figures.put("readingP95Ms", readings.percentile(95));
        figures.put("readingMostMs", readings.most());
        figures.put("pageP95Ms", pages.percentile(95));
        figures.put("answerP95Kb", sizes.percentile(95) / 1024);
        figures.put("answerMostKb", sizes.most() / 1024);
        figures.forEach((name, value) -> System.out.printf("%-20s %s%n", name, value instanceof Double d
                ? String.format("%.2f", d) : value));
        return figures;
    }

    /** Lets people work; how many plain questions a second they got answered before. */
    private double work(String url, long seed, int technicians, double think, int seconds) {
        List<Thread> threads = new ArrayList<>();
        CountDownLatch logins = new CountDownLatch(technicians);
        for (int i = 0; i < technicians; i++) {
            int number = i;
            Thread thread = new Thread(() -> technician(url, number, new Random(seed * 1009 + number), think, logins));
            threads.add(thread);
            thread.start();
        }
        await(logins);
        Application.sleep(1000L * REFERENCE_SECONDS);
        double plain = plainAnswers.get() / (double) REFERENCE_SECONDS;
        plainOver = true;
        Application.sleep(250L * seconds);
        counts = true;
        long began = System.nanoTime();
        Application.sleep(750L * seconds);
        countedSeconds = (System.nanoTime() - began) / 1e9;
        over = true;
        for (Thread thread : threads) {
            try {
                thread.join(30_000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        return plain;
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void technician(String url, int number, Random random, double think, CountDownLatch logins) {
        Person person = Person.loggedIn(url, number % 2 == 0 ? "ines" : "tobin");
        logins.countDown();
        await(logins);
        while (!plainOver) {
            if (good(person.get("/api/me")) && !plainOver) {
                plainAnswers.incrementAndGet();
            }
        }
        Application.sleep((long) (1000 * think * random.nextDouble()));
        JsonNode sites = person.get("/api/sites").json();
        for (int visit = 0; !over; visit++) {
            String family = families.get((number + visit) % families.size());
            visit(person, unitOf(sites, family), Truth.drawn(family, random), think);
        }
    }

    static String unitOf(JsonNode sites, String family) {
        for (JsonNode site : sites) {
            for (JsonNode unit : site.get("units")) {
                if (unit.get("pack").asString().equals(family)) {
                    return unit.get("id").asString();
                }
            }
        }
        throw new IllegalStateException("no unit of " + family + " in the demo");
    }

    private void visit(Person person, String unit, Truth truth, double think) {
        Person.Reply made = person.post("/api/jobs", Map.of("unitId", unit, "complaint", "bench"));
        if (!good(made)) {
            return;
        }
        String path = "/api/visits/" + made.json().get("id").asString();
        Person.Reply opened = read(person, path);
        if (!opened.good()) {
            return;
        }
        read(person, path + "/before");
        JsonNode next = opened.json().get("page").get("next");
        for (int i = 0; i < 40 && !over && next != null && !next.isNull(); i++) {
            Person.Reply reading = person.post(path + "/log", truth.entry(next.get("id").asString()));
            if (!good(reading)) {
                return;
            }
            next = reading.json().get("page").get("next");
            if (counts && !over) {
                readings.add(reading.ms());
                sizes.add(reading.bytes());
            }
            if (i == LOOKS_AT_THE_POWER_AFTER) {
                read(person, path + "/chains");
            }
            Application.sleep((long) (1000 * think));
        }
        read(person, path + "/repairs");
    }

    private Person.Reply read(Person person, String path) {
        Person.Reply reply = person.get(path);
        if (good(reply) && counts && !over) {
            pages.add(reply.ms());
        }
        return reply;
    }

    private boolean good(Person.Reply reply) {
        if (!reply.good() && !over) {
            if (errors.incrementAndGet() <= 5) {
                System.out.println("error " + reply.status() + ": " + reply.body());
            }
        }
        return reply.good();
    }
}
