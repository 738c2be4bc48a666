package bricksignal.core.diagnosis;

import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The belief over a pack's hypotheses after a list of observations, by Bayes' rule with independent observations. Singles are
 * always considered; pairs of faults where together they could explain what no single one does ({@link PairSearch}). After a
 * repair the belief goes on over what is left. Immutable.
 */
public final class Diagnosis {

    private static final double CONTRADICTS = 0.05;
    private static final double UNKNOWN_PRIOR = 0.02;
    private static final double DOUBT = 0.02;
    private static final double DECIDED = 0.5;

    private final CompiledPack pack;
    private final Likelihoods likelihoods;
    private final List<Observation> observations;
    private final List<List<Observation>> together;
    private final List<Set<String>> repairedBefore = new ArrayList<>();
    private final List<Boolean> failingBefore = new ArrayList<>();
    private boolean failing;
    private final Set<String> repaired = new LinkedHashSet<>();
    private final List<double[]> singles;
    private final List<double[]> looseSingles;
    private final Map<Integer, Double> belief;
    private final int[] places;
    private final double logEvidence;
    private final double unexplained;
    private @Nullable Map<Integer, Double> unlisted;
    private @Nullable List<Observation> odd;

    private Diagnosis(CompiledPack pack, List<Observation> observations, List<double[]> known,
            List<double[]> knownLoose) {
        this.pack = pack;
        this.likelihoods = Likelihoods.of(pack);
        Likelihoods loose = Likelihoods.loose(pack);
        this.observations = List.copyOf(observations);
        this.together = Likelihoods.together(this.observations);
        for (Observation observation : this.observations) {
            repairedBefore.add(Set.copyOf(repaired));
            failingBefore.add(failing);
            failing = !(observation instanceof Observation.Repaired) && (failing || WatchTest.seenToFail(observation));
            if (observation instanceof Observation.Repaired repair) {
                repaired.add(repair.part());
            }
        }
        this.singles = new ArrayList<>(known);
        this.looseSingles = new ArrayList<>(knownLoose);
        while (singles.size() < this.observations.size()) {
            looseSingles.add(singleLogs(loose, singles.size()));
            singles.add(singleLogs(likelihoods, singles.size()));
        }
        this.belief = new LinkedHashMap<>();
        this.logEvidence = posterior(belief);
        this.unexplained = unexplained(logEvidence);
        this.places = belief.keySet().stream().mapToInt(Integer::intValue).toArray();
    }

    /** The belief after these observations. */
    public static Diagnosis of(CompiledPack pack, List<Observation> observations) {
        return new Diagnosis(pack, observations, List.of(), List.of());
    }

    public CompiledPack pack() {
        return pack;
    }

    /** Everything observed, repairs among it. */
    public List<Observation> observations() {
        return observations;
    }

    /** What was observed of the unit as it is now: since the last repair. */
    public List<Observation> sinceRepair() {
        int from = 0;
        for (int i = 0; i < observations.size(); i++) {
            from = observations.get(i) instanceof Observation.Repaired ? i + 1 : from;
        }
        return observations.subList(from, observations.size());
    }

    /** The parts that were repaired on this visit, by id. */
    public Set<String> repaired() {
        return Collections.unmodifiableSet(repaired);
    }

    /** The same with several observations more. */
    public Diagnosis and(List<Observation> further) {
        List<Observation> more = new ArrayList<>(observations);
        more.addAll(further);
        return new Diagnosis(pack, more, singles, looseSingles);
    }

    /** The same with one observation more. */
    public Diagnosis and(Observation observation) {
        return and(List.of(observation));
    }

    /** The places of the hypotheses that are considered: every single one, and the pairs that could explain it. */
    public int[] places() {
        return places.clone();
    }

    /** The hypothesis at a place. */
    public Hypothesis hypothesis(int place) {
        return pack.hypothesis(place);
    }

    /** Probability of the hypothesis at a place; 0 for one that is not considered. */
    public double belief(int place) {
        return belief.getOrDefault(place, 0.0);
    }

    /**
     * Probability that no listed fault explains what was found, 0 to 1; the beliefs say what is most likely if one does. Failures
     * that are not listed are only asked once one of the listed leads, or all fit badly.
     */
    public double unexplained() {
        boolean ask = unexplained > DOUBT || Collections.max(belief.values()) > DECIDED;
        double odds = unexplained / (1 - unexplained)
                + (ask ? unlisted().values().stream().mapToDouble(Double::doubleValue).sum() : 0);
        return Double.isFinite(odds) ? odds / (1 + odds) : 1;
    }

    /**
     * Failures that the pack does not list but its physics allows, by place: how probable each is for one of everything that is
     * listed, heaviest first.
     */
    public Map<Integer, Double> unlisted() {
        if (unlisted == null) {
            Map<Integer, Double> odds = new LinkedHashMap<>();
            for (int place : pack.unlistedPlaces()) {
                odds.put(place, Math.exp(log(place, Math.log(pack.hypothesis(place).prior())) - logEvidence));
            }
            Map<Integer, Double> heaviestFirst = new LinkedHashMap<>();
            odds.entrySet().stream().sorted(Map.Entry.<Integer, Double>comparingByValue().reversed())
                    .forEach(entry -> heaviestFirst.put(entry.getKey(), entry.getValue()));
            unlisted = heaviestFirst;
        }
        return unlisted;
    }

    /** Places by falling probability; equal ones keep their order. */
    public List<Integer> ranking() {
        List<Integer> order = new ArrayList<>(belief.keySet());
        order.sort(Comparator.comparingDouble((Integer h) -> -belief(h)));
        return order;
    }

    /** True if a test can be made on this visit: a swap needs another unit of the site that runs well. */
    public boolean possible(Test test) {
        return !(test instanceof Test.Check check && check.sense() == Test.Sense.SWAP)
                || observations.stream().anyMatch(o -> o instanceof Observation.Twin twin && !twin.sameSymptom());
    }

    /** True if a test has been made on the unit as it is now as often as it makes sense: one that does not fit is repeated. */
    public boolean answered(Test test) {
        List<Observation> seen = sinceRepair();
        int from = 0;
        for (int i = 0; i < seen.size(); i++) {
            from = WatchTest.seenToFail(seen.get(i)) && !(test instanceof Test.Check c && c.sense().watches()) ? i + 1 : from;
        }
        List<Observation> made = seen.subList(from, seen.size()).stream().filter(o -> o instanceof Observation.Reading r
                && r.test().equals(test) || o instanceof Observation.Answer a && a.test().equals(test)
                || test instanceof Test.Sequence && o.ofTheSequence()).toList();
        int most = made.size() == 1 && odd().contains(made.get(0)) ? 2 : WatchTest.most(test);
        return made.size() >= most;
    }

    private List<Observation> odd() {
        if (odd == null) {
            odd = contradictions();
        }
        return odd;
    }

    /** Likelihood of an observation of the unit as it is now, up to a factor that is the same for all hypotheses. */
    public double likelihood(Observation observation, int place) {
        return likelihoods.of(observation, place);
    }

    /** Observations that the most likely hypothesis explains only as a misread: each is worth repeating. */
    public List<Observation> contradictions() {
        int top = ranking().get(0);
        return sinceRepair().stream().filter(observation -> contradicts(observation, top)).toList();
    }

    /** True if a hypothesis explains an observation only as a misread. */
    public boolean contradicts(Observation observation, int place) {
        if (observation instanceof Observation.Reading reading) {
            return pack.errors().onlyAMisread(reading.test(), pack.prediction(reading.test(), place), reading.value());
        }
        if (observation instanceof Observation.Answer answer) {
            double yes = ((Prediction.Chance) pack.prediction(answer.test(), place)).yes();
            return (answer.yes() ? yes : 1 - yes) < CONTRADICTS;
        }
        return observation instanceof Observation.Lamp && likelihood(observation, place) <= Likelihoods.LAMP_MISREAD;
    }

    /** Fills in the belief by place of what is left, likely or not, in log space until the end; the logarithm of the evidence. */
    private double posterior(Map<Integer, Double> left) {
        Map<Integer, Double> logs = new LinkedHashMap<>();
        double[] ofSingles = unscaled(singles);
        for (int h = 0; h < ofSingles.length; h++) {
            logs.put(h, ofSingles[h]);
        }
        for (PairSearch.Pair pair : PairSearch.of(pack, singles, logs)) {
            logs.put(pair.place(), log(pair.place(), Math.log(pair.prior())));
        }
        double top = logs.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double sum = 0;
        for (Map.Entry<Integer, Double> entry : logs.entrySet()) {
            double weight = Math.exp(entry.getValue() - top);
            sum += weight;
            int now = pack.after(entry.getKey(), repaired);
            left.merge(failing ? pack.failing(now) : now, weight, Double::sum);
        }
        double total = sum;
        left.replaceAll((place, weight) -> weight / total);
        return top + Math.log(sum);
    }

    /** The place of a hypothesis as it was when the observation at an index was made. */
    private int then(int place, int index) {
        int left = pack.after(place, repairedBefore.get(index));
        return failingBefore.get(index) ? pack.failing(left) : left;
    }

    private double log(int place, double logPrior) {
        double log = logPrior;
        for (int i = 0; i < observations.size(); i++) {
            log += likelihoods.log(together.get(i), then(place, i));
        }
        return log;
    }

    /** Logarithm of the likelihood of the observation at an index under each single hypothesis as it was then. */
    private double[] singleLogs(Likelihoods by, int index) {
        double[] logs = new double[pack.hypotheses().size()];
        for (int h = 0; h < logs.length; h++) {
            logs[h] = by.log(together.get(index), then(h, index));
        }
        return logs;
    }

    /** Logarithm of prior times likelihoods of each single hypothesis, from the columns of the observations. */
    private double[] unscaled(List<double[]> columns) {
        double[] logs = new double[pack.hypotheses().size()];
        for (int h = 0; h < logs.length; h++) {
            logs[h] = Math.log(pack.hypotheses().get(h).prior());
            for (double[] column : columns) {
                logs[h] += column[h];
            }
        }
        return logs;
    }

    /** The same evidence where every hypothesis is true but for something unmodelled that upsets any observation. */
    private double unexplained(double logEvidence) {
        double[] logs = unscaled(looseSingles);
        double top = java.util.Arrays.stream(logs).max().orElseThrow();
        double sum = 0;
        for (double log : logs) {
            sum += Math.exp(log - top);
        }
        double unknown = top + Math.log(sum) + Math.log(UNKNOWN_PRIOR);
        return 1 / (1 + Math.exp(logEvidence + Math.log(1 - UNKNOWN_PRIOR) - unknown));
    }
}
