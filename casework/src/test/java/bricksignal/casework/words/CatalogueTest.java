package bricksignal.casework.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.TypedReading;
import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueTest {

    private static final List<Path> SOURCES = Stream.of("../core", ".", "../server").map(module -> Path.of(module, "src/main/java")).toList();

    private static final Catalogue ENGLISH = catalogue();

    private static Catalogue catalogue() {
        try {
            return Catalogue.read(Files.readString(Path.of("src/main/resources/words/en.properties")));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Keys as they stand in the sources; one that ends in a dot is the beginning of several. */
    private static Set<String> keysInTheSources() throws IOException {
        Set<String> keys = new TreeSet<>();
        Pattern key = Pattern.compile("\"([a-z][a-z-]*(?:\\.[A-Za-z][A-Za-z.-]*)?\\.?)\"");
        for (Path root : SOURCES) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    String text = Files.readString(file);
                    Matcher found = key.matcher(text);
                    while ((text.contains("Message") || text.contains("Unfit")) && found.find()) {
                        keys.add(found.group(1));
                    }
                }
            }
        }
        return keys;
    }

    /** Keys as the documents name them; one that ends in a dot is the beginning of several. */
    private static Set<String> keysInTheTemplates() throws IOException {
        Set<String> keys = new TreeSet<>();
        Pattern key = Pattern.compile("#\\{(?:\\$\\{')?(doc\\.[a-z.-]+)");
        try (Stream<Path> files = Files.list(Path.of("../server/src/main/resources/templates"))) {
            for (Path file : files.toList()) {
                Matcher found = key.matcher(Files.readString(file));
                while (found.find()) {
                    keys.add(found.group(1));
                }
            }
        }
        return keys;
    }

    private static List<String> keysOf(String file) {
        List<String> keys = new ArrayList<>();
        file.lines().filter(line -> line.contains("=") && !line.startsWith("#")).forEach(line -> keys.add(line.substring(0,
                line.indexOf('=')).strip()));
        return keys;
    }

    @Test
    void everyMessageThatTheSourcesNameHasWords() throws IOException {
        Set<String> used = new TreeSet<>();
        Pattern of = Pattern.compile("(?:Message\\.of\\(|new Unfit\\(|refused\\([^,()]*(?:\\([^)]*\\))?, |log\\.item\\(Message\\.of\\()\"([a-z][a-z-]*\\.[a-z.-]*[a-z])\"");
        for (Path root : SOURCES) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    Matcher found = of.matcher(Files.readString(file));
                    while (found.find()) {
                        used.add(found.group(1));
                    }
                }
            }
        }
        assertThat(used).hasSizeGreaterThan(50);
        assertThat(ENGLISH.keys()).containsAll(used);
    }

    @Test
    void everyKeyOfTheCatalogueIsUsed() throws IOException {
        Set<String> named = keysInTheSources();
        named.addAll(keysInTheTemplates());
        List<String> unused = ENGLISH.keys().stream().filter(key -> !named.contains(key) && named.stream().noneMatch(beginning ->
                beginning.endsWith(".") && key.startsWith(beginning)) && !key.startsWith("test.watch.") && !key.startsWith("test.S"))
                .sorted().toList();
        assertThat(unused).isEmpty();
    }

    /** Another language is another file beside this one: whatever lies there has the same keys with the same places. */
    @Test
    void everyLanguageHasTheSameKeysAndPlaces() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/main/resources/words"))) {
            for (Path file : files.filter(path -> path.toString().endsWith(".properties")).toList()) {
                Catalogue other = Catalogue.read(Files.readString(file));
                assertThat(other.keys()).as(file.toString()).isEqualTo(ENGLISH.keys());
                keysOf(Files.readString(file)).forEach(key -> assertThat(other.places(key)).as(key).isEqualTo(ENGLISH.places(key)));
            }
        }
    }

    /** The library for that syntax says the same of every message, whatever number stands in its places. */
    @ParameterizedTest
    @CsvSource({"en", "es"})
    void everyMessageIsWhatIcuMakesOfIt(String language) throws IOException {
        String file = Files.readString(Path.of("src/main/resources/words/" + language + ".properties"));
        Catalogue catalogue = Catalogue.read(file);
        for (String line : file.lines().filter(one -> one.contains("=") && !one.startsWith("#")).toList()) {
            String key = line.substring(0, line.indexOf('=')).strip();
            String pattern = line.substring(line.indexOf('=') + 1).strip();
            for (double number : new double[] {0, 1, 2, 11, 21, 100, 1.5}) {
                Message[] parts = new Message[catalogue.places(key)];
                Object[] same = new Object[parts.length];
                for (int i = 0; i < parts.length; i++) {
                    parts[i] = new Message.Number(number);
                    same[i] = pattern.contains("{" + i + ", plural") ? (Object) number : catalogue.words(parts[i]);
                }
                assertThat(catalogue.words(Message.of(key, parts))).as(key).isEqualTo(new MessageFormat(pattern, ULocale.forLanguageTag(language + "-US")).format(same));
            }
        }
    }

    @Test
    void draftHasTheCheckedWordsOfACautionBesideItsOwn() throws IOException {
        Catalogue spanish = Catalogue.read(Files.readString(Path.of("src/main/resources/words/es.properties"))).draftOf(ENGLISH, Map.of());
        assertThat(spanish.words(Message.of("hazard.FLAME.before"))).isEqualTo("Arde. Alarma de CO con usted, conducto en su lugar. [It burns. CO alarm on you, flue in place.]");
        assertThat(spanish.words(Message.of("stop.GAS_SMELL.never"))).endsWith("[No switch on or off, no relight, no test.]");
        assertThat(spanish.words(Message.of("hazard.FLAME.name"))).as("a name is no caution").isEqualTo("llama");
        assertThat(spanish.words(Message.of("yes"))).isEqualTo("sí");
        assertThat(ENGLISH.words(Message.of("hazard.FLAME.before"))).doesNotContain("[");
    }

    @Test
    void everyCautionOfTheDraftIsOneAndNothingElseIs() throws IOException {
        Catalogue spanish = Catalogue.read(Files.readString(Path.of("src/main/resources/words/es.properties"))).draftOf(ENGLISH, Map.of());
        List<String> cautions = ENGLISH.keys().stream().filter(key -> spanish.words(Message.of(key)).contains("[")).toList();
        assertThat(cautions).hasSizeGreaterThan(130).contains("defer", "judgement.bridged", "needs.call").noneMatch(key -> key.startsWith("log.") || key.startsWith("test."));
    }

    @Test
    void whatEquipmentDataSayIsToldWhereItIsKnownAndATitleByItsParts() {
        Catalogue spanish = Catalogue.read("yes = sí").draftOf(ENGLISH, Map.of("blower", "soplador", "Boiler, cast iron", "Caldera de hierro", "zoned", "con zonas", "120 V", "120 V"));
        assertThat(spanish.words(Message.said("blower"))).isEqualTo("soplador");
        assertThat(spanish.words(Message.said("Cellar of Mrs. Ames"))).isEqualTo("Cellar of Mrs. Ames");
        assertThat(spanish.phrase("Boiler, cast iron, zoned, 120 V")).isEqualTo("Caldera de hierro, con zonas, 120 V");
        assertThat(spanish.phrase("Boiler, cast iron, by hand")).as("a part that is not known").isEqualTo("Boiler, cast iron, by hand");
    }

    /** Factors by NIST Special Publication 811 (from memory): 0.5 in. w.c. are 124.5 Pa, 3.5 psi 24.1 kPa, 1 gpm 3.79 L/min, 1 lb/h 0.45 kg/h; water freezes at 0 °C. */
    @ParameterizedTest
    @CsvSource({"INCHES_WC, 0.5, 125 Pa", "FAHRENHEIT, 32, 0 °C", "FAHRENHEIT, 140, 60 °C", "PSI, 3.5, 24.1 kPa", "GPM, 1, 3.79 L/min", "POUNDS_PER_HOUR, 1, 0.45 kg/h", "AC_VOLTS, 24, 24 V AC"})
    void amountsAreToldInTheUnitsOfThePerson(MeterMode mode, double value, String words) {
        assertThat(ENGLISH.in(Measures.METRIC).words(new Message.Amount(mode, value))).isEqualTo(words);
        assertThat(ENGLISH.in(Measures.METRIC).words(new Message.Unit(mode, true))).isEqualTo(Measures.METRIC.unit(mode).orElse(""));
        assertThat(ENGLISH.words(new Message.Unit(mode, true))).isEmpty();
    }

    /** What is shown and typed back with its unit is the same value. */
    @Property
    void typedBackWithItsUnitItIsTheSame(@ForAll MeterMode mode, @ForAll @DoubleRange(min = 0.01, max = 0.99) double share) {
        double value = share * mode.most();
        String unit = Measures.METRIC.unit(mode).orElse("");
        double shown = Measures.METRIC.shown(mode, value);
        String typed = new BigDecimal(shown).setScale(9, RoundingMode.HALF_UP).toPlainString();
        assertThat(TypedReading.parse(mode, typed + " " + unit)).isCloseTo(value, Offset.offset(1e-6 * Math.max(1, value)));
    }

    @Test
    void placeThatIsNotClosedIsRefused() {
        assertThatThrownBy(() -> Catalogue.read("a.b = {0, plural, one {# day} other {# days}")).isInstanceOf(IllegalArgumentException.class).hasMessageContaining("does not close");
    }

    @Test
    void everySettingOfTheMeterHasItsWordsAndUnit() {
        for (MeterMode mode : MeterMode.values()) {
            assertThat(ENGLISH.words(Message.of("mode." + mode))).isNotBlank();
            assertThat(ENGLISH.words(new Message.Amount(mode, 1.5))).startsWith(mode == MeterMode.PERCENT ? "1.5%" : "1.5 ");
        }
    }

    @ParameterizedTest
    @CsvSource({"0.004, unlikely", "0.257, 26%", "0.5, 50%", "0, 0%", "1, 100%", "0.996, >99%"})
    void sharesAreToldInPercentAndNeverRoundedAwayOrToCertainty(double share, String words) {
        assertThat(ENGLISH.words(new Message.Share(share))).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"4333.6, '4,334 SKD'", "12, 12 SKD", "0, 0 SKD", "-1234567, '-1,234,567 SKD'"})
    void moneyIsToldInWholeUnitsWithThousandsApart(double amount, String words) {
        assertThat(ENGLISH.words(new Message.Money(amount, "SKD"))).isEqualTo(words);
    }

    @Test
    void partsStandInTheirPlacesAndThingsAreJoined() {
        Message both = Message.items(Message.Joint.AND, List.of(Message.said("hose off"), Message.said("vent blocked")));
        assertThat(ENGLISH.words(Message.of("hypothesis.intermittent", both))).isEqualTo("hose off and vent blocked, intermittent");
        assertThat(ENGLISH.words(Message.items(Message.Joint.THEN, List.of(Message.said("a"), Message.said("b"))))).isEqualTo("a; then b");
        assertThat(ENGLISH.words(new Message.Amount(MeterMode.OHMS, Double.POSITIVE_INFINITY))).isEqualTo("OL (open)");
        assertThat(ENGLISH.sentence(Message.of("entry.yes-or-no"))).startsWith("Answer");
    }

    @Test
    void anotherLanguageIsAnotherText() {
        Catalogue other = Catalogue.read("# Deutsch\nyes = ja\nchain.stops = Zwischen {1} und {0} ist Schluss.\n");
        assertThat(other.words(Message.of("yes"))).isEqualTo("ja");
        assertThat(other.words(Message.of("chain.stops", Message.said("A"), Message.said("B")))).isEqualTo("Zwischen B und A ist Schluss.");
        assertThatThrownBy(() -> other.words(Message.of("no"))).hasMessageContaining("no words for 'no'");
    }

    @Test
    void catalogueThatMakesNoSenseIsRefusedWithItsLine() {
        assertThatThrownBy(() -> Catalogue.read("yes = ja\nnonsense\n")).hasMessageContaining("line 2");
        assertThatThrownBy(() -> Catalogue.read("yes = ja\nyes = jo\n")).hasMessageContaining("stands twice");
    }
}
