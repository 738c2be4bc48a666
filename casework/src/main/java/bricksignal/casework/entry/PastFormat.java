package bricksignal.casework.entry;

import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How entries of what was known before a visit are written down. */
final class PastFormat {

    static final Map<String, Class<? extends Entry>> KINDS = kinds();

    /** Older visits say nothing of today: ten years. */
    private static final double LONGEST_AGO_DAYS = 3652;
    /** More parts than any unit has. */
    private static final int MOST_PARTS = 200;
    /** Records that make a part likelier than that are none. */
    private static final double MOST_LIKELIER = 1000;

    private PastFormat() {
    }

    private static Map<String, Class<? extends Entry>> kinds() {
        Map<String, Class<? extends Entry>> kinds = new LinkedHashMap<>();
        kinds.put("VISITED", Entry.Visited.class);
        kinds.put("EXPERIENCE", Entry.Experience.class);
        return kinds;
    }

    /** The entry; empty for a kind that is none of these. */
    static Optional<Entry> read(String kind, Fields f) {
        switch (kind) {
            case "VISITED":
                f.only("kind", "days", "part", "reset", "same");
                return Optional.of(new Entry.Visited(f.number("days", 0, LONGEST_AGO_DAYS), f.nameOrNull("part"), f.truth("reset"), f.has("same") && f.truth("same")));
            case "EXPERIENCE":
                f.only("kind", "parts", "factors");
                return Optional.of(experience(f));
            default:
                return Optional.empty();
        }
    }

    private static Entry experience(Fields f) {
        List<String> parts = f.names("parts", MOST_PARTS);
        List<Double> factors = f.numbers("factors", MOST_PARTS);
        if (factors.size() != parts.size() || factors.stream().anyMatch(factor -> !(factor > 0 && factor <= MOST_LIKELIER))) {
            throw f.refused("factors", "entry.factors", new Message.Number(parts.size()));
        }
        return new Entry.Experience(parts, factors);
    }

    static void write(Map<String, Object> to, Entry.KnownBefore entry) {
        if (entry instanceof Entry.Visited e) {
            to.put("days", e.days());
            EntryFormat.put(to, "part", e.part());
            to.put("reset", e.reset());
            if (e.same()) {
                to.put("same", true);
            }
        } else if (entry instanceof Entry.Experience e) {
            to.put("parts", e.parts());
            to.put("factors", e.factors());
        }
    }
}
