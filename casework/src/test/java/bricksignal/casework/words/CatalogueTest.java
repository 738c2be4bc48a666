package bricksignal.casework.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.words.Message;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueTest {

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
        for (Path root : List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"))) {
            try (Stream<Path> files = Files.walk(root)) {
                for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    String text = Files.readString(file);
                    Matcher found = key.matcher(text);
                    while (text.contains("Message") && found.find()) {
                        keys.add(found.group(1));
                    }
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
        Pattern of = Pattern.compile("(?:Message\\.of\\(|refused\\([^,()]*(?:\\([^)]*\\))?, |log\\.item\\(Message\\.of\\()\"([a-z][a-z-]*\\.[a-z.-]*[a-z])\"");
        for (Path root : List.of(Path.of("../core/src/main/java"), Path.of("src/main/java"))) {
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

    /** By ICU's own rules for English: one is one, everything else is other; a fraction and nothing too. */
    @ParameterizedTest
    @CsvSource({"0, 0 days ago", "1, 1 day ago", "2, 2 days ago", "11, 11 days ago", "1.5, 1.5 days ago"})
    void wordsGoWithTheirNumber(double days, String words) {
        assertThat(ENGLISH.words(Message.of("log.visited-days", new Message.Number(days)))).isEqualTo(words);
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
