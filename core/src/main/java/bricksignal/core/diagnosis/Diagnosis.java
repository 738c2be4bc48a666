package bricksignal.core.diagnosis;

import bricksignal.core.unit.Test;
import bricksignal.core.unit.common.CommonFailures;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * The belief over what may be the matter after a list of observations, by Bayes' rule with independent observations. Listed
 * faults are always considered; pairs of them where together they could explain what no single one does ({@link PairSearch}).
 * After a repair the belief goes on over what is left. Immutable; one observation more is added to what is known and nothing
 * before it is computed again. Safe for use by several threads.
 */
public final class Diagnosis {

    private static final double CONTRADICTS = 0.05;
    private static final double UNKNOWN_PRIOR = 0.02;
    private static final double DOUBT = 0.02;
    /** Above this probability what the list does not hold is too near. */
    private static final double DOUBTED = 0.1;
    private static final double DECIDED = 0.5;
    private static final int DANGER_TIMES = 3;
    /** An entry of a map that keeps its order with a number, in the belief and in the ranking. */
    private static final long BYTES_OF_A_BELIEF = 88;
    /** An entry of a map with a sum, for each failure that no list names and each pair. */
    private static final long BYTES_OF_A_SUM = 72;

    private final CompiledPack pack;
    private final boolean pairs;
    private final HypothesisSpace space;
    private final Likelihoods likelihoods;
    private final Evidence evidence;
    private final List<Observation> observations;
    private final List<double[]> columns;
    /** Logarithms of prior times likelihoods by how the unit stops, in the order of {@link Stopping}. */
    private final double[][] logs;
    private final double[] looseLogs;
    private final Map<HypothesisId, Sum> sums;
    private final Map<HypothesisId, Double> belief = new LinkedHashMap<>();
    private final double logEvidence;
    private final double unexplained;
    private @Nullable List<HypothesisId> ranking;
    private volatile @Nullable Map<HypothesisId, Double> unlisted;
    private volatile @Nullable List<Observation> odd;
    private volatile @Nullable List<Observation> failing;
    private volatile @Nullable IdentityHashMap<Observation, Set<String>> renewedOtherwise;

    /** Logarithm of the likelihood of the first observations under a hypothesis beyond the considered ones. */
    private record Sum(int upTo, double log) {
    }

    private Diagnosis(CompiledPack pack, boolean pairs) {
        this.pack = pack;
        this.pairs = pairs;
        this.space = pack.space();
        this.likelihoods = Likelihoods.of(pack);
        this.evidence = Evidence.NONE;
        this.observations = List.of();
        this.columns = List.of();
        double[] priors = space.considered().stream().mapToDouble(h -> Math.log(h.prior())).toArray();
        this.logs = Arrays.stream(Stopping.values()).map(stopping -> priors).toArray(double[][]::new);
        this.looseLogs = priors.clone();
        this.sums = new ConcurrentHashMap<>();
        this.logEvidence = posterior();
        this.unexplained = looser();
    }

    /**
     * One observation more.
     *
     * @param settled whether the belief is wanted; false while more observations follow at once, and then nobody may ask
     */
    private Diagnosis(Diagnosis before, Observation observation, boolean settled) {
        this.pack = before.pack;
        this.pairs = before.pairs;
        this.space = before.space;
        this.likelihoods = before.likelihoods;
        this.evidence = before.evidence.and(observation, space);
        this.observations = evidence.observations();
        this.sums = new ConcurrentHashMap<>(before.sums);
        Columns.Column known = pack.columns().of(evidence.entries().get(observations.size() - 1));
        this.logs = new double[before.logs.length][];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = sums(before.logs[i], known.stopping()[i]);
        }
        this.looseLogs = sums(before.looseLogs, known.loose());
        List<double[]> more = new ArrayList<>(before.columns);
        more.add(known.best());
        this.columns = Collections.unmodifiableList(more);
        this.logEvidence = settled ? posterior() : Double.NaN;
        this.unexplained = settled ? looser() : Double.NaN;
    }

    private static double[] sums(double[] one, double[] other) {
        double[] sums = new double[one.length];
        Arrays.setAll(sums, i -> one[i] + other[i]);
        return sums;
    }

    /** The belief before anything is known. */
    public static Diagnosis of(CompiledPack pack) {
        return new Diagnosis(pack, true);
    }

    /** The same for somebody who knows that one thing alone is the matter: no pair of faults is thought of. */
    public static Diagnosis ofSingles(CompiledPack pack) {
        return new Diagnosis(pack, false);
    }

    /** The belief after these observations. */
    public static Diagnosis of(CompiledPack pack, List<Observation> observations) {
        return new Diagnosis(pack, true).and(observations);
    }

    public CompiledPack pack() {
        return pack;
    }

    /**
     * About how many bytes it takes beside its unit and the diagnosis before it: numbers of each hypothesis, a belief in it, and one number more
     * for each observation. For holding diagnoses by weight.
     */
    public long bytes() {
        return (long) looseLogs.length * (BYTES_OF_A_BELIEF + (long) Double.BYTES * (1 + logs.length + observations.size())) + BYTES_OF_A_SUM * sums.size();
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
        return evidence.standing().repaired();
    }

    /** The same with several observations more. */
    public Diagnosis and(List<Observation> further) {
        Diagnosis now = this;
        for (int i = 0; i < further.size(); i++) {
            now = new Diagnosis(now, further.get(i), i == further.size() - 1);
        }
        return now;
    }

    /** The same with one observation more. */
    public Diagnosis and(Observation observation) {
        return new Diagnosis(this, observation, true);
    }

    /** What is considered: every listed fault, staying and intermittent, and the pairs that could explain what was found. */
    public Set<HypothesisId> hypotheses() {
        return Collections.unmodifiableSet(belief.keySet());
    }

    /** The hypothesis of that identity. */
    public Hypothesis hypothesis(HypothesisId id) {
        return space.get(id);
    }

    /** Probability of a hypothesis; 0 for one that is not considered. */
    public double belief(HypothesisId id) {
        return belief.getOrDefault(id, 0.0);
    }

    /** A hypothesis as it stands now, by what was repaired, seen to fail and renewed on this visit. */
    public HypothesisId now(HypothesisId id) {
        return space.standing(id, evidence.standing());
    }

    /** The most probable hypothesis. */
    public HypothesisId leader() {
        return ranking().get(0);
    }

    /** Hypotheses by falling probability; equal ones keep their order. */
    public List<HypothesisId> ranking() {
        List<HypothesisId> known = ranking;
        if (known == null) {
            known = belief.entrySet().stream().sorted(Map.Entry.<HypothesisId, Double>comparingByValue().reversed())
                    .map(Map.Entry::getKey).toList();
            ranking = known;
        }
        return known;
    }

    /**
     * Probability that no listed fault explains what was found, 0 to 1; the beliefs say what is most likely if one does. Failures
     * that are not listed are only asked once one of the listed leads, or all fit badly.
     */
    public double unexplained() {
        boolean ask = unexplained > DOUBT || belief(leader()) > DECIDED;
        double odds = unexplained / (1 - unexplained)
                + (ask ? unlisted().values().stream().mapToDouble(Double::doubleValue).sum() : 0);
        return Double.isFinite(odds) ? odds / (1 + odds) : 1;
    }

    /** True where it may well be that no listed fault explains what was found: nothing is proven then. */
    public boolean doubted() {
        return unexplained() > DOUBTED;
    }

    /**
     * Failures that the pack does not list but its physics allows: how probable each is for one of everything that is listed,
     * heaviest first.
     */
    public Map<HypothesisId, Double> unlisted() {
        Map<HypothesisId, Double> known = unlisted;
        if (known == null) {
            Map<HypothesisId, Double> odds = new LinkedHashMap<>();
            for (Hypothesis h : pack.runs().unlisted()) {
                odds.put(h.id(), Math.exp(log(h.id(), Math.log(h.prior())) - logEvidence));
            }
            Map<HypothesisId, Double> heaviestFirst = new LinkedHashMap<>();
            odds.entrySet().stream().sorted(Map.Entry.<HypothesisId, Double>comparingByValue().reversed())
                    .forEach(entry -> heaviestFirst.put(entry.getKey(), entry.getValue()));
            known = Collections.unmodifiableMap(heaviestFirst);
            unlisted = known;
        }
        return known;
    }

    /**
     * True if a test can be made on this visit: nobody said that it cannot, a swap needs another unit of the site, of the same kind, that runs well, and what is
     * put right for a try was found before.
     */
    public boolean possible(Test test) {
        if (observations.stream().anyMatch(o -> o instanceof Observation.Unable unable && unable.covers(test))) {
            return false;
        }
        Optional<String> premise = CommonFailures.premise(test);
        if (premise.isPresent()) {
            return observations.stream().anyMatch(o -> o instanceof Observation.Answer answer && answer.yes() && answer.test().id().equals(premise.get()));
        }
        return !(test instanceof Test.Check check && check.sense() == Test.Sense.SWAP)
                || observations.stream().anyMatch(o -> o instanceof Observation.Twin twin && !twin.sameSymptom() && twin.sameKind());
    }

    /** True if a test has been made on the unit as it is now as often as it makes sense: one that does not fit is repeated. */
    public boolean answered(Test test) {
        List<Observation> seen = test instanceof Test.Check c && c.sense().watches() ? sinceRepair() : sinceSeenToFail();
        int times = 0;
        Observation last = null;
        for (Observation o : seen) {
            if (o.made(test) && stillTells(o, test)) {
                times++;
                last = o;
            }
        }
        boolean danger = pack.model().dangers().levels().containsKey(test.id());   // one zero of what is dangerous is not enough
        int most = times == 1 && odd().contains(last) ? 2 : danger ? DANGER_TIMES : WatchTest.most(test, leader().equals(pack.space().nothing()));
        return times >= most;
    }

    /** False for what was found before a fuse or a button was renewed and would be otherwise now. */
    private boolean stillTells(Observation seen, Test test) {
        HypothesisId then = whenMade(seen, leader());
        return then.equals(leader()) || pack.predictions().of(test, then).equals(pack.predictions().of(test, leader()));
    }

    /** What was observed since the unit was last seen to fail: what was tested before tells of another state of it. */
    private List<Observation> sinceSeenToFail() {
        List<Observation> known = failing;
        if (known == null) {
            List<Observation> seen = sinceRepair();
            int from = 0;
            for (int i = 0; i < seen.size(); i++) {
                from = WatchTest.seenToFail(seen.get(i)) ? i + 1 : from;
            }
            known = seen.subList(from, seen.size());
            failing = known;
        }
        return known;
    }

    private List<Observation> odd() {
        List<Observation> known = odd;
        if (known == null) {
            known = contradictions();
            odd = known;
        }
        return known;
    }

    /**
     * Likelihood of an observation, up to a factor that is the same for all hypotheses: of one that was made, as what dies for good stood then; of any other, of
     * the unit as it is now.
     */
    public double likelihood(Observation observation, HypothesisId id) {
        return likelihoods.of(observation, whenMade(observation, id));
    }

    private HypothesisId whenMade(Observation observation, HypothesisId id) {
        Set<String> then = renewedOtherwise().get(observation);
        return then == null ? id : space.standing(space.cause(id), new Standing(repaired(), evidence.standing().failing(), then));
    }

    /** What was new when something was observed, where other elements are new now; by the observation itself and not by its like. */
    private IdentityHashMap<Observation, Set<String>> renewedOtherwise() {
        IdentityHashMap<Observation, Set<String>> known = renewedOtherwise;
        if (known == null) {
            IdentityHashMap<Observation, Set<String>> found = new IdentityHashMap<>();
            evidence.entries().stream().filter(entry -> !entry.before().renewed().equals(evidence.standing().renewed()))
                    .forEach(entry -> found.putIfAbsent(entry.observation(), entry.before().renewed()));
            known = found;
            renewedOtherwise = known;
        }
        return known;
    }

    /** Observations that the most likely hypothesis explains only as a misread: each is worth repeating. */
    public List<Observation> contradictions() {
        return sinceRepair().stream().filter(observation -> contradicts(observation, leader())).toList();
    }

    /** True if a hypothesis explains an observation only as a misread. */
    public boolean contradicts(Observation observation, HypothesisId hypothesis) {
        HypothesisId id = whenMade(observation, hypothesis);
        if (observation instanceof Observation.Reading reading) {
            return Arrays.stream(Stopping.values()).allMatch(stopping -> pack.errors().onlyAMisread(reading.test(), pack.predictions().of(reading.test(), id, stopping),
                    reading.value()));
        }
        if (observation instanceof Observation.Answer answer) {
            double yes = ((Prediction.Chance) pack.predictions().of(answer.test(), id)).yes();
            return (answer.yes() ? yes : 1 - yes) < CONTRADICTS;
        }
        return observation instanceof Observation.Lamp && likelihoods.of(observation, id) <= Likelihoods.LAMP_MISREAD;
    }

    /**
     * The same of a hypothesis as it stands: of what died of a cause nobody says that it was made new between two readings, untold. That it was is explained by
     * the cause before anything died.
     */
    public boolean contradictsAsItStands(Observation observation, HypothesisId hypothesis) {
        HypothesisId id = whenMade(observation, hypothesis);
        if (id instanceof HypothesisId.Spent && observation instanceof Observation.Reading reading
                && pack.predictions().of(reading.test(), id) instanceof Prediction.Sometimes sometimes) {
            return pack.errors().onlyAMisread(reading.test(), sometimes.present(), reading.value());
        }
        return contradicts(observation, hypothesis);
    }

    /** Fills in the belief in what is left, likely or not, in log space until the end; the logarithm of the evidence. */
    private double posterior() {
        Map<HypothesisId, Double> all = new LinkedHashMap<>();
        double[] mixed = Stopping.mixedLogs(logs);
        for (int h = 0; h < mixed.length; h++) {
            all.put(space.considered().get(h).id(), mixed[h]);
        }
        for (PairSearch.Candidate candidate : pairs ? PairSearch.of(space, columns, mixed) : List.<PairSearch.Candidate>of()) {
            all.put(candidate.pair(), log(candidate.pair(), Math.log(candidate.prior())));
        }
        double sum = PairSearch.logSum(all.values().stream().mapToDouble(Double::doubleValue).toArray());
        all.forEach((id, log) -> {
            belief.merge(now(id), Math.exp(log - sum), Double::sum);
        });
        return sum;
    }

    /** Logarithm of prior times likelihoods of a pair or an unlisted failure; what was summed up before is gone on from. */
    private double log(HypothesisId id, double logPrior) {
        Sum known = sums.getOrDefault(id, new Sum(0, 0));
        double log = known.log();
        for (Evidence.Entry entry : evidence.entries().subList(known.upTo(), evidence.entries().size())) {
            log += likelihoods.log(entry.together(), entry.then(space, id), Stopping.AS_DECLARED);
        }
        sums.put(id, new Sum(evidence.entries().size(), log));
        return logPrior + log;
    }

    /** The same evidence where every hypothesis is true but for something unmodelled that upsets any observation. */
    private double looser() {
        double unknown = PairSearch.logSum(looseLogs) + Math.log(UNKNOWN_PRIOR);
        return 1 / (1 + Math.exp(logEvidence + Math.log(1 - UNKNOWN_PRIOR) - unknown));
    }
}
