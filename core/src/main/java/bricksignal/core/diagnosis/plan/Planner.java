package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Outcomes;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Ranks the tests that have not been made. A test is worth the expected cost of repair that it saves, one step ahead
 * (Heckerman, Breese and Rommelse, 1995); where no test saves anything, information per minute decides (de Kleer and
 * Williams, Diagnosing multiple faults, 1987). Ties keep the order of the pack.
 */
public final class Planner {

    private static final double NEGLIGIBLE = 1e-4;
    private static final double MEMBER_CHANCE = 0.5;

    private final CompiledPack pack;
    private final Policy policy;
    private final Repairs repairs;

    private Planner(CompiledPack pack, Policy policy) {
        this.pack = pack;
        this.policy = policy;
        this.repairs = Repairs.of(pack, policy);
    }

    public static Planner of(CompiledPack pack, Policy policy) {
        return new Planner(pack, policy);
    }

    /** Expected cost of repair with what is known now, if no more is measured. */
    public double costToGo(Diagnosis diagnosis) {
        return repairs.expectedCost(beliefs(diagnosis), 1);
    }

    /**
     * Tests not yet made that could tell something, best first.
     *
     * @param standing how the unit stands now, which makes some tests cheaper
     */
    public List<Proposal> proposals(Diagnosis diagnosis, Setup standing) {
        double[] belief = beliefs(diagnosis);
        double now = repairs.expectedCost(belief, 1);
        List<Proposal> proposals = new ArrayList<>();
        for (Test test : pack.tests()) {
            if (!diagnosis.answered(test) && diagnosis.possible(test)) {
                Proposal proposal = weigh(test, belief, now, standing);
                if (proposal.bits() > NEGLIGIBLE) {
                    proposals.add(proposal);
                }
            }
        }
        boolean saves = proposals.stream().anyMatch(proposal -> proposal.saving() > 0);
        proposals.sort(saves ? Comparator.comparingDouble(proposal -> -proposal.saving())
                : Comparator.comparingDouble(proposal -> -proposal.bitsPerMinute()));
        return proposals;
    }

    /** One test weighed, made already or not. */
    public Proposal weigh(Test test, Diagnosis diagnosis, Setup standing) {
        double[] belief = beliefs(diagnosis);
        return weigh(test, belief, repairs.expectedCost(belief, 1), standing);
    }

    private Proposal weigh(Test test, double[] belief, double now, Setup standing) {
        Outcomes outcomes = pack.outcomes(test);
        List<Proposal.Branch> branches = new ArrayList<>();
        double after = 0;
        double bits = 0;
        double[] weights = new double[belief.length];
        for (int k = 0; k < outcomes.count(); k++) {
            double total = 0;
            for (int h = 0; h < belief.length; h++) {
                weights[h] = belief[h] * outcomes.chance(k, h);
                total += weights[h];
            }
            if (total > NEGLIGIBLE) {
                after += repairs.expectedCost(weights, total);
                bits += gain(weights, total, belief);
                branches.add(new Proposal.Branch(outcomes.representative(k), total, members(outcomes, k, belief)));
            }
        }
        branches.sort(Comparator.comparingDouble(branch -> -branch.probability()));
        double minutes = TestCost.minutes(pack, test, standing);
        return new Proposal(test, minutes, now - after - minutes * policy.labourPerMinute(), Math.max(0, bits), branches);
    }

    /** This outcome's share of the mutual information between test and hypothesis, in bits. */
    private static double gain(double[] weights, double total, double[] belief) {
        double bits = 0;
        for (int h = 0; h < weights.length; h++) {
            if (weights[h] > 0) {
                bits += weights[h] * Math.log(weights[h] / (total * belief[h])) / Math.log(2);
            }
        }
        return bits;
    }

    private static List<Integer> members(Outcomes outcomes, int k, double[] belief) {
        List<Integer> members = new ArrayList<>();
        for (int h = 0; h < belief.length; h++) {
            if (outcomes.chance(k, h) >= MEMBER_CHANCE && belief[h] > NEGLIGIBLE) {
                members.add(h);
            }
        }
        members.sort(Comparator.comparingDouble((Integer h) -> -belief[h]));
        return members;
    }

    private static double[] beliefs(Diagnosis diagnosis) {
        double[] belief = new double[diagnosis.pack().hypotheses().size()];
        for (int h = 0; h < belief.length; h++) {
            belief[h] = diagnosis.belief(h);
        }
        return belief;
    }
}
