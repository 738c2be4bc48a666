package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntFunction;

/**
 * The outcomes of a test that a person could tell apart, and the probability of each under each hypothesis. Numbers that
 * lie within two standard deviations of their neighbour are one outcome; a pair of faults falls into the nearest.
 */
public final class Outcomes {

    private static final double APART_SIGMAS = 2;
    private static final String SOMETHING_ELSE = "something else";

    private final List<Prediction> representatives;
    private final double[][] chance;
    private final double[] upTo;
    private final ErrorModel errors;
    private final IntFunction<Prediction> more;
    private final Map<Integer, double[]> moreChances = new ConcurrentHashMap<>();

    private Outcomes(List<Prediction> representatives, double[][] chance, double[] upTo, ErrorModel errors,
            IntFunction<Prediction> more) {
        this.representatives = List.copyOf(representatives);
        this.chance = chance;
        this.upTo = upTo;
        this.errors = errors;
        this.more = more;
    }

    /**
     * The outcomes of a test.
     *
     * @param predictions of the single hypotheses
     * @param more the prediction of a hypothesis beyond them, by its place
     */
    static Outcomes of(List<Prediction> predictions, ErrorModel errors, IntFunction<Prediction> more) {
        Prediction first = predictions.get(0);
        return first instanceof Prediction.Chance ? answers(predictions, errors, more)
                : first instanceof Prediction.Choice ? choices(predictions, errors, more) : numbers(predictions, errors, more);
    }

    /** How many outcomes there are. */
    public int count() {
        return chance.length;
    }

    /** What this outcome looks like: the first prediction in it, or certain yes or no. */
    public Prediction representative(int outcome) {
        return representatives.get(outcome);
    }

    /** Probability of an outcome under the hypothesis at a place; over the outcomes they sum to one. */
    public double chance(int outcome, int place) {
        double[] single = chance[outcome];
        if (place < single.length) {
            return single[place];
        }
        double[] known = moreChances.get(place);
        if (known == null) {
            known = chances(more.apply(place));
            moreChances.put(place, known);
        }
        return known[outcome];
    }

    /** Probability mass that two hypotheses share over the outcomes: 1 where no outcome tells them apart, 0 where every does. */
    public double common(int one, int other) {
        double common = 0;
        for (int k = 0; k < chance.length; k++) {
            common += Math.min(chance(k, one), chance(k, other));
        }
        return common;
    }

    private double[] chances(Prediction prediction) {
        double[] chances = new double[chance.length];
        if (prediction instanceof Prediction.Chance expected) {
            chances[0] = errors.likelihood(expected, true);
            chances[1] = errors.likelihood(expected, false);
            return chances;
        }
        java.util.Arrays.fill(chances, errors.misread() / chances.length);
        if (prediction instanceof Prediction.Choice choice) {
            choice.chances().forEach((what, p) -> chances[said(what)] += (1 - errors.misread()) * p);
            return chances;
        }
        if (prediction instanceof Prediction.Sometimes sometimes) {
            chances[group(sometimes.present())] += (1 - errors.misread()) * sometimes.duty();
            chances[group(sometimes.absent())] += (1 - errors.misread()) * (1 - sometimes.duty());
        } else {
            chances[group((Prediction.Number) prediction)] += 1 - errors.misread();
        }
        return chances;
    }

    private int group(Prediction.Number number) {
        for (int k = 0; k < upTo.length; k++) {
            if (number.mean() <= upTo[k]) {
                return k;
            }
        }
        return upTo.length - 1;
    }

    /** What no single hypothesis would show counts as the last outcome. */
    private int said(String what) {
        for (int k = 0; k < representatives.size(); k++) {
            if (((Prediction.Choice) representatives.get(k)).likeliest().equals(what)) {
                return k;
            }
        }
        return representatives.size() - 1;
    }

    private static Outcomes choices(List<Prediction> predictions, ErrorModel errors, IntFunction<Prediction> more) {
        List<Prediction> representatives = new ArrayList<>();
        predictions.stream().flatMap(p -> ((Prediction.Choice) p).chances().keySet().stream()).distinct()
                .forEach(what -> representatives.add(new Prediction.Choice(Map.of(what, 1.0))));
        representatives.add(new Prediction.Choice(Map.of(SOMETHING_ELSE, 1.0)));
        Outcomes outcomes = new Outcomes(representatives, new double[representatives.size()][predictions.size()],
                new double[0], errors, more);
        outcomes.fill(predictions);
        return outcomes;
    }

    private static Outcomes answers(List<Prediction> predictions, ErrorModel errors, IntFunction<Prediction> more) {
        Outcomes outcomes = new Outcomes(List.of(new Prediction.Chance(1), new Prediction.Chance(0)),
                new double[2][predictions.size()], new double[0], errors, more);
        outcomes.fill(predictions);
        return outcomes;
    }

    private static Outcomes numbers(List<Prediction> predictions, ErrorModel errors, IntFunction<Prediction> more) {
        List<Prediction.Number> order = new ArrayList<>();
        for (Prediction prediction : predictions) {
            if (prediction instanceof Prediction.Sometimes sometimes) {
                order.add(sometimes.present());
                order.add(sometimes.absent());
            } else {
                order.add((Prediction.Number) prediction);
            }
        }
        order.sort(Comparator.comparingDouble(Prediction.Number::mean));
        List<Prediction> representatives = new ArrayList<>();
        List<Double> upTo = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            if (i == 0 || apart(order.get(i - 1), order.get(i))) {
                representatives.add(order.get(i));
                if (i > 0) {
                    upTo.add(between(order.get(i - 1).mean(), order.get(i).mean()));
                }
            }
        }
        upTo.add(Double.POSITIVE_INFINITY);
        Outcomes outcomes = new Outcomes(representatives, new double[representatives.size()][predictions.size()],
                upTo.stream().mapToDouble(Double::doubleValue).toArray(), errors, more);
        outcomes.fill(predictions);
        return outcomes;
    }

    private void fill(List<Prediction> predictions) {
        for (int h = 0; h < predictions.size(); h++) {
            double[] chances = chances(predictions.get(h));
            for (int k = 0; k < chances.length; k++) {
                chance[k][h] = chances[k];
            }
        }
    }

    /** A bound that separates two neighbours; an open reading lies beyond every number. */
    private static double between(double low, double high) {
        return Double.isInfinite(high) ? Double.MAX_VALUE : (low + high) / 2;
    }

    private static boolean apart(Prediction.Number a, Prediction.Number b) {
        if (Double.isInfinite(b.mean())) {
            return !Double.isInfinite(a.mean());
        }
        return b.mean() - a.mean() > APART_SIGMAS * (a.sigma() + b.sigma());
    }
}
