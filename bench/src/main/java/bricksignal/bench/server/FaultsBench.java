package bricksignal.bench.server;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

/**
 * {@code bin/bench faults --kills N}: people post entries and send each again until the server says that it has it, as the outbox
 * does, while the application and the database are killed (kill -9) at random moments. At the end every entry must stand in its log
 * once.
 */
public final class FaultsBench {

    private static final int PEOPLE = 6;
    private static final int LONGEST_SECONDS = 60;
    private static final int PAUSE_MS = 400;

    private final List<Set<String>> sent = new ArrayList<>();
    private final List<String> visits = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger bad = new AtomicInteger();
    private volatile boolean over;

    private FaultsBench() {
    }

    public static Map<String, Object> run(long seed, int kills) {
        try (Application application = Application.start()) {
            return new FaultsBench().run(application, seed, kills);
        }
    }

    private Map<String, Object> run(Application application, long seed, int kills) {
        List<Thread> threads = new ArrayList<>();
        Person first = Person.loggedIn(application.url(), "ines");
        JsonNode sites = first.get("/api/sites").json();
        for (int i = 0; i < PEOPLE; i++) {
            visits.add(first.post("/api/jobs", Map.of("unitId", LoadBench.unitOf(sites, Truth.families().get(i
                    % Truth.families().size())), "complaint", "faults")).json().get("id").asString());
            sent.add(Collections.synchronizedSet(new TreeSet<>()));
            int number = i;
            Thread thread = new Thread(() -> post(application.url(), number));
            threads.add(thread);
            thread.start();
        }
        Random random = new Random(seed);
        Times back = new Times();
        int late = 0;
        for (int kill = 0; kill < kills; kill++) {
            Application.sleep(200 + random.nextInt(2500));
            boolean database = random.nextBoolean();
            List<Long> victims = database ? application.postmaster() : application.java();
            victims.forEach(pid -> kill(pid));
            double ms = firstGoodAnswer(application.url(), visits.get(kill % PEOPLE));
            back.add(ms);
            late += ms > 15_000 ? 1 : 0;
            System.out.printf("kill %d of the %s: first good answer after %.1f s%n", kill + 1, database ? "database" : "application",
                    ms / 1000);
        }
        over = true;
        threads.forEach(thread -> {
            try {
                thread.join(LONGEST_SECONDS * 1000L);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        return told(application, kills, back, late);
    }

    private Map<String, Object> told(Application application, int kills, Times back, int late) {
        application.waitUntilReady(LONGEST_SECONDS);
        Person ines = Person.loggedIn(application.url(), "ines");
        int lost = 0;
        int doubled = 0;
        int all = 0;
        for (int i = 0; i < PEOPLE; i++) {
            List<String> log = new ArrayList<>();
            ines.get("/api/visits/" + visits.get(i)).json().get("page").get("log").forEach(l -> log.add(l.get("id").asString()));
            Set<String> once = new TreeSet<>(log);
            doubled += log.size() - once.size();
            Set<String> missing = new TreeSet<>(sent.get(i));
            missing.removeAll(once);
            lost += missing.size();
            all += sent.get(i).size();
        }
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("kills", kills);
        figures.put("entries", all);
        figures.put("lost", lost);
        figures.put("doubled", doubled);
        figures.put("answersOf500", bad.get());
        figures.put("backMedianSeconds", back.percentile(50) / 1000);
        figures.put("backMostSeconds", back.most() / 1000);
        figures.put("laterThan15Seconds", late);
        figures.forEach((name, value) -> System.out.printf("%-20s %s%n", name, value));
        return figures;
    }

    /** Posts entries one after the other; each is sent until the server has it. */
    private void post(String url, int number) {
        Person person = Person.loggedIn(url, "ines");
        String path = "/api/visits/" + visits.get(number) + "/log";
        while (!over) {
            Map<String, Object> entry = Person.entry("NOTE", "text", "entry of " + number);
            for (boolean had = false; !had;) {
                Person.Reply reply = person.post(path, entry);
                had = reply.good();
                if (reply.status() == 401 || reply.status() == 403) {
                    person = Person.loggedIn(url, "ines");
                } else if (!had) {
                    if (reply.status() == 500) {
                        bad.incrementAndGet();
                        System.out.println("500: " + reply.body());
                    }
                    Application.sleep(100);
                }
            }
            sent.get(number).add((String) entry.get("id"));
            Application.sleep(PAUSE_MS);
        }
    }

    private static double firstGoodAnswer(String url, String visit) {
        long began = System.nanoTime();
        Application.sleep(50);
        while ((System.nanoTime() - began) / 1e9 < LONGEST_SECONDS) {
            try {
                if (Person.loggedIn(url, "ines").get("/api/visits/" + visit).good()) {
                    return (System.nanoTime() - began) / 1e6;
                }
            } catch (RuntimeException away) {
                // asked again
            }
            Application.sleep(50);
        }
        return LONGEST_SECONDS * 1000.0;
    }

    private static void kill(long pid) {
        try {
            new ProcessBuilder("kill", "-9", String.valueOf(pid)).start().waitFor();
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
