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
 * @param effort how long it takes to see, against a glance at 1; at least 1
 */
public record Question(String id, String text, Map<String, String> answers, double effort) {

    public Question {
        answers = Collections.unmodifiableMap(new LinkedHashMap<>(answers));
        if (!(effort >= 1)) {
            throw new IllegalArgumentException("question '" + id + "': effort is " + effort + "; a glance is 1");
        }
        if (answers.size() < 2) {
            throw new IllegalArgumentException("question '" + id + "' has " + answers.size() + " answer; it needs two at least");
        }
    }
}
