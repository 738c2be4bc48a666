package bricksignal.bench.server;

import bricksignal.packs.PackLibrary;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;

/** {@code bin/bench cold}: how long the start takes, and how long sixteen people wait who open a visit right then. */
public final class ColdBench {

    private static final int PEOPLE = 16;

    private ColdBench() {
    }

    public static Map<String, Object> run() {
        try (Application application = Application.start()) {
            Times times = new Times();
            CountDownLatch go = new CountDownLatch(1);
            List<Thread> threads = new ArrayList<>();
            int[] errors = {0};
            for (int i = 0; i < PEOPLE; i++) {
                int number = i;
                Thread thread = new Thread(() -> {
                    try {
                        go.await();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                    long began = System.nanoTime();
                    Person person = Person.loggedIn(application.url(), "ines");
                    String family = PackLibrary.ids().get(number % PackLibrary.ids().size());
                    Person.Reply made = person.post("/api/jobs", Map.of("unitId", LoadBench.unitOf(person.get("/api/sites").json(),
                            family), "complaint", "cold"));
                    Person.Reply opened = made.good() ? BoardsBench.patiently(() -> person.get("/api/visits/"
                            + made.json().get("id").asString())) : made;
                    times.add((System.nanoTime() - began) / 1e6);
                    synchronized (errors) {
                        errors[0] += opened.good() ? 0 : 1;
                    }
                });
                threads.add(thread);
                thread.start();
            }
            go.countDown();
            for (Thread thread : threads) {
                try {
                    thread.join();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            }
            Map<String, Object> figures = new LinkedHashMap<>();
            figures.put("readySeconds", application.readySeconds());
            figures.put("errors", errors[0]);
            figures.put("openMedianSeconds", times.percentile(50) / 1000);
            figures.put("openMostSeconds", times.most() / 1000);
            figures.forEach((name, value) -> System.out.printf("%-20s %s%n", name, value));
            return figures;
        }
    }
}
