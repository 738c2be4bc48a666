package bricksignal.core.diagnosis;

import bricksignal.core.unit.When;
import bricksignal.core.unit.common.CommonFailures;

/**
 * What earlier visits to a unit say before anything is seen: a call-back raises what comes and goes, the part that was changed last
 * and what hands have left behind. The factors fade with time. Common practice; the figures are from memory.
 */
final class History {

    /** After so many days a call-back is hardly one any more. */
    private static final double FADES_DAYS = 30;
    private static final double INTERMITTENT = 3;
    private static final double CHANGED_LAST = 3;
    /** A new part that fails just as the old one did: one in twenty is bad, or the wrong one. */
    private static final double CHANGED_WITHOUT_CURE = 0.05;
    private static final double LEFT_BEHIND = 2;
    /** Of what stays: it came later, or ran by luck. As {@link When#EARLIER_VISIT} has it. */
    private static final double LASTING_RAN_AFTER_A_RESET = 1 - When.EARLIER_VISIT.there();

    private History() {
    }

    /** How much more likely an earlier visit makes a hypothesis, above 0; 1 where it says nothing. */
    static double factor(Observation.Visited visited, Hypothesis h) {
        double recent = Math.exp(-visited.days() / FADES_DAYS);
        double factor = 1;
        if (h.intermittent()) {
            factor *= faded(INTERMITTENT, recent);
        } else if (visited.reset() && !h.nothing()) {
            factor *= LASTING_RAN_AFTER_A_RESET;
        }
        String part = visited.part();
        if (part != null && h.parts().stream().anyMatch(p -> p.id().equals(part))) {
            factor *= visited.same() ? faded(CHANGED_WITHOUT_CURE, recent) : faded(CHANGED_LAST, recent);
        }
        boolean left = h.parts().stream().anyMatch(p -> p.id().equals(CommonFailures.LEFT));
        return left ? factor * faded(LEFT_BEHIND, recent) : factor;
    }

    private static double faded(double factor, double recent) {
        return 1 + (factor - 1) * recent;
    }
}
