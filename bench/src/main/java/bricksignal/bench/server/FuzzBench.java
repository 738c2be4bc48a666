package bricksignal.bench.server;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/**
 * {@code bin/bench fuzz --seed N --bodies N}: bodies that were good once and are spoilt in one to three places, to every address that
 * takes one: entries, recordings, overlays, packs, jobs, units, closing, policy, identification. No answer may be 5xx, none may
 * take five seconds.
 */
public final class FuzzBench {

    private static final double LONGEST_MS = 5000;

    private final Random random;
    private final Map<Integer, Integer> statuses = new TreeMap<>();
    private final List<String> bad = new ArrayList<>();
    private final Times times = new Times();
    private int slow;

    private FuzzBench(long seed) {
        this.random = new Random(seed);
    }

    public static Map<String, Object> run(long seed, int bodies) {
        try (Application application = Application.start()) {
            return new FuzzBench(seed).run(application, bodies);
        }
    }

    /** Where a body goes, as what. */
    private record Target(String path, String type, Object good) {
    }

    private Map<String, Object> run(Application application, int bodies) {
        Person ines = Person.loggedIn(application.url(), "ines");
        Person odile = Person.loggedIn(application.url(), "odile");
        String unit = LoadBench.unitOf(ines.get("/api/sites").json(), "f1-furnace");
        List<Target> targets = new ArrayList<>();
        String visit = "";
        for (int i = 0; i < bodies; i++) {
            if (i % 150 == 0) {
                visit = ines.post("/api/jobs", Map.of("unitId", unit, "complaint", "fuzz")).json().get("id").asString();
                targets = targets(visit, unit, ines);
            }
            Target target = targets.get(random.nextInt(targets.size()));
            boolean json = target.type().equals("application/json");
            String body = json ? spoiltJson(target.good()) : spoiltText((String) target.good());
            Person.Reply reply = (target.path().equals("/api/policy") ? odile : ines).postText(target.path(), target.type(), body);
            statuses.merge(reply.status(), 1, Integer::sum);
            times.add(reply.ms());
            slow += reply.ms() > LONGEST_MS ? 1 : 0;
            if (reply.status() >= 500 || reply.status() == 0 || reply.ms() > LONGEST_MS) {
                note(target, body, reply);
            }
            if (reply.good() && target.path().equals("/api/policy")) {
                odile.post("/api/policy", Map.of("labourPerMinute", 1.5, "tripCost", 90, "mistakeCost", 400, "notAllowed", List.of()));
            }
        }
        readable(ines, visit);
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("bodies", bodies);
        figures.put("answers", statuses);
        figures.put("answers5xx", statuses.entrySet().stream().filter(e -> e.getKey() >= 500).mapToInt(Map.Entry::getValue).sum());
        figures.put("noAnswer", statuses.getOrDefault(0, 0));
        figures.put("over5Seconds", slow);
        figures.put("p99Ms", times.percentile(99));
        figures.put("mostMs", times.most());
        figures.put("alive", application.alive());
        figures.forEach((name, value) -> System.out.printf("%-20s %s%n", name, value));
        return figures;
    }

    private void note(Target target, String body, Person.Reply reply) {
        String line = reply.status() + " after " + Math.round(reply.ms()) + " ms at " + target.path() + ": " + body.substring(0,
                Math.min(300, body.length())).replace("\n", "\\n") + " -> " + reply.body().substring(0, Math.min(200,
                reply.body().length()));
        if (bad.size() < 40) {
            bad.add(line);
            System.out.println(line);
        }
    }

    /** What was accepted can be read again. */
    private void readable(Person person, String visit) {
        for (String detail : new String[] {"", "/chains", "/before", "/plan", "/repairs"}) {
            Person.Reply reply = person.get("/api/visits/" + visit + detail);
            if (!reply.good()) {
                statuses.merge(reply.status(), 1, Integer::sum);
                System.out.println("the visit cannot be read: " + reply.status() + " " + detail + " " + reply.body());
            }
        }
    }

    private static List<Target> targets(String visit, String unit, Person person) {
        String log = "/api/visits/" + visit + "/log";
        String json = "application/json";
        List<Target> targets = new ArrayList<>();
        List<Double> times = IntStream.range(0, 60).mapToObj(i -> i / 10.0).toList();
        Object trace = Map.of("seconds", times, "level", times, "around", times, "colours", times.stream().map(t -> List.of(t, t, t))
                .toList());
        Object[][] entries = {{"TAPS", "taps", List.of(0.0, 0.6, 1.2, 3.5, 4.1, 4.7), "holds", List.of(0.1, 0.1, 0.1, 0.1, 0.1, 0.1)},
            {"FILM", "trace", trace}, {"PATTERN", "pattern", "4 flashes"}, {"POWER_CYCLED", "yes", true},
            {"READING", "test", "ohms-igniter", "reading", "52"}, {"FREE_READING", "black", "C", "red", "R", "mode", "AC_VOLTS",
                "moment", "standby", "reading", "27"}, {"ANSWER", "test", "see-door", "yes", false},
            {"SEEN", "channel", "flame", "begins", true, "seconds", 26.0}, {"MISSED", "channel", "blower", "seconds", 90.0},
            {"WATCHED", "seconds", 120.0}, {"TWIN", "unit", unit, "alike", true}, {"REPAIRED", "part", "igniter"},
            {"NOTE", "text", "hello"}, {"CHANGE_IN", "test", "try-jumper"}, {"CHANGE_OUT", "supersedes", unit}};
        for (Object[] fields : entries) {
            Object[] more = java.util.Arrays.copyOfRange(fields, 1, fields.length);
            targets.add(new Target(log, json, Person.entry((String) fields[0], more)));
        }
        targets.add(new Target("/api/visits/" + visit + "/lamp", json, Person.entry("FILM", "trace", trace)));
        targets.add(new Target("/api/identify", json, Map.of("answers", Map.of("place", "roof"))));
        targets.add(new Target("/api/jobs", json, Map.of("unitId", unit, "complaint", "x")));
        targets.add(new Target("/api/units", json, Map.of("siteName", "S", "label", "L", "location", "here", "pack", "f1-furnace")));
        targets.add(new Target("/api/policy", json, Map.of("labourPerMinute", 1.5, "tripCost", 90, "mistakeCost", 400, "notAllowed",
                List.of("SWAP"))));
        targets.add(new Target("/api/visits/" + visit + "/close", json, Map.of("outcome", "NONSENSE", "decided", "x")));
        Object draft = Map.of("overlay", "fuzz-board", "family", "f1-furnace", "title", "Fuzz", "timings", Map.of("purge-time", 20),
                "labels", Map.of("R", "RED"), "charts", Map.of("board", List.of(Map.of("generation", "door", "weight", 1, "codes",
                List.of(Map.of("pattern", "9 flashes", "condition", "ignition lockout"))))));
        targets.add(new Target("/api/overlays/check", json, draft));
        targets.add(new Target("/api/overlays", json, draft));
        targets.add(new Target("/api/overlays/import", "text/plain", "overlay: fuzz-text\nfamily: f1-furnace\ntitle: Fuzz\n"
                + "timings: {purge-time: 20}\nlabels: {R: RED}\ncharts:\n  board:\n    - generation: door\n      codes:\n"
                + "        - {pattern: 9 flashes, condition: ignition lockout}\n"));
        String pack = person.get("/api/packs/f9-airhandler.yaml").body();
        targets.add(new Target("/api/packs/check", "text/plain", pack));
        targets.add(new Target("/api/packs/check", "text/plain", pack));
        targets.add(new Target("/api/lamp/csv", "text/csv", "seconds,brightness\n0,1\n0.1,2\n0.2,3\n0.3,1\n0.4,2\n"));
        return targets;
    }

    private String spoiltJson(Object good) {
        JsonNode tree = Person.JSON.readTree(Person.JSON.writeValueAsString(good));
        Object plain = Person.JSON.treeToValue(tree, Object.class);
        if (plain instanceof Map<?, ?> map && map.containsKey("id")) {
            @SuppressWarnings("unchecked")
            Map<String, Object> entry = (Map<String, Object>) map;
            entry.put("id", java.util.UUID.randomUUID().toString());
        }
        for (int i = 1 + random.nextInt(3); i > 0; i--) {
            plain = spoilt(plain, 0);
        }
        String text = Person.JSON.writeValueAsString(plain);
        return random.nextInt(25) == 0 ? spoiltText(text) : text;
    }

    @SuppressWarnings("unchecked")
    private Object spoilt(Object value, int depth) {
        boolean here = depth > 6 || random.nextInt(4) == 0;
        if (!here && value instanceof Map<?, ?> map && !map.isEmpty()) {
            Map<String, Object> copy = new LinkedHashMap<>((Map<String, Object>) map);
            String key = new ArrayList<>(copy.keySet()).get(random.nextInt(copy.size()));
            switch (random.nextInt(6)) {
                case 0 -> copy.remove(key);
                case 1 -> copy.put(key + "x", copy.remove(key));
                default -> copy.put(key, spoilt(copy.get(key), depth + 1));
            }
            return copy;
        }
        if (!here && value instanceof List<?> list && !list.isEmpty()) {
            List<Object> copy = new ArrayList<>((List<Object>) list);
            int at = random.nextInt(copy.size());
            switch (random.nextInt(6)) {
                case 0 -> copy.remove(at);
                case 1 -> copy.add(at, copy.get(at));
                default -> copy.set(at, spoilt(copy.get(at), depth + 1));
            }
            return copy;
        }
        return other();
    }

    private Object other() {
        return switch (random.nextInt(17)) {
            case 0 -> null;
            case 1 -> -1;
            case 2 -> 1e300;
            case 3 -> "";
            case 4 -> "\u0000";
            case 5 -> "x".repeat(5000);
            case 6 -> List.of();
            case 7 -> Map.of();
            case 8 -> true;
            case 9 -> "NaN";
            case 10 -> nested(60);
            case 11 -> Long.MAX_VALUE;
            case 12 -> "99999-12-31";
            case 13 -> List.of(List.of(Map.of("a", "b")));
            case 14 -> "(".repeat(3000);
            case 15 -> 0.1;
            default -> "\uD800";
        };
    }

    private static Object nested(int depth) {
        Object nested = 1;
        for (int i = 0; i < depth; i++) {
            nested = List.of(nested);
        }
        return nested;
    }

    private String spoiltText(String good) {
        StringBuilder text = new StringBuilder(good);
        for (int i = 1 + random.nextInt(3); i > 0; i--) {
            int at = random.nextInt(text.length());
            switch (random.nextInt(9)) {
                case 0 -> text.deleteCharAt(at);
                case 1 -> text.insert(at, "\u0000");
                case 2 -> text.insert(at, "{".repeat(1 + random.nextInt(200)));
                case 3 -> text.insert(at, "1000000");
                case 4 -> text.insert(at, " - ");
                case 5 -> text.insert(at, "(".repeat(1 + random.nextInt(3000)));
                case 6 -> number(text, at);
                case 7 -> text.delete(at, Math.min(text.length(), at + random.nextInt(40)));
                default -> text.insert(at, "&a [*a,*a]");
            }
            if (text.isEmpty()) {
                return "x";
            }
        }
        return text.toString();
    }

    /** Another number in place of the next one: the shape stays, the sense may not. */
    private void number(StringBuilder text, int from) {
        for (int at = from; at < text.length(); at++) {
            if (Character.isDigit(text.charAt(at))) {
                int end = at;
                while (end < text.length() && (Character.isDigit(text.charAt(end)) || text.charAt(end) == '.')) {
                    end++;
                }
                String[] others = {"0", "-1", "1e9", "1e-9", "0.001", "1000000", "NaN", "99"};
                text.replace(at, end, others[random.nextInt(others.length)]);
                return;
            }
        }
    }
}
