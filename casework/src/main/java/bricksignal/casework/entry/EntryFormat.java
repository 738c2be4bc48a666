package bricksignal.casework.entry;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.lamp.Taps;
import bricksignal.core.lamp.Trace;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.unit.When;
import bricksignal.core.words.Message;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How entries are written down: as maps, lists, texts, numbers and truth values, which every JSON library gives and takes. What
 * was written in an earlier format is brought to the present one first.
 */
public final class EntryFormat {

    /** The present format. 1: one list of fields for all kinds (until issue 8). 2: each kind with its own fields. */
    public static final int VERSION = 2;

    /** The longest run that somebody watches, seconds: two hours. */
    private static final double LONGEST_RUN_SECONDS = 7200;
    private static final double LONGEST_FILM_SECONDS = 3600;
    /** A second. */
    private static final double SHORTEST_RUN_MINUTES = 1.0 / 60;

    private static final Map<String, Class<? extends Entry>> KINDS = kinds();

    private EntryFormat() {
    }

    /** The kinds of entries by name, in order; {@link Entry.Unread} has none, and {@link Entry.Earlier} that of what it is about. */
    public static Map<String, Class<? extends Entry>> allKinds() {
        return KINDS;
    }

    /** True for a kind of entry that may be about another time: it may have the field {@code when}. */
    public static boolean mayBeEarlier(Class<? extends Entry> kind) {
        return Entry.OfALamp.class.isAssignableFrom(kind) || Entry.OfAReading.class.isAssignableFrom(kind) || kind == Entry.Answer.class;
    }

    /** The fields of a kind that whoever takes the entry in says, and nobody sends. */
    public static Set<String> saidByWhoeverTakesItIn(Class<? extends Entry> kind) {
        return kind == Entry.Twin.class ? Set.of("sameKind") : kind == Entry.Lifted.class || kind == Entry.Allowed.class ? Set.of("by") : Set.of();
    }

    /** The name of an entry's kind. */
    public static String kind(Entry entry) {
        if (entry instanceof Entry.Unread unread) {
            return unread.kind();
        }
        if (entry instanceof Entry.Earlier earlier) {
            return kind(earlier.what());
        }
        return KINDS.entrySet().stream().filter(kind -> kind.getValue() == entry.getClass()).findFirst().orElseThrow().getKey();
    }

    private static Map<String, Class<? extends Entry>> kinds() {
        Map<String, Class<? extends Entry>> kinds = new LinkedHashMap<>();
        kinds.put("TAPS", Entry.Tapped.class);
        kinds.put("FILM", Entry.Film.class);
        kinds.put("FILMED", Entry.Filmed.class);
        kinds.put("PATTERN", Entry.Pattern.class);
        kinds.put("POWER_CYCLED", Entry.PowerCycled.class);
        kinds.put("READING", Entry.TestReading.class);
        kinds.put("FREE_READING", Entry.FreeReading.class);
        kinds.put("STAMPED", Entry.Stamped.class);
        kinds.put("CORRECTION", Entry.Correction.class);
        kinds.put("ANSWER", Entry.Answer.class);
        kinds.put("UNABLE", Entry.Unable.class);
        kinds.put("SEEN", Entry.Seen.class);
        kinds.put("MISSED", Entry.Missed.class);
        kinds.put("WATCHED", Entry.Watched.class);
        kinds.put("TWIN", Entry.Twin.class);
        kinds.put("DIED", Entry.Died.class);
        kinds.putAll(PastFormat.KINDS);
        kinds.put("REPAIRED", Entry.Repaired.class);
        kinds.put("SETTING", Entry.SetTo.class);
        kinds.put("SAFE", Entry.Safe.class);
        kinds.put("NEW_UNIT", Entry.NewUnit.class);
        kinds.put("SET_UP", Entry.SetUp.class);
        kinds.putAll(StopFormat.KINDS);
        kinds.putAll(WorkFormat.KINDS);
        kinds.put("NOTE", Entry.Note.class);
        kinds.put("CHANGE_IN", Entry.ChangeIn.class);
        kinds.put("CHANGE_OUT", Entry.ChangeOut.class);
        kinds.put("TAKE_BACK", Entry.TakeBack.class);
        return Collections.unmodifiableMap(kinds);
    }

    /**
     * Reads the content of an entry of the present format.
     *
     * @param content its fields, {@code kind} among them
     * @throws Refused if it is not an entry, with the field
     */
    public static Entry read(Map<String, ?> content) {
        Fields f = new Fields("", content);
        String kind = f.name("kind");
        Class<? extends Entry> type = KINDS.get(kind);
        if (f.has("when") && type != null && mayBeEarlier(type)) {
            Map<String, Object> plain = new LinkedHashMap<>(content);
            plain.remove("when");
            return new Entry.Earlier(read(plain), f.oneOf("when", When.values()));
        }
        switch (kind) {
            case "TAPS":
                f.only("kind", "board", "taps", "holds", "marks");
                return new Entry.Tapped(f.nameOrNull("board"), f.made("taps", () -> new Taps(f.numbers("taps", Taps.MOST + 1),
                        f.numbers("holds", Taps.MOST + 1), f.names("marks", Taps.MOST + 1))));
            case "FILM":
                f.only("kind", "board", "trace");
                return new Entry.Film(f.nameOrNull("board"), trace(f.fields("trace")));
            case "FILMED":
                f.only("kind", "board", "flashes", "steady", "lightTold", "seconds");
                return new Entry.Filmed(f.nameOrNull("board"), sighting(f), f.number("seconds", 0, LONGEST_FILM_SECONDS));
            case "PATTERN":
                f.only("kind", "board", "pattern");
                return new Entry.Pattern(f.nameOrNull("board"), f.name("pattern"));
            case "POWER_CYCLED":
                f.only("kind", "yes");
                return new Entry.PowerCycled(f.truth("yes"));
            case "READING":
                f.only("kind", "test", "reading");
                return new Entry.TestReading(f.name("test"), f.name("reading"));
            case "FREE_READING":
                f.only("kind", "black", "red", "mode", "moment", "reading");
                return new Entry.FreeReading(f.nameOrNull("black"), f.name("red"), f.oneOf("mode", MeterMode.values()), f.name("moment"), f.name("reading"));
            case "STAMPED":
                f.only("kind", "test", "value");
                return new Entry.Stamped(f.name("test"), f.name("value"));
            case "CORRECTION":
                f.only("kind", "reading");
                return new Entry.Correction(f.name("reading"));
            default:
                return readOther(kind, f);
        }
    }

    private static Entry readOther(String kind, Fields f) {
        switch (kind) {
            case "ANSWER":
                f.only("kind", "test", "yes");
                return new Entry.Answer(f.name("test"), f.truth("yes"));
            case "UNABLE":
                f.only("kind", "test", "why");
                return new Entry.Unable(f.name("test"), f.oneOf("why", Obstacle.values()));
            case "SEEN":
                f.only("kind", "channel", "begins", "seconds");
                return new Entry.Seen(f.name("channel"), f.truth("begins"), f.number("seconds", 0, LONGEST_RUN_SECONDS));
            case "MISSED":
                f.only("kind", "channel", "seconds");
                return new Entry.Missed(f.name("channel"), f.number("seconds", 0, LONGEST_RUN_SECONDS));
            case "WATCHED":
                f.only("kind", "seconds");
                return new Entry.Watched(f.number("seconds", 0, LONGEST_RUN_SECONDS));
            case "TWIN":
                f.only("kind", "unit", "alike", "sameKind");
                return new Entry.Twin(f.name("unit"), f.truth("alike"), f.has("sameKind") && f.truth("sameKind"));
            case "DIED":
                f.only("kind", "minutes", "first", "stays");
                return new Entry.Died(f.number("minutes", SHORTEST_RUN_MINUTES, LONGEST_RUN_SECONDS / 60), f.nameOrNull("first"),
                        f.nameOrNull("stays"));
            case "REPAIRED":
                f.only("kind", "part");
                return new Entry.Repaired(f.name("part"));
            case "SETTING":
                f.only("kind", "setting", "found", "left", "why");
                return new Entry.SetTo(f.name("setting"), f.name("found"), f.name("left"), f.has("why") ? f.words("why") : null);
            case "NEW_UNIT":
                f.only("kind");
                return new Entry.NewUnit();
            case "SET_UP":
                f.only("kind", "step", "fitted", "text");
                return new Entry.SetUp(f.name("step"), f.truth("fitted"), f.has("text") ? f.words("text") : null);
            case "SAFE":
                f.only("kind", "what", "yes");
                return new Entry.Safe(f.oneOf("what", Entry.Safety.values()), f.truth("yes"));
            case "NOTE":
                f.only("kind", "text");
                return new Entry.Note(f.words("text"));
            case "CHANGE_IN":
                f.only("kind", "test", "text");
                return f.has("test") ? new Entry.ChangeIn(f.name("test"), null) : new Entry.ChangeIn(null, f.words("text"));
            case "CHANGE_OUT":
                f.only("kind");
                return new Entry.ChangeOut();
            case "TAKE_BACK":
                f.only("kind");
                return new Entry.TakeBack();
            default:
                return WorkFormat.read(kind, f).or(() -> StopFormat.read(kind, f)).or(() -> PastFormat.read(kind, f)).orElseThrow(() -> f.refused("kind", "entry.unknown-kind", Message.said(kind),
                        Message.said(String.join(", ", KINDS.keySet()))));
        }
    }

    /**
     * Reads what was stored, whatever its format; what is not understood any more becomes {@link Entry.Unread}.
     *
     * @param format the format it was written in
     * @param text as it was written, to be shown where it is not understood
     */
    public static Entry stored(int format, Map<String, ?> content, String text) {
        Object kind = content.get("kind");
        try {
            if (format > VERSION) {
                throw new Refused("", Message.of("entry.newer", new Message.Number(format)));
            }
            return read(format == VERSION ? content : fromFirst(content));
        } catch (Refused refused) {
            return new Entry.Unread(kind instanceof String name ? name : "?", text, String.valueOf(refused.getMessage()));
        }
    }

    /** What an entry looks like when it is written down, in the present format. */
    public static Map<String, Object> write(Entry entry) {
        if (entry instanceof Entry.Earlier earlier) {
            Map<String, Object> to = write(earlier.what());
            to.put("when", earlier.when().name());
            return to;
        }
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("kind", kind(entry));
        if (entry instanceof Entry.OfALamp lamp) {
            put(to, "board", lamp.board());
            lamp(to, lamp);
        } else if (entry instanceof Entry.TestReading e) {
            to.put("test", e.test());
            to.put("reading", e.reading());
        } else if (entry instanceof Entry.FreeReading e) {
            put(to, "black", e.black());
            to.putAll(Map.of("red", e.red(), "mode", e.mode().name(), "moment", e.moment(), "reading", e.reading()));
        } else if (entry instanceof Entry.Stamped e) {
            to.put("test", e.test());
            to.put("value", e.value());
        } else if (entry instanceof Entry.Correction e) {
            to.put("reading", e.reading());
        } else if (entry instanceof Entry.Answer e) {
            to.put("test", e.test());
            to.put("yes", e.yes());
        } else if (entry instanceof Entry.Unable e) {
            to.put("test", e.test());
            to.put("why", e.why().name());
        } else if (entry instanceof Entry.PowerCycled e) {
            to.put("yes", e.yes());
        } else if (entry instanceof Entry.Twin e) {
            to.put("unit", e.unit());
            to.put("alike", e.alike());
            to.put("sameKind", e.sameKind());
        } else {
            writeOther(to, entry);
        }
        return to;
    }

    private static void writeOther(Map<String, Object> to, Entry entry) {
        if (entry instanceof Entry.Seen e) {
            to.put("channel", e.channel());
            to.put("begins", e.begins());
            to.put("seconds", e.seconds());
        } else if (entry instanceof Entry.Missed e) {
            to.put("channel", e.channel());
            to.put("seconds", e.seconds());
        } else if (entry instanceof Entry.Watched e) {
            to.put("seconds", e.seconds());
        } else if (entry instanceof Entry.Died e) {
            to.put("minutes", e.minutes());
            put(to, "first", e.first());
            put(to, "stays", e.stays());
        } else if (entry instanceof Entry.KnownBefore e) {
            PastFormat.write(to, e);
        } else if (entry instanceof Entry.Repaired e) {
            to.put("part", e.part());
        } else if (entry instanceof Entry.SetTo e) {
            to.put("setting", e.setting());
            to.put("found", e.found());
            to.put("left", e.left());
            put(to, "why", e.why());
        } else if (entry instanceof Entry.SetUp e) {
            to.put("step", e.step());
            to.put("fitted", e.fitted());
            put(to, "text", e.text());
        } else if (entry instanceof Entry.Safe e) {
            to.put("what", e.what().name());
            to.put("yes", e.yes());
        } else if (StopFormat.KINDS.containsValue(entry.getClass())) {
            StopFormat.write(to, entry);
        } else if (entry instanceof Entry.OfTheWork e) {
            WorkFormat.write(to, e);
        } else if (entry instanceof Entry.Note e) {
            to.put("text", e.text());
        } else if (entry instanceof Entry.ChangeIn e) {
            put(to, "test", e.test());
            put(to, "text", e.text());
        } else if (entry instanceof Entry.Unread e) {
            throw new IllegalArgumentException("an entry of kind '" + e.kind() + "' that is not understood is not written again");
        }
    }

    private static void lamp(Map<String, Object> to, Entry.OfALamp lamp) {
        if (lamp instanceof Entry.Tapped e) {
            to.put("taps", e.taps().seconds());
            to.put("holds", e.taps().holds());
            to.put("marks", e.taps().marks());
        } else if (lamp instanceof Entry.Pattern e) {
            to.put("pattern", e.pattern());
        } else if (lamp instanceof Entry.Filmed e) {
            to.put("flashes", e.sighting().flashes().stream().map(EntryFormat::flash).toList());
            to.put("steady", e.sighting().steady().stream().sorted().toList());
            to.put("lightTold", e.sighting().lightTold());
            to.put("seconds", e.seconds());
        } else if (lamp instanceof Entry.Film e) {
            to.put("trace", trace(e.trace()));
        }
    }

    /** A recording as it is written down. */
    public static Map<String, Object> trace(Trace trace) {
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("seconds", trace.seconds());
        to.put("level", trace.level());
        to.put("around", trace.around());
        to.put("colours", trace.colours().stream().map(c -> List.of(c.red(), c.green(), c.blue())).toList());
        put(to, "mark", trace.mark().isEmpty() ? null : trace.mark());
        return to;
    }

    private static Map<String, Object> flash(Sighting.Seen seen) {
        Map<String, Object> to = new LinkedHashMap<>();
        to.put("at", seen.at());
        put(to, "lit", Double.isNaN(seen.litSeconds()) ? null : seen.litSeconds());
        put(to, "mark", seen.mark().isEmpty() ? null : seen.mark());
        if (!seen.watched().equals(Sighting.Stretch.UNTOLD)) {
            to.put("from", seen.watched().from());
            to.put("to", seen.watched().to());
        }
        return to;
    }

    private static Sighting sighting(Fields f) {
        List<Sighting.Seen> flashes = f.each("flashes", Trace.MOST_SAMPLES, one -> new Sighting.Seen(
                one.number("at", -LONGEST_FILM_SECONDS, LONGEST_FILM_SECONDS),
                one.has("lit") ? one.number("lit", 0, LONGEST_FILM_SECONDS) : Double.NaN,
                one.has("mark") ? one.name("mark") : "",
                one.has("from") ? new Sighting.Stretch(one.number("from", -LONGEST_FILM_SECONDS, LONGEST_FILM_SECONDS),
                        one.number("to", -LONGEST_FILM_SECONDS, LONGEST_FILM_SECONDS)) : Sighting.Stretch.UNTOLD));
        return new Sighting(flashes, new LinkedHashSet<>(f.names("steady", 100)), f.truth("lightTold"),
                Sighting.Observer.CAMERA);
    }

    private static Trace trace(Fields f) {
        f.only("seconds", "level", "around", "colours", "mark");
        int most = Trace.MOST_SAMPLES + 1;
        return f.made("seconds", () -> new Trace(f.numbers("seconds", most), f.numbers("level", most), f.numbers("around", most),
                f.list("colours", most, value -> colour(f, value)), f.has("mark") ? f.name("mark") : ""));
    }

    private static Trace.Rgb colour(Fields f, Object value) {
        if (!(value instanceof List<?> parts) || parts.size() != 3 || !parts.stream().allMatch(p -> p instanceof Number n
                && Double.isFinite(n.doubleValue()))) {
            throw f.refused("colours", "entry.not-a-colour");
        }
        return new Trace.Rgb(((Number) parts.get(0)).doubleValue(), ((Number) parts.get(1)).doubleValue(),
                ((Number) parts.get(2)).doubleValue());
    }

    static void put(Map<String, Object> to, String field, @Nullable Object value) {
        if (value != null) {
            to.put(field, value);
        }
    }

    /** Format 1: all kinds had the same fields, most of them null; a reading told by its fields what it was. */
    private static Map<String, Object> fromFirst(Map<String, ?> old) {
        Map<String, Object> now = new LinkedHashMap<>();
        String kind = String.valueOf(old.get("kind"));
        boolean free = kind.equals("READING") && old.get("test") == null;
        now.put("kind", switch (kind) {
            case "TRACE" -> "FILM";
            case "RESET" -> "POWER_CYCLED";
            case "EVENT" -> "SEEN";
            case "NOT_SEEN" -> "MISSED";
            case "READING" -> free ? "FREE_READING" : kind;
            default -> kind;
        });
        Set<String> own = switch (kind) {
            case "TAPS" -> Set.of("board", "taps", "holds", "marks");
            case "TRACE" -> Set.of("board", "trace");
            case "PATTERN" -> Set.of("board", "pattern");
            case "RESET" -> Set.of("yes");
            case "READING" -> free ? Set.of("black", "red", "mode", "moment", "reading") : Set.of("test", "reading");
            case "ANSWER" -> Set.of("test", "yes");
            case "EVENT" -> Set.of("channel", "begins", "seconds");
            case "NOT_SEEN" -> Set.of("channel", "seconds");
            case "TWIN" -> Set.of("unit");
            case "REPAIRED" -> Set.of("part");
            case "NOTE", "CHANGE_IN" -> Set.of("text");
            default -> Set.of();
        };
        own.stream().sorted().filter(field -> old.get(field) != null).forEach(field -> now.put(field, old.get(field)));
        if (kind.equals("TWIN")) {
            now.put("alike", old.get("yes"));
        }
        return now;
    }
}
