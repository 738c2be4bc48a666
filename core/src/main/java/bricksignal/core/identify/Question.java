package bricksignal.core.identify;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Something that can be seen of a unit without a tool.
 *
 * @param id its name
 * @param text as asked
 * @param answers answer to its words, in order
 */
public record Question(String id, String text, Map<String, String> answers) {

    public Question {
        answers = Collections.unmodifiableMap(new LinkedHashMap<>(answers));
        if (answers.size() < 2) {
            throw new IllegalArgumentException("question '" + id + "' has " + answers.size() + " answer; it needs two at least");
        }
    }
}
