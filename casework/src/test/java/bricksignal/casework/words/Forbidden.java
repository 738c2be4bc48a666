package bricksignal.casework.words;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** The words that are not said, from the file beside the catalogue. */
final class Forbidden {

    private static final Map<String, String> WORDS = read();

    private Forbidden() {
    }

    /** What is said instead, by pattern. */
    static Map<String, String> words() {
        return WORDS;
    }

    /** The pattern of the first such word in a text. */
    static Optional<String> in(String text) {
        return WORDS.keySet().stream().filter(word -> Pattern.compile(word, Pattern.CASE_INSENSITIVE).matcher(text).find()).findFirst();
    }

    private static Map<String, String> read() {
        try (InputStream in = Forbidden.class.getResourceAsStream("/words/forbidden.txt")) {
            Map<String, String> words = new LinkedHashMap<>();
            new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().filter(line -> !line.startsWith("#") && !line.isBlank()).map(line -> line.split("\t"))
                    .forEach(line -> words.put(line[0], line[1]));
            return words;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
