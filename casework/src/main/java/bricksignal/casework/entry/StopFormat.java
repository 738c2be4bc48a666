package bricksignal.casework.entry;

import bricksignal.core.unit.Stop;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Entries about what ends a diagnosis, and how it goes on or stays off, as they are written. */
final class StopFormat {

    static final Map<String, Class<? extends Entry>> KINDS = kinds();

    /** What instruments of the trade show at most, parts in a million. From memory. */
    private static final double MOST_PPM = 10_000;

    private StopFormat() {
    }

    private static Map<String, Class<? extends Entry>> kinds() {
        Map<String, Class<? extends Entry>> kinds = new LinkedHashMap<>();
        kinds.put("STOPPED", Entry.Stopped.class);
        kinds.put("LIFTED", Entry.Lifted.class);
        kinds.put("MONOXIDE", Entry.Monoxide.class);
        kinds.put("TAGGED", Entry.Tagged.class);
        return Collections.unmodifiableMap(kinds);
    }

    static Optional<Entry> read(String kind, Fields f) {
        switch (kind) {
            case "STOPPED":
                f.only("kind", "finding");
                return Optional.of(new Entry.Stopped(f.oneOf("finding", Stop.values())));
            case "LIFTED":
                f.only("kind", "finding", "done", "by");
                return Optional.of(new Entry.Lifted(f.oneOf("finding", Stop.values()), f.words("done"), f.has("by") ? f.words("by") : ""));
            case "MONOXIDE":
                f.only("kind", "where", "ppm");
                return Optional.of(new Entry.Monoxide(f.oneOf("where", Entry.Monoxide.Where.values()), f.number("ppm", 0, MOST_PPM)));
            case "TAGGED":
                f.only("kind", "told", "signed", "risk", "next");
                return Optional.of(new Entry.Tagged(f.words("told"), f.truth("signed"), f.has("risk") ? f.words("risk") : null, f.has("next") ? f.words("next") : null));
            default:
                return Optional.empty();
        }
    }

    static void write(Map<String, Object> to, Entry entry) {
        if (entry instanceof Entry.Stopped e) {
            to.put("finding", e.finding().name());
        } else if (entry instanceof Entry.Lifted e) {
            to.put("finding", e.finding().name());
            to.put("done", e.done());
            put(to, "by", e.by());
        } else if (entry instanceof Entry.Monoxide e) {
            to.put("where", e.where().name());
            to.put("ppm", e.ppm());
        } else if (entry instanceof Entry.Tagged e) {
            to.put("told", e.told());
            to.put("signed", e.signed());
            put(to, "risk", e.risk());
            put(to, "next", e.next());
        }
    }

    private static void put(Map<String, Object> to, String field, @Nullable String text) {
        if (text != null && !text.isEmpty()) {
            to.put(field, text);
        }
    }
}
