package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Proposal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The plan two levels deep: the test to make, what it may show, and what comes then.
 *
 * @param first the test to make
 * @param ways its outcomes, most likely first
 */
public record Plan(Proposal first, List<Way> ways) {

    private static final double LEAST_PROBABILITY = 0.02;

    public Plan {
        ways = List.copyOf(ways);
    }

    /**
     * One way on.
     *
     * @param outcome what the first test shows
     * @param next the test after it; empty where no further test is worth its cost
     */
    public record Way(Proposal.Branch outcome, Optional<Proposal> next) {
    }

    /** The plan behind a proposal. */
    public static Plan of(Diagnosis diagnosis, Planner planner, Proposal first) {
        List<Way> ways = new ArrayList<>();
        for (Proposal.Branch branch : first.branches()) {
            if (branch.probability() >= LEAST_PROBABILITY) {
                ways.add(new Way(branch, planner.after(diagnosis, first.test(), branch.outcome()).stream()
                        .filter(proposal -> proposal.saving() > 0).findFirst()));
            }
        }
        return new Plan(first, ways);
    }
}
