package bricksignal.core.diagnosis.plan;

import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Test;
import java.util.List;

/**
 * A test worth making.
 *
 * @param test what to do
 * @param minutes what it takes from how the unit stands now
 * @param saving expected cost of repair saved by knowing, less the test's own cost, in the pack's currency; may be negative
 * @param bits expected information in bits, at least 0
 * @param branches its outcomes with their probability, most likely first
 */
public record Proposal(Test test, double minutes, double saving, double bits, List<Branch> branches) {

    public Proposal {
        branches = List.copyOf(branches);
    }

    /**
     * One outcome.
     *
     * @param looksLike what would be read
     * @param probability of this outcome now
     * @param suspects the hypotheses that lead to it, as places in the pack's list, most likely first
     */
    public record Branch(Prediction looksLike, double probability, List<Integer> suspects) {
        public Branch {
            suspects = List.copyOf(suspects);
        }
    }

    /** Information per minute: de Kleer and Williams (1987), with the minutes added. */
    public double bitsPerMinute() {
        return bits / minutes;
    }
}
