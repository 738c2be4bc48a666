package bricksignal.casework.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.lamp.Taps;
import bricksignal.core.lamp.Trace;
import bricksignal.core.unit.Obstacle;
import bricksignal.core.unit.Stop;
import bricksignal.core.unit.When;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class EntryFormatTest {

    static Stream<Entry> everyKind() {
        List<Double> times = IntStream.range(0, 20).mapToObj(i -> i * 0.1).toList();
        return Stream.of(new Entry.Tapped("board", new Taps(List.of(0.0, 0.5, 2.5), List.of(0.1, 0.1, 0.4), List.of("red", "red", "red"))),
                new Entry.Film(null, new Trace(times, times, times, List.of(), "red")),
                new Entry.Filmed("board", new Sighting(List.of(new Sighting.Seen(0.5, 0.3, "red", new Sighting.Stretch(0, 3))), Set.of("green"), true,
                        Sighting.Observer.CAMERA), 14),
                new Entry.Pattern(null, "4 flashes"), new Entry.PowerCycled(true), new Entry.TestReading("ohms-igniter", "OL"),
                new Entry.FreeReading("C", "R", MeterMode.AC_VOLTS, "standby", "27"),
                new Entry.FreeReading(null, "R", MeterMode.DC_VOLTS, "standby", "-3"), new Entry.Correction("51"), new Entry.Stamped("draft-gauge", "0.70"),
                new Entry.Answer("see-door", false), new Entry.Seen("flame", true, 26), new Entry.Missed("blower", 90),
                new Entry.Watched(120.5), new Entry.Twin("3", true), new Entry.Repaired("igniter"), new Entry.SetTo("off-delay", "1 off, 2 off", "1 off, 2 on"), new Entry.SetTo("off-delay", "1 off, 2 off", "1 off, 2 on", "short ducts"), new Entry.NewUnit(), new Entry.SetUp("gas-shut", true, "soaped"), new Entry.SetUp("setting.off-delay", false, null), new Entry.Safe(Entry.Safety.MONOXIDE, false), new Entry.Figure("price.igniter", 61.5, "dearer"),
                new Entry.Terminal("W", "brown 3"), new Entry.Plate(Entry.PlateOf.REVISION, "C"), new Entry.Moved("W"), new Entry.Agreed("setting delay"),
                new Entry.Lent("igniter", "7"), new Entry.GivenBack(), new Entry.Spare("thermostat cable", "blue"), new Entry.Allowed("board", "the only one", "Odile"), new Entry.Ordered("igniter"), new Entry.Along("igniter"), new Entry.Unable("ohms-igniter", Obstacle.REACH),
                new Entry.Note("two\nlines"),
                new Entry.ChangeIn(null, "jumper"), new Entry.Stopped(Stop.ROLLOUT), new Entry.Lifted(Stop.ROLLOUT, "burner cleaned, CO 12 ppm", "Ines"),
                new Entry.Monoxide(Entry.Monoxide.Where.FLUE, 40), new Entry.Tagged("Mrs. Holm", true, "pipes", "tomorrow"), new Entry.ChangeIn("try-jumper", null), new Entry.ChangeOut(),
                new Entry.TakeBack(), new Entry.Died(11, "R", null), new Entry.Visited(2, "igniter", true),
                new Entry.Experience(List.of("igniter", "board"), List.of(2.5, 0.4)),
                new Entry.Earlier(new Entry.Pattern(null, "4 flashes"), When.LAST_NIGHT),
                new Entry.Earlier(new Entry.Answer("see-door", true), When.EARLIER_VISIT),
                new Entry.Earlier(new Entry.TestReading("ohms-igniter", "OL"), When.BEFORE_RESET));
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void whatIsWrittenIsReadAgain(Entry entry) {
        assertThat(EntryFormat.read(EntryFormat.write(entry))).isEqualTo(entry);
    }

    @Test
    void everyKindIsAmongThem() {
        assertThat(everyKind().map(EntryFormat::kind)).containsAll(EntryFormat.allKinds().keySet());
    }

    @Test
    void lengthThatNobodyKnowsStaysUnknown() {
        Entry.Filmed filmed = new Entry.Filmed(null, new Sighting(List.of(new Sighting.Seen(0.5, Double.NaN, "")), Set.of(), false,
                Sighting.Observer.CAMERA), 3);
        assertThat(((Entry.Filmed) EntryFormat.read(EntryFormat.write(filmed))).sighting().flashes().get(0).litSeconds()).isNaN();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"READING|test|", "READING|reading|", "READING|test|7", "READING|reading|true",
        "ANSWER|yes|", "ANSWER|yes|perhaps", "SEEN|seconds|-1", "SEEN|seconds|7201", "SEEN|seconds|x", "SEEN|channel|",
        "SEEN|begins|1", "TWIN|alike|", "FREE_READING|mode|FURLONGS", "FREE_READING|red|", "TAPS|taps|soon", "TAPS|marks|3",
        "FILM|trace|", "FILM|trace|x", "DIED|minutes|0", "DIED|minutes|121", "VISITED|days|-1", "VISITED|reset|", "EXPERIENCE|factors|", "ANSWER|when|yesterday", "NOTE|text|", "PATTERN|pattern|"})
    void fieldThatIsMissingOrWrongIsNamed(String kind, String field, String value) {
        Entry good = everyKind().filter(e -> EntryFormat.kind(e).equals(kind)).findFirst().orElseThrow();
        Map<String, Object> spoiled = new LinkedHashMap<>(EntryFormat.write(good));
        spoiled.remove(field);
        if (value != null) {
            spoiled.put(field, value.matches("-?[0-9]+") ? (Object) Double.valueOf(value) : value.equals("true") ? (Object) true
                    : value);
        }
        assertThatThrownBy(() -> EntryFormat.read(spoiled)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.field()).startsWith(field));
    }

    @Test
    void unknownFieldIsRefusedForItWouldBeLostSilently() {
        assertThatThrownBy(() -> EntryFormat.read(Map.of("kind", "NOTE", "text", "x", "txt", "y")))
                .isInstanceOfSatisfying(Refused.class, refused -> assertThat(refused.field()).isEqualTo("txt"));
    }

    @Test
    void textThatNobodyCanSeeOrReadIsRefused() {
        for (String text : new String[] {"a\u0000b", "\u0007", " ", "x".repeat(4001)}) {
            assertThatThrownBy(() -> EntryFormat.read(Map.of("kind", "NOTE", "text", text))).isInstanceOf(Refused.class);
        }
    }

    @Test
    void listsAreBoundedAndWithoutGaps() {
        List<Double> many = new ArrayList<>(IntStream.range(0, 60_000).mapToObj(i -> (double) i).toList());
        assertThatThrownBy(() -> EntryFormat.read(Map.of("kind", "TAPS", "taps", many))).isInstanceOf(Refused.class);
        List<Object> gap = new ArrayList<>(List.of(0.0, 1.0));
        gap.add(null);
        assertThatThrownBy(() -> EntryFormat.read(Map.of("kind", "TAPS", "taps", gap))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> EntryFormat.read(Map.of("kind", "TAPS", "taps", List.of(0.0, Double.NaN))))
                .isInstanceOf(Refused.class);
    }

    /** Whatever arrives, it is an entry or it is refused with a reason; nothing else is thrown. */
    @Property(tries = 3000)
    void nothingElseIsThrown(@ForAll("jsonObjects") Map<String, Object> anything) {
        try {
            assertThat(EntryFormat.read(anything)).isNotNull();
        } catch (Refused refused) {
            assertThat(refused.says()).isNotNull();
        }
    }

    @Provide
    Arbitrary<Map<String, Object>> jsonObjects() {
        Arbitrary<Object> leaf = Arbitraries.oneOf(Arbitraries.strings().ofMaxLength(6).asGeneric(), Arbitraries.doubles().asGeneric(),
                Arbitraries.of(true, false).asGeneric(), Arbitraries.just((Object) null));
        Arbitrary<Object> value = Arbitraries.oneOf(leaf, leaf.list().ofMaxSize(4).asGeneric(), leaf.list().ofMaxSize(3).list()
                .ofMaxSize(3).asGeneric(), Arbitraries.maps(field(), leaf).ofMaxSize(4).asGeneric());
        return Arbitraries.maps(field(), value).ofMaxSize(6).flatMap(map -> Arbitraries.of(EntryFormat.allKinds().keySet())
                .map(kind -> {
                    Map<String, Object> entry = new LinkedHashMap<>(map);
                    entry.put("kind", kind);
                    return entry;
                }));
    }

    private static Arbitrary<String> field() {
        return Arbitraries.of("board", "taps", "holds", "marks", "trace", "seconds", "level", "around", "colours", "test", "reading",
                "black", "red", "mode", "moment", "yes", "channel", "begins", "unit", "alike", "part", "text", "pattern", "mark",
                "flashes", "steady", "lightTold");
    }

    // --- earlier formats ---------------------------------------------------------------------------------------------------------

    /** As the server wrote them until issue 8: one list of fields for all kinds, most of them null. */
    static Stream<Map<String, Object>> firstFormat() {
        return Stream.of(old("READING", "test", "ohms-igniter", "reading", "OL"),
                old("READING", "black", "C", "red", "SEC", "mode", "AC_VOLTS", "moment", "standby", "reading", "0,1"),
                old("ANSWER", "test", "see-glow", "yes", false), old("TAPS", "taps", List.of(0.0, 0.6, 2.6)),
                old("TRACE", "trace", Map.of("seconds", IntStream.range(0, 20).mapToObj(i -> i / 10.0).toList(), "level",
                        IntStream.range(0, 20).mapToObj(i -> 1.0).toList())),
                old("PATTERN", "pattern", "7 flashes", "board", "board"), old("RESET", "yes", true),
                old("EVENT", "channel", "flame", "begins", true, "seconds", 26.0), old("NOT_SEEN", "channel", "blower", "seconds", 90.0),
                old("TWIN", "unit", "0f8fad5b-d9cb-469f-a165-70867728950e", "yes", true), old("REPAIRED", "part", "igniter"),
                old("NOTE", "text", "hello"), old("CHANGE_IN", "text", "jumper"), old("CHANGE_OUT"), old("TAKE_BACK"));
    }

    private static Map<String, Object> old(String kind, Object... fields) {
        Map<String, Object> entry = new LinkedHashMap<>();
        for (String field : new String[] {"supersedes", "test", "black", "red", "mode", "moment", "reading", "yes", "board", "taps",
            "holds", "marks", "trace", "unit", "channel", "begins", "seconds", "part", "pattern", "text"}) {
            entry.put(field, null);
        }
        entry.put("id", "0f8fad5b-d9cb-469f-a165-70867728950e");
        entry.put("madeAt", "2026-10-24T10:00:00Z");
        entry.put("kind", kind);
        for (int i = 0; i < fields.length; i += 2) {
            entry.put((String) fields[i], fields[i + 1]);
        }
        return entry;
    }

    @ParameterizedTest
    @MethodSource("firstFormat")
    void entryOfTheFirstFormatIsUnderstood(Map<String, Object> old) {
        assertThat(EntryFormat.stored(1, old, "")).isNotInstanceOf(Entry.Unread.class);
    }

    @Test
    void freeReadingOfTheFirstFormatIsOneAndATwinKeepsItsAnswer() {
        List<Entry> read = firstFormat().map(old -> EntryFormat.stored(1, old, "")).toList();
        assertThat(read.get(1)).isEqualTo(new Entry.FreeReading("C", "SEC", MeterMode.AC_VOLTS, "standby", "0,1"));
        assertThat(read.get(9)).isEqualTo(new Entry.Twin("0f8fad5b-d9cb-469f-a165-70867728950e", true, false));
    }

    @Test
    void whatIsNotUnderstoodAnyMoreIsShownAsItIs() {
        Entry read = EntryFormat.stored(1, old("SNIFFED", "text", "x"), "{\"kind\":\"SNIFFED\"}");
        assertThat(read).isInstanceOfSatisfying(Entry.Unread.class, unread -> {
            assertThat(unread.kind()).isEqualTo("SNIFFED");
            assertThat(unread.text()).isEqualTo("{\"kind\":\"SNIFFED\"}");
        });
        assertThat(EntryFormat.stored(99, Map.of("kind", "NOTE", "text", "x"), "")).isInstanceOf(Entry.Unread.class);
        assertThat(EntryFormat.stored(2, Map.of(), "")).isInstanceOf(Entry.Unread.class);
    }
}
