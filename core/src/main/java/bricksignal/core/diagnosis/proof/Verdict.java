package bricksignal.core.diagnosis.proof;

import bricksignal.core.diagnosis.HypothesisId;
import java.util.List;

/**
 * What can be said now.
 *
 * @param status how far it is proven
 * @param group the leading hypothesis and those that no test can tell from it, the leader first
 * @param probability that the parts of the group are bad, alone or with another
 * @param items what proof needs
 * @param skipped what a stricter school would need and the log does not show
 * @param untested parts that never got power in this fault, so nobody knows whether they are in order, by id
 * @param damaged parts that died of this cause, and that a new one dies of as long as it stands, by id
 * @param unlisted where nothing listed explains what was found, failures that would although no list names them
 */
public record Verdict(Status status, List<HypothesisId> group, double probability, List<ProofItem> items,
        List<ProofItem> skipped, List<String> untested, List<String> damaged, List<HypothesisId> unlisted) {

    /** How far a verdict is proven. */
    public enum Status {
        /** Probable enough and every proof stands in the log. */
        PROVEN,
        /** Probable enough; proof is missing. */
        INDICATED,
        /** Other causes are still open. */
        NOT_YET,
        /** Nothing in the model explains what was found; no part is named. */
        UNEXPLAINED
    }

    public Verdict {
        group = List.copyOf(group);
        items = List.copyOf(items);
        skipped = List.copyOf(skipped);
        untested = List.copyOf(untested);
        damaged = List.copyOf(damaged);
        unlisted = List.copyOf(unlisted);
    }

    /** The leading hypothesis. */
    public HypothesisId leader() {
        return group.get(0);
    }
}
