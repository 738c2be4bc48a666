package bricksignal.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * The outcomes of a test that a person could tell apart, and the probability of each under each hypothesis. Numbers are put
 * into ranges, cut at the widest gaps until the ends of none lie further apart than two standard deviations each; a number that lies near
 * a cut may fall to either side of it.
 */
public final class Outcomes {

    private static final double APART_SIGMAS = 2;
    /** So many standard deviations from a cut a number is on its side for sure: all but a millionth. */
    private static final double SURE = 5;
    private static final long BYTES_OF_AN_ARRAY = 16;

    private final List<Prediction> representatives;
    private final double[] upTo;
    private final HypothesisSpace space;
    private final Function<HypothesisId, Prediction> predicted;
    private final ErrorModel errors;
    private final double[][] listed;
    private final Map<List<Double>, double[]> kept = new LinkedHashMap<>();
    private final Shelf.Row<HypothesisId, double[]> further;

    private Outcomes(List<Prediction> representatives, double[] upTo, HypothesisSpace space,
            Function<HypothesisId, Prediction> predicted, ErrorModel errors, Shelf shelf) {
        this.further = shelf.row(chances -> BYTES_OF_AN_ARRAY + (long) Double.BYTES * chances.length);
        this.representatives = List.copyOf(representatives);
        this.upTo = upTo;
        this.space = space;
        this.predicted = predicted;
        this.errors = errors;
        this.listed = shared(space.byPlace().stream().map(h -> chances(predicted.apply(h.id()))).toList());
    }

    /**
     * The outcomes of a test.
     *
     * @param predicted what each hypothesis shows; all listed ones are asked, others when somebody asks for them
     */
    static Outcomes of(HypothesisSpace space, Function<HypothesisId, Prediction> predicted, ErrorModel errors, Shelf shelf) {
        List<Prediction> predictions = space.byPlace().stream().map(h -> predicted.apply(h.id())).toList();
        Prediction first = predictions.get(0);
        if (first instanceof Prediction.Chance) {
            return new Outcomes(List.of(new Prediction.Chance(1), new Prediction.Chance(0)), new double[0], space, predicted,
                    errors, shelf);
        }
        return first instanceof Prediction.Choice ? choices(predictions, space, predicted, errors, shelf)
                : numbers(predictions, space, predicted, errors, shelf);
    }

    /** How many outcomes there are. */
    public int count() {
        return representatives.size();
    }

    /** What this outcome looks like: the first prediction in it, or certain yes or no. */
    public Prediction representative(int outcome) {
        return representatives.get(outcome);
    }

    /** Probability of an outcome under a hypothesis; over the outcomes they sum to one. */
    public double chance(int outcome, HypothesisId id) {
        return chances(id)[outcome];
    }

    /**
     * Probability of each outcome under some hypotheses; not to be changed.
     *
     * @param places of the same hypotheses, by {@link HypothesisSpace#place}
     */
    public double[][] chances(List<HypothesisId> ids, int[] places) {
        double[][] chances = new double[places.length][];
        for (int h = 0; h < places.length; h++) {
            chances[h] = places[h] >= 0 ? listed[places[h]] : beyond(ids.get(h));
        }
        return chances;
    }

    private double[] chances(HypothesisId id) {
        int place = space.place(id);
        return place >= 0 ? listed[place] : beyond(id);
    }

    private double[] beyond(HypothesisId id) {
        return further.get(id, () -> {
            double[] made = chances(predicted.apply(id));
            return kept.getOrDefault(Arrays.stream(made).boxed().toList(), made);
        });
    }

    /** Probability mass that two hypotheses share over the outcomes: 1 where no outcome tells them apart, 0 where every does. */
    public double common(HypothesisId one, HypothesisId other) {
        double[] a = chances(one);
        double[] b = chances(other);
        double common = 0;
        for (int k = 0; k < a.length; k++) {
            common += Math.min(a[k], b[k]);
        }
        return common;
    }

    private double[] chances(Prediction prediction) {
        double[] chances = new double[representatives.size()];
        if (prediction instanceof Prediction.Chance expected) {
            chances[0] = errors.likelihood(expected, true);
            chances[1] = errors.likelihood(expected, false);
            return chances;
        }
        Arrays.fill(chances, errors.misread() / chances.length);
        if (prediction instanceof Prediction.Choice choice) {
            choice.chances().forEach((what, p) -> chances[said(what)] += (1 - errors.misread()) * p);
        } else if (prediction instanceof Prediction.Sometimes sometimes) {
            spread(chances, sometimes.present(), (1 - errors.misread()) * sometimes.duty());
            spread(chances, sometimes.absent(), (1 - errors.misread()) * (1 - sometimes.duty()));
        } else {
            spread(chances, (Prediction.Number) prediction, 1 - errors.misread());
        }
        return chances;
    }

    /** Adds a weight over the ranges that a number may fall into. */
    private void spread(double[] chances, Prediction.Number number, double weight) {
        double below = 0;
        for (int k = 0; k < upTo.length; k++) {
            double upToHere = below(number, upTo[k]);
            chances[k] += weight * (upToHere - below);
            below = upToHere;
        }
    }

    private static double below(Prediction.Number number, double bound) {
        boolean open = Double.isInfinite(number.mean());
        return Double.isInfinite(bound) || !open && number.mean() + SURE * number.sigma() <= bound ? 1
                : open || number.mean() - SURE * number.sigma() >= bound ? 0 : Normal.below((bound - number.mean()) / number.sigma());
    }

    /** What no listed hypothesis would show counts as the last outcome. */
    private int said(Told what) {
        for (int k = 0; k < representatives.size(); k++) {
            if (((Prediction.Choice) representatives.get(k)).likeliest().equals(what)) {
                return k;
            }
        }
        return representatives.size() - 1;
    }

    private static Outcomes choices(List<Prediction> predictions, HypothesisSpace space,
            Function<HypothesisId, Prediction> predicted, ErrorModel errors, Shelf shelf) {
        List<Prediction> representatives = new ArrayList<>();
        predictions.stream().flatMap(p -> ((Prediction.Choice) p).chances().keySet().stream()).distinct()
                .forEach(what -> representatives.add(new Prediction.Choice(Map.of(what, 1.0))));
        representatives.add(new Prediction.Choice(Map.of(Told.SOMETHING_ELSE, 1.0)));
        return new Outcomes(representatives, new double[0], space, predicted, errors, shelf);
    }

    private static Outcomes numbers(List<Prediction> predictions, HypothesisSpace space,
            Function<HypothesisId, Prediction> predicted, ErrorModel errors, Shelf shelf) {
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
        List<Integer> cuts = new ArrayList<>();
        cut(order, 0, order.size() - 1, cuts);
        List<Prediction> representatives = new ArrayList<>(List.of(order.get(0)));
        double[] upTo = new double[cuts.size() + 1];
        for (int k = 0; k < cuts.size(); k++) {
            upTo[k] = between(order.get(cuts.get(k) - 1).mean(), order.get(cuts.get(k)).mean());
            representatives.add(order.get(cuts.get(k)));
        }
        upTo[cuts.size()] = Double.POSITIVE_INFINITY;
        return new Outcomes(representatives, upTo, space, predicted, errors, shelf);
    }

    /** Cuts a stretch of numbers at its widest gap while its ends are apart; each cut is before the number of that index, in order. */
    private static void cut(List<Prediction.Number> order, int first, int last, List<Integer> cuts) {
        if (gap(order.get(first), order.get(last)) <= APART_SIGMAS) {
            return;
        }
        int widest = first + 1;
        for (int i = first + 2; i <= last; i++) {
            widest = gap(order.get(i - 1), order.get(i)) > gap(order.get(widest - 1), order.get(widest)) ? i : widest;
        }
        cut(order, first, widest - 1, cuts);
        cuts.add(widest);
        cut(order, widest, last, cuts);
    }

    /** Columns that are alike are kept once: most hypotheses show in most tests what a good unit shows. */
    private double[][] shared(List<double[]> columns) {
        double[][] shared = new double[columns.size()][];
        for (int i = 0; i < shared.length; i++) {
            double[] column = columns.get(i);
            shared[i] = kept.computeIfAbsent(Arrays.stream(column).boxed().toList(), same -> column);
        }
        return shared;
    }

    /** A bound that separates two neighbours; an open reading lies beyond every number. */
    private static double between(double low, double high) {
        return Double.isInfinite(high) ? Double.MAX_VALUE : (low + high) / 2;
    }

    /** How far apart two numbers lie, in standard deviations of both; an open reading lies beyond every number. */
    private static double gap(Prediction.Number a, Prediction.Number b) {
        return a.mean() == b.mean() ? 0 : (b.mean() - a.mean()) / (a.sigma() + b.sigma());
    }
}
