package bricksignal.core.diagnosis.plan;

import bricksignal.core.Known;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Outcomes;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Ranks the tests that have not been made. A test is worth the expected cost of repair that it saves, one step ahead
 * (Heckerman, Breese and Rommelse, 1995); where no test saves anything, information for its cost decides (de Kleer and
 * Williams, Diagnosing multiple faults, 1987). Ties keep the order of the pack.
 */
public final class Planner {

    /** What is less probable changes no expected cost by a cent and no choice. */
    private static final double RULED_OUT = 1e-7;
    private static final double MEMBER_CHANCE = 0.5;
    /** What tells less than that only confirms what other tests have said: a filler. Ours; one in a thousand ruled out is about so much. */
    private static final double FILLER_BITS = 0.01;
    /** Nobody changes a part for a try that is hardly ever the cause. Common practice, no source; the figure is ours. */
    private static final double WORTH_CHANGING = 0.03;

    private final CompiledPack pack;
    private final Policy policy;

    private Planner(CompiledPack pack, Policy policy) {
        this.pack = pack;
        this.policy = policy;
    }

    public static Planner of(CompiledPack pack, Policy policy) {
        return new Planner(pack, policy);
    }

    public Policy policy() {
        return policy;
    }

    /** Expected cost of repair with what is known now, if no more is measured. */
    public double costToGo(Diagnosis diagnosis) {
        State state = State.of(diagnosis, policy);
        return state.repairs.expectedCost(state.weights, 1);
    }

    /** What repairing a part and trying the unit costs, in the pack's currency. */
    public double repairCost(String part) {
        return Repairs.cost(pack.model().part(part), policy);
    }

    /**
     * Parts in the order in which they are repaired at the least expected cost if no more is measured: most probable for its
     * cost first (Heckerman, Breese and Rommelse, 1995).
     */
    public List<String> repairOrder(Diagnosis diagnosis) {
        Map<String, Double> probability = new LinkedHashMap<>();
        for (HypothesisId id : diagnosis.ranking()) {
            diagnosis.hypothesis(id).parts().forEach(part -> probability.merge(part.id(), diagnosis.belief(id), Double::sum));
        }
        return probability.keySet().stream().sorted(Comparator.comparingDouble((String part) -> -Known.in(probability, part)
                / Repairs.cost(pack.model().part(part), policy))).toList();
    }

    /**
     * Tests not yet made that could tell something, best first.
     *
     * @param standing how the unit stands now, which makes some tests cheaper
     */
    public List<Proposal> proposals(Diagnosis diagnosis, Stand standing) {
        // where nothing on the list may explain what was found, whatever is read says more than the bits between those on the list
        return proposals(State.of(diagnosis, policy), askable(diagnosis, Set.of()), standing, diagnosis.doubted() ? Weighing.NEGLIGIBLE : FILLER_BITS);
    }

    /** What would be proposed after an outcome of a test: the best test then, if any saves anything. */
    public List<Proposal> after(Diagnosis diagnosis, Test made, int outcome) {
        State now = State.of(diagnosis, policy);
        Outcomes outcomes = pack.predictions().outcomes(made);
        double[] weights = new double[now.weights.length];
        double total = 0;
        for (int h = 0; h < weights.length; h++) {
            weights[h] = now.weights[h] * outcomes.chance(outcome, now.ids.get(h));
            total += weights[h];
        }
        for (int h = 0; h < weights.length; h++) {
            weights[h] /= total;
        }
        return proposals(now.with(weights, policy, pack), askable(diagnosis, Set.of(made.id())), Stand.AS_FOUND.after(made), FILLER_BITS);
    }

    /**
     * The same problem in numbers, small enough to be solved exactly: some hypotheses, and the tests that tell most about them
     * for their cost, as many as fit.
     *
     * @param ids the hypotheses; their beliefs are scaled to sum to one
     * @param mostTests at most so many tests
     * @param mostStates at most so many states of the exact solution
     */
    public Decision decision(Diagnosis diagnosis, List<HypothesisId> ids, int mostTests, long mostStates) {
        double sum = ids.stream().mapToDouble(diagnosis::belief).sum();
        double[] prior = ids.stream().mapToDouble(h -> diagnosis.belief(h) / sum).toArray();
        State state = State.of(pack, List.copyOf(ids), prior, policy);
        List<Proposal> best = new ArrayList<>(proposals(state, askable(diagnosis, Set.of()), Stand.AS_FOUND, FILLER_BITS));
        List<double[][]> chances = new ArrayList<>();
        List<Double> costs = new ArrayList<>();
        long states = 1;
        for (Proposal proposal : best) {
            Outcomes outcomes = pack.predictions().outcomes(proposal.test());
            if (chances.size() < mostTests && states * (outcomes.count() + 1) <= mostStates) {
                states *= outcomes.count() + 1;
                costs.add(proposal.cost());
                double[][] chance = new double[outcomes.count()][ids.size()];
                for (int k = 0; k < chance.length; k++) {
                    for (int h = 0; h < chance[k].length; h++) {
                        chance[k][h] = outcomes.chance(k, ids.get(h));
                    }
                }
                chances.add(chance);
            }
        }
        return new Decision(prior, costs.stream().mapToDouble(Double::doubleValue).toArray(), chances.toArray(new double[0][][]),
                state.repairs);
    }

    /** One test weighed, made already or not. */
    public Proposal weigh(Test test, Diagnosis diagnosis, Stand standing) {
        return weigh(List.of(test), diagnosis, standing).get(0);
    }

    /** Some tests weighed, made already or not, in their order. */
    public List<Proposal> weigh(Collection<? extends Test> tests, Diagnosis diagnosis, Stand standing) {
        State state = State.of(diagnosis, policy);
        double now = state.repairs.expectedCost(state.weights, 1);
        return tests.stream().map(test -> weigh(test, state, now, standing)).toList();
    }

    private List<Test> askable(Diagnosis diagnosis, Set<String> without) {
        return pack.catalogue().tests().stream().filter(test -> policy.allows(test) && !without.contains(test.id())
                && !diagnosis.answered(test) && diagnosis.possible(test)).toList();
    }

    private List<Proposal> proposals(State state, List<Test> tests, Stand standing, double leastBits) {
        double now = state.repairs.expectedCost(state.weights, 1);
        List<Proposal> proposals = new ArrayList<>();
        for (Test test : tests) {
            if (worthChanging(test, state)) {
                Proposal proposal = weigh(test, state, now, standing);
                if (proposal.bits() > leastBits) {
                    proposals.add(proposal);
                }
            }
        }
        boolean saves = proposals.stream().anyMatch(proposal -> proposal.saving() > 0);
        proposals.sort(saves ? Comparator.comparingDouble(proposal -> -proposal.saving())
                : Comparator.comparingDouble(proposal -> -proposal.bitsPerCost()));
        return undominatedFirst(proposals);
    }

    /** False for a part changed to see whether the fault goes with it, where the part is hardly suspected. */
    private boolean worthChanging(Test test, State state) {
        if (!(test instanceof Test.Check check && check.sense().changesAPart())) {
            return true;
        }
        Part part = pack.catalogue().changedBy(check);
        double suspected = 0;
        for (int h = 0; h < state.weights.length; h++) {
            suspected += pack.space().get(state.ids.get(h)).parts().contains(part) ? state.weights[h] : 0;
        }
        return suspected >= WORTH_CHANGING;
    }

    /**
     * The order kept, but that no test stands before one that costs and dares no more and tells at least as much, and no gauge
     * before a look that tells as much for its cost.
     */
    private static List<Proposal> undominatedFirst(List<Proposal> ranked) {
        List<Proposal> left = new ArrayList<>(ranked);
        List<Proposal> ordered = new ArrayList<>();
        while (!left.isEmpty()) {
            Proposal next = left.get(0);
            for (Optional<Proposal> better = Optional.of(next); better.isPresent();) {
                next = better.get();
                better = left.stream().filter(next::comesAfter).findFirst();
            }
            left.remove(next);
            ordered.add(next);
        }
        return ordered;
    }

    private Proposal weigh(Test test, State state, double now, Stand standing) {
        Outcomes outcomes = pack.predictions().outcomes(test);
        double[][] chances = outcomes.chances(state.ids, state.places);
        Weighing weighing = Weighing.of(chances, outcomes.count(), state.weights, state.repairs);
        double minutes = TestCost.minutes(pack, test, standing);
        double cost = (minutes + TestCost.bother(test)) * policy.labourPerMinute() + TestCost.partsUsed(pack, test);
        return new Proposal(test, minutes, TestCost.waits(pack, test, standing), cost, now - weighing.after() - cost, weighing.bits(),
                () -> branches(outcomes, chances, weighing.totals(), state));
    }

    private static List<Proposal.Branch> branches(Outcomes outcomes, double[][] chances, double[] totals, State state) {
        List<Proposal.Branch> branches = new ArrayList<>();
        for (int k = 0; k < totals.length; k++) {
            if (totals[k] > 0) {
                branches.add(new Proposal.Branch(k, outcomes.representative(k), totals[k], members(chances, k, state)));
            }
        }
        branches.sort(Comparator.comparingDouble(branch -> -branch.probability()));
        return branches;
    }

    private static List<HypothesisId> members(double[][] chances, int k, State state) {
        List<Integer> members = new ArrayList<>();
        for (int h = 0; h < chances.length; h++) {
            if (state.weights[h] > Weighing.NEGLIGIBLE && chances[h][k] >= MEMBER_CHANCE) {
                members.add(h);
            }
        }
        members.sort(Comparator.comparingDouble((Integer h) -> -state.weights[h]));
        return members.stream().map(state.ids::get).toList();
    }

    /** Hypotheses that are not ruled out, how much each weighs, and what repairing them costs. */
    private record State(List<HypothesisId> ids, int[] places, double[] weights, Repairs repairs) {

        static State of(CompiledPack pack, List<HypothesisId> ids, double[] weights, Policy policy) {
            return new State(ids, ids.stream().mapToInt(pack.space()::place).toArray(), weights, Repairs.of(pack, ids, policy));
        }

        static State of(Diagnosis diagnosis, Policy policy) {
            List<HypothesisId> ids = diagnosis.hypotheses().stream().filter(id -> diagnosis.belief(id) > RULED_OUT).toList();
            double[] weights = ids.stream().mapToDouble(diagnosis::belief).toArray();
            return of(diagnosis.pack(), ids, weights, policy);
        }

        State with(double[] other, Policy policy, CompiledPack pack) {
            List<HypothesisId> left = new ArrayList<>();
            List<Double> kept = new ArrayList<>();
            for (int h = 0; h < other.length; h++) {
                if (other[h] > RULED_OUT) {
                    left.add(ids.get(h));
                    kept.add(other[h]);
                }
            }
            return of(pack, List.copyOf(left), kept.stream().mapToDouble(Double::doubleValue).toArray(), policy);
        }
    }
}
