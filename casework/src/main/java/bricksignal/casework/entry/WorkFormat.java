package bricksignal.casework.entry;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** How entries of the work after the verdict are written down. */
final class WorkFormat {

    /** More than any unit costs. */
    private static final double MOST = 1e6;

    static final Map<String, Class<? extends Entry>> KINDS = kinds();

    private WorkFormat() {
    }

    private static Map<String, Class<? extends Entry>> kinds() {
        Map<String, Class<? extends Entry>> kinds = new LinkedHashMap<>();
        kinds.put("FIGURE", Entry.Figure.class);
        kinds.put("TERMINAL", Entry.Terminal.class);
        kinds.put("PLATE", Entry.Plate.class);
        kinds.put("MOVED", Entry.Moved.class);
        kinds.put("AGREED", Entry.Agreed.class);
        kinds.put("LENT", Entry.Lent.class);
        kinds.put("GIVEN_BACK", Entry.GivenBack.class);
        kinds.put("SPARE", Entry.Spare.class);
        kinds.put("ALLOWED", Entry.Allowed.class);
        kinds.put("ORDERED", Entry.Ordered.class);
        kinds.put("ALONG", Entry.Along.class);
        return kinds;
    }

    /** The entry; empty for a kind that is none of these. */
    static Optional<Entry> read(String kind, Fields f) {
        switch (kind) {
            case "FIGURE":
                f.only("kind", "what", "value", "reason");
                return Optional.of(new Entry.Figure(f.name("what"), f.number("value", 0, MOST), f.words("reason")));
            case "TERMINAL":
                f.only("kind", "terminal", "conductor");
                return Optional.of(new Entry.Terminal(f.name("terminal"), f.words("conductor")));
            case "PLATE":
                f.only("kind", "what", "text");
                return Optional.of(new Entry.Plate(f.oneOf("what", Entry.PlateOf.values()), f.words("text")));
            case "MOVED":
                f.only("kind", "terminal");
                return Optional.of(new Entry.Moved(f.name("terminal")));
            case "AGREED":
                f.only("kind", "what");
                return Optional.of(new Entry.Agreed(f.name("what")));
            case "LENT":
                f.only("kind", "part", "unit");
                return Optional.of(new Entry.Lent(f.name("part"), f.name("unit")));
            case "GIVEN_BACK":
                f.only("kind");
                return Optional.of(new Entry.GivenBack());
            case "SPARE":
                f.only("kind", "cable", "conductor");
                return Optional.of(new Entry.Spare(f.name("cable"), f.words("conductor")));
            case "ALLOWED":
                f.only("kind", "part", "reason", "by");
                return Optional.of(new Entry.Allowed(f.name("part"), f.words("reason"), f.has("by") ? f.words("by") : ""));
            case "ORDERED":
                f.only("kind", "part");
                return Optional.of(new Entry.Ordered(f.name("part")));
            case "ALONG":
                f.only("kind", "part");
                return Optional.of(new Entry.Along(f.name("part")));
            default:
                return Optional.empty();
        }
    }

    static void write(Map<String, Object> to, Entry.OfTheWork entry) {
        if (entry instanceof Entry.Figure e) {
            to.put("what", e.what());
            to.put("value", e.value());
            to.put("reason", e.reason());
        } else if (entry instanceof Entry.Terminal e) {
            to.put("terminal", e.terminal());
            to.put("conductor", e.conductor());
        } else if (entry instanceof Entry.Plate e) {
            to.put("what", e.what().name());
            to.put("text", e.text());
        } else if (entry instanceof Entry.Moved e) {
            to.put("terminal", e.terminal());
        } else if (entry instanceof Entry.Agreed e) {
            to.put("what", e.what());
        } else if (entry instanceof Entry.Lent e) {
            to.put("part", e.part());
            to.put("unit", e.unit());
        } else if (entry instanceof Entry.Spare e) {
            to.put("cable", e.cable());
            to.put("conductor", e.conductor());
        } else if (entry instanceof Entry.Allowed e) {
            to.put("part", e.part());
            to.put("reason", e.reason());
            EntryFormat.put(to, "by", e.by());
        } else if (entry instanceof Entry.Ordered e) {
            to.put("part", e.part());
        } else if (entry instanceof Entry.Along e) {
            to.put("part", e.part());
        }
    }
}
