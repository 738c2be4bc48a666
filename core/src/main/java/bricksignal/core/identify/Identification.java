package bricksignal.core.identify;

import bricksignal.core.Known;
import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds the family of a unit by a few questions. Families are equally likely before; an answer that a family does not have
 * makes it unlikely, not impossible, because people misjudge; the next question is the one that is expected to tell most
 * (entropy) for the effort of looking. Immutable.
 */
public final class Identification {

    private static final double MISJUDGED = 0.04;
    private static final double TELLS_NOTHING = 0.01;
    private static final double SURE = 0.9;

    private final List<Question> questions;
    private final Map<String, Map<String, List<String>>> traits;
    private final Map<String, String> answers;
    private final Map<String, Double> weights;

    private Identification(List<Question> questions, Map<String, Map<String, List<String>>> traits,
            Map<String, String> answers) {
        this.questions = List.copyOf(questions);
        this.traits = traits;
        this.answers = Collections.unmodifiableMap(new LinkedHashMap<>(answers));
        this.weights = weigh();
    }

    /**
     * Where an identification stands.
     *
     * @param traits for each family, by question, the answers that fit; a question that a family does not name tells nothing
     *     of it
     * @param answers by question; an empty answer is a question that was skipped
     * @throws IllegalArgumentException if there is no family, or an answer names a question or a value that is unknown
     */
    public static Identification of(List<Question> questions, Map<String, Map<String, List<String>>> traits,
            Map<String, String> answers) {
        if (traits.isEmpty()) {
            throw new IllegalArgumentException("there is no family to choose from");
        }
        answers.forEach((id, answer) -> {
            Question asked = questions.stream().filter(q -> q.id().equals(id)).findFirst().orElseThrow(
                    () -> new Unfit("identify.no-question", Message.said(id)));
            if (!answer.isEmpty() && !asked.answers().containsKey(answer)) {
                throw new Unfit("identify.no-answer", Message.said(answer), Message.said(asked.text()),
                        Message.items(Message.Joint.COMMA, asked.answers().values().stream().map(Message::said).toList()));
            }
        });
        return new Identification(questions, new LinkedHashMap<>(traits), answers);
    }

    /** Probability of each family, most likely first; they sum to one. */
    public Map<String, Double> families() {
        Map<String, Double> ranked = new LinkedHashMap<>();
        weights.entrySet().stream().sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder()))
                .forEach(e -> ranked.put(e.getKey(), e.getValue()));
        return ranked;
    }

    /** The question to ask next; empty when one family is all but certain or nothing more would tell. */
    public Optional<Question> next() {
        if (families().values().iterator().next() >= SURE) {
            return Optional.empty();
        }
        return questions.stream().filter(q -> !answers.containsKey(q.id())).filter(q -> bits(q) > TELLS_NOTHING)
                .max(Comparator.comparingDouble(q -> bits(q) / q.effort()));
    }

    /** How the families that are left answer a question, for its words. */
    public List<String> familiesWith(String question, String answer) {
        List<String> fitting = new ArrayList<>();
        traits.forEach((family, byQuestion) -> {
            if (byQuestion.getOrDefault(question, List.of()).contains(answer)) {
                fitting.add(family);
            }
        });
        return fitting;
    }

    private Map<String, Double> weigh() {
        Map<String, Double> unscaled = new LinkedHashMap<>();
        for (String family : traits.keySet()) {
            double weight = 1;
            for (Map.Entry<String, String> answer : answers.entrySet()) {
                weight *= answer.getValue().isEmpty() ? 1 : chance(family, question(answer.getKey()), answer.getValue());
            }
            unscaled.put(family, weight);
        }
        double sum = unscaled.values().stream().mapToDouble(Double::doubleValue).sum();
        unscaled.replaceAll((family, weight) -> weight / sum);
        return unscaled;
    }

    private double chance(String family, Question question, String answer) {
        List<String> fitting = Known.in(traits, family).getOrDefault(question.id(), List.of());
        if (fitting.isEmpty()) {
            return 1.0 / question.answers().size();
        }
        double misjudged = MISJUDGED / question.answers().size();
        return misjudged + (fitting.contains(answer) ? (1 - MISJUDGED) / fitting.size() : 0);
    }

    /** Expected information in an answer: the mutual information of answer and family, in bits. */
    private double bits(Question question) {
        double bits = 0;
        for (String answer : question.answers().keySet()) {
            double total = 0;
            for (Map.Entry<String, Double> family : weights.entrySet()) {
                total += family.getValue() * chance(family.getKey(), question, answer);
            }
            for (Map.Entry<String, Double> family : weights.entrySet()) {
                double joint = family.getValue() * chance(family.getKey(), question, answer);
                bits += joint > 0 ? joint * Math.log(joint / (total * family.getValue())) / Math.log(2) : 0;
            }
        }
        return bits;
    }

    private Question question(String id) {
        return questions.stream().filter(q -> q.id().equals(id)).findFirst().orElseThrow();
    }
}
