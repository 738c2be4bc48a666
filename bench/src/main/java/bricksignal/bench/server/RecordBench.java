package bricksignal.bench.server;

import bricksignal.packs.PackLibrary;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;

/**
 * {@code bin/bench record}: what comes after the verdict, timed on the running application: the first report as PDF after a start and those after it, the
 * report of a visit of 500 entries, the ways out recomputed after each entry that changes them, and the lead's view over so many closed visits.
 */
public final class RecordBench {

    private static final int LONG_VISIT = 500;
    private static final int LOOKS = 40;
    private static final int DAYS = 700;
    private static final int QUARTER = 91;

    private final Application application;
    private final Person ines;
    private final Person odile;
    private final Random random;

    private RecordBench(Application application, long seed) {
        this.application = application;
        this.ines = Person.loggedIn(application.url(), "ines");
        this.odile = Person.loggedIn(application.url(), "odile");
        this.random = new Random(seed);
    }

    public static Map<String, Object> run(long seed, int visits) {
        try (Application application = Application.start()) {
            Map<String, Object> figures = new RecordBench(application, seed).figures(visits);
            figures.forEach((name, value) -> System.out.printf("%-28s %s%n", name, value));
            return figures;
        }
    }

    private Map<String, Object> figures(int visits) {
        Map<String, Object> figures = new LinkedHashMap<>();
        JsonNode sites = ines.get("/api/sites").json();
        String first = opened(sites, "f1-furnace");
        Person.Reply pdf = timed(() -> ines.get("/api/visits/" + first + "/report.pdf?paper=A4"));
        figures.put("firstPdfMs", Math.round(pdf.ms()));
        tell(figures, "pdf", () -> ines.get("/api/visits/" + first + "/report.pdf?paper=A4"));
        ways(figures, sites);
        String longest = opened(sites, "f1-furnace");
        for (int i = 0; i < LONG_VISIT; i++) {
            good(ines.post("/api/visits/" + longest + "/log", i % 2 == 0 ? Person.entry("NOTE", "text", "Looked at the unit again, round " + i + ": as before.")
                    : Person.entry("READING", "test", "v.L1.standby", "reading", String.valueOf(118 + i % 5))));
        }
        tell(figures, "pdfOf" + LONG_VISIT, () -> ines.get("/api/visits/" + longest + "/report.pdf?paper=A4"));
        figures.put("pdfOf" + LONG_VISIT + "Kilobytes", ines.get("/api/visits/" + longest + "/report.pdf?paper=A4").bytes() / 1024);
        closedVisits(visits);
        LocalDate today = LocalDate.now(java.time.ZoneId.systemDefault());
        tell(figures, "leadQuarter", () -> odile.get("/api/lead/overview?from=" + today.minusDays(QUARTER) + "&to=" + today));
        tell(figures, "leadAll", () -> odile.get("/api/lead/overview?from=" + today.minusDays(DAYS) + "&to=" + today));
        tell(figures, "vanStock", () -> odile.get("/api/lead/stock"));
        return figures;
    }

    /** After each reading of a drawn unit the ways out are looked at once, as a screen does: nothing of them can be remembered. */
    private void ways(Map<String, Object> figures, JsonNode sites) {
        Times times = new Times();
        for (int round = 0; round < 2; round++) {
            for (String family : PackLibrary.ids()) {
                String visit = opened(sites, family);
                Truth truth = Truth.drawn(family, random);
                for (int step = 0; step < 6; step++) {
                    JsonNode next = ines.get("/api/visits/" + visit).json().get("page").get("next");
                    if (next == null || next.isNull()) {
                        break;
                    }
                    good(ines.post("/api/visits/" + visit + "/log", truth.entry(next.get("id").asString())));
                    double ms = timed(() -> ines.get("/api/visits/" + visit + "/ways")).ms();
                    if (round > 0) {
                        times.add(ms);
                    }
                }
            }
        }
        tell(figures, "ways", times);
    }

    private String opened(JsonNode sites, String family) {
        String visit = good(ines.post("/api/jobs", Map.of("unitId", LoadBench.unitOf(sites, family), "complaint", "bench"))).json().get("id").asString();
        BoardsBench.patiently(() -> ines.get("/api/visits/" + visit));
        return visit;
    }

    private void tell(Map<String, Object> figures, String name, Supplier<Person.Reply> asked) {
        Times times = new Times();
        for (int i = 0; i < LOOKS; i++) {
            times.add(timed(asked).ms());
        }
        tell(figures, name, times);
    }

    private static void tell(Map<String, Object> figures, String name, Times times) {
        figures.put(name + "MedianMs", Math.round(times.percentile(50)));
        figures.put(name + "P95Ms", Math.round(times.percentile(95)));
    }

    private static Person.Reply timed(Supplier<Person.Reply> asked) {
        return good(asked.get());
    }

    private static Person.Reply good(Person.Reply reply) {
        if (!reply.good()) {
            throw new IllegalStateException("answered " + reply.status() + ": " + reply.body());
        }
        return reply;
    }

    /** Invented closed visits of the units that are there, written straight into the database: a board in eight, and nearly all came back, for so few units. */
    private void closedVisits(int count) {
        application.sql("insert into visit (id, unit_id, technician_id, complaint, scheduled_on, opened_at, closed_at, outcome, decided, verdict, proven, repaired, board_changed, skipped) "
                + "select gen_random_uuid(), u.id, a.id, 'no heat', (now() - at)::date, now() - at, now() - at + interval '70 minutes', 'FIXED', 'done', 'igniter', k % 9 > 0, "
                + "'igniter', k % 8 = 0, k % 4 from generate_series(1, " + count + ") k cross join lateral (select (k * 37 % " + DAYS + " + 2) * interval '1 day' "
                + "+ (k % 600) * interval '1 minute' as at) t join lateral (select id from unit order by md5(id::text || (k % 997)) limit 1) u on true "
                + "join lateral (select id from account where role = 'TECHNICIAN' order by md5(id::text || (k % 13)) limit 1) a on true; analyze visit;");
    }
}
