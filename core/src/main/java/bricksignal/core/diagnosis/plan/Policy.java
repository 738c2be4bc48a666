package bricksignal.core.diagnosis.plan;

import bricksignal.core.unit.Test;
import java.util.Set;

/**
 * How a company works: what minutes and trips cost it, in the pack's currency, and which kinds of test it allows.
 *
 * @param labourPerMinute above 0
 * @param tripCost a second trip for a part that is not on the van, at least 0
 * @param verifyMinutes to see after a repair whether the unit now runs, at least 0
 * @param mistakeCost what a wrong verdict costs beyond the part: call-back, trust; at least 0
 * @param notAllowed kinds of check that are not proposed
 * @param school what proof it asks for before a part is condemned
 */
public record Policy(double labourPerMinute, double tripCost, double verifyMinutes, double mistakeCost,
        Set<Test.Sense> notAllowed, School school) {

    public Policy {
        if (!(labourPerMinute > 0) || !(tripCost >= 0) || !(verifyMinutes >= 0)
                || !(mistakeCost >= 0)) {
            throw new IllegalArgumentException("policy " + labourPerMinute + ", " + tripCost + ", " + verifyMinutes
                    + ", " + mistakeCost + ": labour must be above 0, the others at least 0");
        }
        notAllowed = Set.copyOf(notAllowed);
    }

    /** Invented figures of the demo company; everything is allowed. */
    public static Policy defaults() {
        return new Policy(1.5, 90, 5, 400, Set.of(), School.STRICT);
    }

    /** The same with another school of proof. */
    public Policy with(School other) {
        return new Policy(labourPerMinute, tripCost, verifyMinutes, mistakeCost, notAllowed, other);
    }

    /** True if a test of this kind may be proposed. */
    public boolean allows(Test test) {
        return !(test instanceof Test.Check check && notAllowed.contains(check.sense()));
    }
}
