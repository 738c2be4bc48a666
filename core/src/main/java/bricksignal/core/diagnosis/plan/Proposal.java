package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Test;
import java.util.List;

/**
 * A test worth making.
 *
 * @param test what to do
 * @param minutes what it takes from how the unit stands now
 * @param cost of making it: minutes and parts used, in the pack's currency
 * @param saving expected cost of repair saved by knowing, less the test's own cost, in the pack's currency; may be negative
 * @param bits expected information in bits, at least 0
 * @param branches its outcomes with their probability, most likely first
 */
public record Proposal(Test test, double minutes, double cost, double saving, double bits, List<Branch> branches) {

    public Proposal {
        branches = List.copyOf(branches);
    }

    /**
     * One outcome.
     *
     * @param outcome its place among the outcomes of the test
     * @param looksLike what would be read
     * @param probability of this outcome now
     * @param suspects the hypotheses that lead to it, most likely first
     */
    public record Branch(int outcome, Prediction looksLike, double probability, List<HypothesisId> suspects) {
        public Branch {
            suspects = List.copyOf(suspects);
        }
    }

    /** Information for its cost: de Kleer and Williams (1987), with the cost added. */
    public double bitsPerCost() {
        return bits / cost;
    }
}
