package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The outcomes of a test that a person could tell apart, and the probability of each under each hypothesis. Numbers that
 * lie within two standard deviations of their neighbour are one outcome.
 */
public final class Outcomes {

    private static final double APART_SIGMAS = 2;

    private final List<Prediction> representatives;
    private final double[][] chance;

    private Outcomes(List<Prediction> representatives, double[][] chance) {
        this.representatives = List.copyOf(representatives);
        this.chance = chance;
    }

    static Outcomes of(List<Prediction> predictions, ErrorModel errors) {
        return predictions.get(0) instanceof Prediction.Chance ? answers(predictions, errors) : numbers(predictions, errors);
    }

    /** How many outcomes there are. */
    public int count() {
        return chance.length;
    }

    /** What this outcome looks like: the first prediction in it, or certain yes or no. */
    public Prediction representative(int outcome) {
        return representatives.get(outcome);
    }

    /** Probability of an outcome under a hypothesis; over the outcomes they sum to one. */
    public double chance(int outcome, int hypothesis) {
        return chance[outcome][hypothesis];
    }

    private static Outcomes answers(List<Prediction> predictions, ErrorModel errors) {
        double[][] chance = new double[2][predictions.size()];
        for (int h = 0; h < predictions.size(); h++) {
            Prediction.Chance expected = (Prediction.Chance) predictions.get(h);
            chance[0][h] = errors.likelihood(expected, true);
            chance[1][h] = errors.likelihood(expected, false);
        }
        return new Outcomes(List.of(new Prediction.Chance(1), new Prediction.Chance(0)), chance);
    }

    private static Outcomes numbers(List<Prediction> predictions, ErrorModel errors) {
        List<Integer> order = new ArrayList<>();
        for (int h = 0; h < predictions.size(); h++) {
            order.add(h);
        }
        order.sort(Comparator.comparingDouble(h -> number(predictions, h).mean()));
        int[] group = new int[predictions.size()];
        List<Prediction> representatives = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            Prediction.Number here = number(predictions, order.get(i));
            if (i == 0 || apart(number(predictions, order.get(i - 1)), here)) {
                representatives.add(here);
            }
            group[order.get(i)] = representatives.size() - 1;
        }
        int count = representatives.size();
        double[][] chance = new double[count][predictions.size()];
        for (int k = 0; k < count; k++) {
            for (int h = 0; h < group.length; h++) {
                chance[k][h] = (group[h] == k ? 1 - errors.misread() : 0) + errors.misread() / count;
            }
        }
        return new Outcomes(representatives, chance);
    }

    private static boolean apart(Prediction.Number a, Prediction.Number b) {
        if (Double.isInfinite(b.mean())) {
            return !Double.isInfinite(a.mean());
        }
        return b.mean() - a.mean() > APART_SIGMAS * (a.sigma() + b.sigma());
    }

    private static Prediction.Number number(List<Prediction> predictions, int h) {
        return (Prediction.Number) predictions.get(h);
    }
}
