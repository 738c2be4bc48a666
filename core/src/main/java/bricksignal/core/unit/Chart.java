package bricksignal.core.unit;

import bricksignal.core.lamp.LampPattern;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the lamp of a board means. The model's own codes say by which pattern the simulated board shows which condition; the
 * generations are the charts that may hang on the door, each with the weight that it is the one that counts.
 *
 * @param codes the model's own, one for each pattern
 * @param generations at least one; weights above 0
 */
public record Chart(List<Code> codes, List<Generation> generations) {

    public Chart {
        codes = List.copyOf(codes);
        generations = List.copyOf(generations);
        if (generations.isEmpty()) {
            throw new IllegalArgumentException("a chart has at least one generation");
        }
    }

    /** A chart of one generation, the model's own. */
    public Chart(List<Code> codes) {
        this(codes, List.of(new Generation("as the family shows it", 1, codes)));
    }

    /**
     * One line of a chart.
     *
     * @param condition what the board means by it, out of the common vocabulary; empty where the chart's words say nothing
     *     that the model knows
     * @param text the chart's own words, or empty
     * @param names parts the chart tells to check or replace, in its order, by id
     */
    public record Code(LampPattern pattern, String condition, String text, List<String> names) {
        public Code {
            names = List.copyOf(names);
        }

        /** What it means, as shown. */
        public String meaning() {
            return text.isEmpty() ? condition : condition.isEmpty() ? text : condition + " (" + text + ")";
        }
    }

    /**
     * A chart as it hangs on one generation of a board.
     *
     * @param weight how likely this is the generation at hand, above 0; only ratios count
     */
    public record Generation(String name, double weight, List<Code> codes) {
        public Generation {
            codes = List.copyOf(codes);
            if (!(weight > 0)) {
                throw new IllegalArgumentException("generation '" + name + "': weight is " + weight + "; it must be above 0");
            }
        }
    }

    /** Every pattern that some generation has, in order. */
    public List<LampPattern> patterns() {
        return generations.stream().flatMap(g -> g.codes().stream()).map(Code::pattern).distinct().toList();
    }

    /** What a pattern can mean, over all generations, in order. */
    public List<Code> meanings(LampPattern pattern) {
        return generations.stream().flatMap(g -> g.codes().stream()).filter(code -> code.pattern().equals(pattern)).distinct()
                .toList();
    }

    /** The first line for a pattern. */
    public Optional<Code> code(LampPattern pattern) {
        return meanings(pattern).stream().findFirst();
    }

    /**
     * How well a lamp as seen goes with a simulated board.
     *
     * @param shares the model's own patterns with the shares of time in which the simulated board shows them
     * @param weights how likely the lamp was seen to show each pattern
     * @return likelihood up to a common factor, 0 to 1
     */
    public double likelihood(Map<LampPattern, Double> shares, Map<LampPattern, Double> weights) {
        return likelihood(shares, weights, 1.0 / (1 + weights.size()));
    }

    /** The same of a board that goes on its way: what a chart of codes does not say of it is none of its codes. */
    public double likelihoodOnItsWay(Map<LampPattern, Double> shares, Map<LampPattern, Double> weights) {
        return likelihood(shares, weights, 0);
    }

    private double likelihood(Map<LampPattern, Double> shares, Map<LampPattern, Double> weights, double unsaid) {
        double total = generations.stream().mapToDouble(Generation::weight).sum();
        double seen = 0;
        for (Generation generation : generations) {
            for (Map.Entry<LampPattern, Double> share : shares.entrySet()) {
                seen += generation.weight() / total * share.getValue() * seen(generation, share.getKey(), weights, unsaid);
            }
        }
        return seen;
    }

    /**
     * The patterns by which a generation shows what the model shows by its own pattern, with their shares; empty where its
     * chart does not say.
     */
    public Map<LampPattern, Double> shown(Generation generation, LampPattern own) {
        String condition = codes.stream().filter(code -> code.pattern().equals(own)).map(Code::condition).findFirst().orElse("");
        List<LampPattern> patterns = new ArrayList<>();
        generation.codes().stream().filter(code -> !condition.isEmpty() && code.condition().equals(condition))
                .forEach(code -> patterns.add(code.pattern()));
        if (patterns.isEmpty() && (own.equals(LampPattern.OFF)
                || condition.isEmpty() && generation.codes().stream().noneMatch(code -> code.pattern().equals(own)))) {
            patterns.add(own);
        }
        Map<LampPattern, Double> shares = new LinkedHashMap<>();
        patterns.forEach(pattern -> shares.merge(pattern, 1.0 / patterns.size(), Double::sum));
        return shares;
    }

    private double seen(Generation generation, LampPattern own, Map<LampPattern, Double> weights, double unsaid) {
        Map<LampPattern, Double> shown = shown(generation, own);
        if (shown.isEmpty()) {
            return unsaid;
        }
        return shown.entrySet().stream().mapToDouble(e -> e.getValue() * weights.getOrDefault(e.getKey(), 0.0)).sum();
    }
}
