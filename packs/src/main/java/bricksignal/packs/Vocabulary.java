package bricksignal.packs;

import bricksignal.core.identify.Question;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * The words that all packs and overlays share: the conditions that a code can stand for, and the questions by which a unit is
 * identified.
 */
public final class Vocabulary {

    private static final Set<String> CONDITIONS = readConditions();
    private static final Map<String, Question> QUESTIONS = readQuestions();

    private Vocabulary() {
    }

    /** The conditions, in order. */
    public static Set<String> conditions() {
        return CONDITIONS;
    }

    /** The questions by id, in order. */
    public static Map<String, Question> questions() {
        return QUESTIONS;
    }

    private static Set<String> readConditions() {
        Set<String> conditions = new LinkedHashSet<>();
        root().path("conditions").forEach(node -> conditions.add(node.asString()));
        return java.util.Collections.unmodifiableSet(conditions);
    }

    private static Map<String, Question> readQuestions() {
        Map<String, Question> questions = new LinkedHashMap<>();
        root().path("questions").properties().forEach(entry -> {
            Map<String, String> answers = new LinkedHashMap<>();
            entry.getValue().path("answers").properties().forEach(a -> answers.put(a.getKey(), a.getValue().asString()));
            questions.put(entry.getKey(), new Question(entry.getKey(), entry.getValue().path("ask").asString(), answers,
                    entry.getValue().path("effort").asDouble(1)));
        });
        return java.util.Collections.unmodifiableMap(questions);
    }

    private static JsonNode root() {
        try (InputStream in = Vocabulary.class.getResourceAsStream("/packs/vocabulary.yaml")) {
            return new YAMLMapper().readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
