package bricksignal.core.diagnosis;

import bricksignal.core.lamp.LampPattern;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * The belief over a pack's hypotheses after a list of observations, by Bayes' rule with independent observations. The
 * order of the observations does not matter. Immutable.
 */
public final class Diagnosis {

    private static final double LAMP_MISREAD = 0.04;
    private static final double TWIN_BY_CHANCE = 0.04;
    private static final double TWIN_BY_SHARED_CAUSE = 0.9;
    private static final double CONTRADICTS = 0.05;

    private final CompiledPack pack;
    private final List<Observation> observations;
    private final double[] belief;

    private Diagnosis(CompiledPack pack, List<Observation> observations) {
        this.pack = pack;
        this.observations = List.copyOf(observations);
        this.belief = posterior();
    }

    /** The belief after these observations. */
    public static Diagnosis of(CompiledPack pack, List<Observation> observations) {
        return new Diagnosis(pack, observations);
    }

    public CompiledPack pack() {
        return pack;
    }

    public List<Observation> observations() {
        return observations;
    }

    /** The same with one observation more. */
    public Diagnosis and(Observation observation) {
        List<Observation> more = new ArrayList<>(observations);
        more.add(observation);
        return new Diagnosis(pack, more);
    }

    /** Probability of a hypothesis, by its place in the pack's list. */
    public double belief(int hypothesis) {
        return belief[hypothesis];
    }

    /** Hypotheses by falling probability, as places in the pack's list; equal ones keep the pack's order. */
    public List<Integer> ranking() {
        List<Integer> order = new ArrayList<>();
        for (int h = 0; h < belief.length; h++) {
            order.add(h);
        }
        order.sort(Comparator.comparingDouble((Integer h) -> -belief[h]));
        return order;
    }

    /** True if a test has been answered. */
    public boolean answered(Test test) {
        return observations.stream().anyMatch(o -> o instanceof Observation.Reading r && r.test().equals(test)
                || o instanceof Observation.Answer a && a.test().equals(test));
    }

    /**
     * Likelihood of an observation under a hypothesis, up to a factor that is the same for all hypotheses.
     *
     * @param hypothesis place in the pack's list
     */
    public double likelihood(Observation observation, int hypothesis) {
        if (observation instanceof Observation.Reading reading) {
            return pack.errors().likelihood(reading.test(),
                    (Prediction.Number) pack.predictions(reading.test()).get(hypothesis), reading.value());
        }
        if (observation instanceof Observation.Answer answer) {
            return pack.errors().likelihood((Prediction.Chance) pack.predictions(answer.test()).get(hypothesis),
                    answer.yes());
        }
        if (observation instanceof Observation.Twin twin) {
            boolean shared = pack.hypotheses().get(hypothesis).fault().shared();
            double same = shared ? TWIN_BY_SHARED_CAUSE : TWIN_BY_CHANCE;
            return twin.sameSymptom() ? same : 1 - same;
        }
        Observation.Lamp lamp = (Observation.Lamp) observation;
        Map<LampPattern, Double> shares = lamp.afterReset() ? pack.lampSharesAfterReset(hypothesis, lamp.board())
                : pack.lampShares(hypothesis, lamp.board());
        double seen = pack.model().chart(lamp.board()).likelihood(shares, lamp.weights());
        return (1 - LAMP_MISREAD) * seen + LAMP_MISREAD / (1 + lamp.weights().size());
    }

    /** True if a test can be made on this visit: a swap needs another unit of the site that runs well. */
    public boolean possible(Test test) {
        return !(test instanceof Test.Check check && check.sense() == Test.Sense.SWAP)
                || observations.stream().anyMatch(o -> o instanceof Observation.Twin twin && !twin.sameSymptom());
    }

    /** Observations that the most likely hypothesis explains only as a misread: each is worth repeating. */
    public List<Observation> contradictions() {
        int top = ranking().get(0);
        return observations.stream().filter(observation -> contradicts(observation, top)).toList();
    }

    private boolean contradicts(Observation observation, int hypothesis) {
        if (observation instanceof Observation.Reading reading) {
            return pack.errors().onlyAMisread(reading.test(),
                    (Prediction.Number) pack.predictions(reading.test()).get(hypothesis), reading.value());
        }
        if (observation instanceof Observation.Answer answer) {
            double yes = ((Prediction.Chance) pack.predictions(answer.test()).get(hypothesis)).yes();
            return (answer.yes() ? yes : 1 - yes) < CONTRADICTS;
        }
        return observation instanceof Observation.Lamp && likelihood(observation, hypothesis) <= LAMP_MISREAD;
    }

    private double[] posterior() {
        int n = pack.hypotheses().size();
        double[] log = new double[n];
        double top = Double.NEGATIVE_INFINITY;
        for (int h = 0; h < n; h++) {
            log[h] = Math.log(pack.hypotheses().get(h).prior());
            for (Observation observation : observations) {
                log[h] += Math.log(likelihood(observation, h));
            }
            top = Math.max(top, log[h]);
        }
        double sum = 0;
        for (int h = 0; h < n; h++) {
            log[h] = Math.exp(log[h] - top);
            sum += log[h];
        }
        for (int h = 0; h < n; h++) {
            log[h] /= sum;
        }
        return log;
    }
}
