package bricksignal.bench.server;

import bricksignal.packs.Composition;
import bricksignal.packs.PackLibrary;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collections;
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
 * {@code bin/bench anywhere [--units N] [--people N] [--each N]}: readings that no test foresees. So many units of all families and
 * compositions, each with an open visit; so many people at once enter readings at random points and moments of them, the first of a unit
 * counted apart. The heap is that of {@code bin/start}; what of its old generation is in use after a collection is told after each
 * quarter: it must not grow.
 */
public final class AnywhereBench {

    private static final int QUARTERS = 4;
    private static final int UNPROCESSABLE = 422;

    private final Times first = new Times();
    private final Times further = new Times();
    private final Times opened = new Times();
    private final AtomicInteger errors = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();

    private AnywhereBench() {
    }

    private record Open(String path, JsonNode points, JsonNode moments) {
    }

    public static Map<String, Object> run(long seed, int units, int people, int each) {
        try (Application application = Application.start()) {
            return new AnywhereBench().run(application, new Random(seed), units, people, each);
        }
    }

    private Map<String, Object> run(Application application, Random random, int units, int people, int each) {
        Person ines = Person.loggedIn(application.url(), "ines");
        List<Composition> compositions = new ArrayList<>(PackLibrary.compositions());
        Collections.shuffle(compositions, random);
        List<Open> all = new ArrayList<>();
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("oldMbAtFirst", oldMb(application));
        for (int i = 0; i < units; i++) {
            all.add(open(ines, compositions.get(i % compositions.size()), i));
        }
        figures.put("oldMbOpened", oldMb(application));
        for (int quarter = 1; quarter <= QUARTERS; quarter++) {
            int from = units * (quarter - 1) / QUARTERS;
            read(application, all.subList(from, units * quarter / QUARTERS), people, each, random.nextLong());
            figures.put("oldMbAfter" + quarter, oldMb(application));
        }
        figures.put("alive", application.alive());
        figures.put("errors", errors.get());
        figures.put("refused", refused.get());
        figures.put("residentMb", application.residentMb());
        figures.put("openP95Ms", opened.percentile(95));
        figures.put("readings", first.count() + further.count());
        figures.put("firstP50Ms", first.percentile(50));
        figures.put("firstP95Ms", first.percentile(95));
        figures.put("furtherP50Ms", further.percentile(50));
        figures.put("furtherP95Ms", further.percentile(95));
        figures.put("mostMs", Math.max(first.most(), further.most()));
        Times quiet = new Times();
        Random points = new Random(random.nextLong());
        all.stream().limit(60).forEach(one -> {
            reading(ines, one, points, new Times());
            reading(ines, one, points, quiet);
        });
        figures.put("aloneP50Ms", quiet.percentile(50));
        figures.put("aloneP95Ms", quiet.percentile(95));
        figures.forEach((name, value) -> System.out.printf("%-20s %s%n", name, value instanceof Double d ? String.format("%.1f", d) : value));
        return figures;
    }

    private Open open(Person person, Composition composition, int i) {
        Person.Reply unit = person.post("/api/units", Map.of("siteName", "Site " + i, "label", "Unit " + i, "location", "here",
                "pack", composition.family(), "choices", composition.choices()));
        String path = "/api/visits/" + person.post("/api/jobs", Map.of("unitId", unit.json().get("id").asString(), "complaint", "bench")).json()
                .get("id").asString();
        Person.Reply page = BoardsBench.patiently(() -> person.get(path));
        if (!page.good()) {
            throw new IllegalStateException("unit " + i + " of " + composition.family() + ": " + unit.body() + page.body());
        }
        opened.add(page.ms());
        return new Open(path, page.json().get("unit").get("points"), page.json().get("unit").get("moments"));
    }

    private void read(Application application, List<Open> some, int people, int each, long seed) {
        ExecutorService all = Executors.newFixedThreadPool(people);
        for (int p = 0; p < people; p++) {
            int number = p;
            all.execute(() -> {
                Person person = Person.loggedIn(application.url(), "ines");
                Random random = new Random(seed + number);
                for (int i = number; i < some.size(); i += people) {
                    for (int n = 0; n < each; n++) {
                        reading(person, some.get(i), random, n == 0 ? first : further);
                    }
                }
            });
        }
        all.shutdown();
        try {
            all.awaitTermination(30, TimeUnit.MINUTES);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void reading(Person person, Open visit, Random random, Times times) {
        int red = random.nextInt(visit.points().size());
        int black = (red + 1 + random.nextInt(visit.points().size() - 1)) % visit.points().size();
        JsonNode moment = visit.moments().get(random.nextInt(visit.moments().size()));
        Person.Reply reply = BoardsBench.patiently(() -> person.post(visit.path() + "/log", Person.entry("FREE_READING", "red",
                visit.points().get(red).get("net").asString(), "black", visit.points().get(black).get("net").asString(), "mode",
                random.nextInt(4) == 0 ? "DC_VOLTS" : "AC_VOLTS", "moment", moment.get("id").asString(), "reading",
                String.valueOf(random.nextInt(28)))));
        if (reply.status() == UNPROCESSABLE) {
            refused.incrementAndGet();  // a point that no probe may touch live: told so, as it should
            return;
        }
        times.add(reply.ms());
        if (!reply.good() && errors.incrementAndGet() <= 5) {
            System.out.println("error " + reply.status() + ": " + reply.body());
        }
    }

    private static List<String> cells(String line) {
        return List.of(line.trim().split("\\s+", -1));
    }

    /** Megabytes of the old generation that are in use after a collection, by the tools of the JDK. */
    private static double oldMb(Application application) {
        try {
            String pid = String.valueOf(application.java().get(0));
            new ProcessBuilder("jcmd", pid, "GC.run").redirectErrorStream(true).start().getInputStream().readAllBytes();
            List<String> lines = new String(new ProcessBuilder("jstat", "-gc", pid).start().getInputStream().readAllBytes()).lines().toList();
            return Double.parseDouble(cells(lines.get(1)).get(cells(lines.get(0)).indexOf("OU"))) / 1024;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (IndexOutOfBoundsException gone) {
            return Double.NaN;
        }
    }
}
