package bricksignal.casework.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The program speaks as the trade does: no forbidden word, short sentences, questions that are questions. What customers type is theirs and not held to it. */
class WordsTest {

    private static final int MOST_WORDS = 18;
    private static final Pattern ASKS = Pattern.compile("(Is|Are|Does|Did|Was|Were|Has|Have|Do you|Do the) (?!not )");
    private static final Pattern THEIRS = Pattern.compile("(heard|complaint)\\..*");

    private static Map<String, String> spoken() {
        Properties all = new Properties();
        try (InputStream in = WordsTest.class.getResourceAsStream("/words/en.properties"); InputStreamReader reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
            all.load(reader);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Map<String, String> spoken = new TreeMap<>();
        all.stringPropertyNames().stream().filter(key -> !THEIRS.matcher(key).matches()).forEach(key -> spoken.put(key, all.getProperty(key)));
        return spoken;
    }

    private static List<String> sentences(String text) {
        return Arrays.stream(text.split("(?<=[.?!])\\s+")).filter(sentence -> !sentence.isBlank()).toList();
    }

    @Test
    void nothingIsSaidInForbiddenWords() {
        Map<String, String> forbidden = Forbidden.words();
        assertThat(forbidden).hasSizeGreaterThan(40);
        List<String> found = new ArrayList<>();
        spoken().forEach((key, text) -> Forbidden.in(text).ifPresent(word -> found.add(key + ": " + word + " in '" + text + "', say " + forbidden.get(word))));
        assertThat(found).isEmpty();
    }

    @Test
    void sentencesAreShort() {
        List<String> found = new ArrayList<>();
        spoken().forEach((key, text) -> sentences(text).stream().filter(sentence -> sentence.split("\\s+").length > MOST_WORDS).forEach(sentence -> found.add(key + ": "
                + sentence)));
        assertThat(found).isEmpty();
    }

    @Test
    void questionsEndWithAQuestionMark() {
        List<String> found = new ArrayList<>();
        spoken().forEach((key, text) -> sentences(text).stream().filter(sentence -> ASKS.matcher(sentence).lookingAt() && !sentence.endsWith("?")).forEach(sentence -> found.add(
                key + ": " + sentence)));
        assertThat(found).isEmpty();
    }

    /** American: no space before a percent sign, and no id of ours. */
    @Test
    void percentStandsAtItsNumber() {
        assertThat(spoken().entrySet()).filteredOn(entry -> !entry.getKey().startsWith("unit.")).noneMatch(entry -> entry.getValue().contains(" %"));
    }
}
