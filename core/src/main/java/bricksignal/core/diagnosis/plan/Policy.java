package bricksignal.core.diagnosis.plan;

/**
 * What minutes and trips cost a company, in the pack's currency.
 *
 * @param labourPerMinute above 0
 * @param tripCost a second trip for a part that is not on the van, at least 0
 * @param verifyMinutes to see after a repair whether the unit now runs, at least 0
 * @param mistakeCost what a wrong verdict costs beyond the part: call-back, trust; at least 0
 */
public record Policy(double labourPerMinute, double tripCost, double verifyMinutes, double mistakeCost) {

    public Policy {
        if (!(labourPerMinute > 0) || !(tripCost >= 0) || !(verifyMinutes >= 0)
                || !(mistakeCost >= 0)) {
            throw new IllegalArgumentException("policy " + labourPerMinute + ", " + tripCost + ", " + verifyMinutes
                    + ", " + mistakeCost + ": labour must be above 0, the others at least 0");
        }
    }

    /** Invented figures of the demo company. */
    public static Policy defaults() {
        return new Policy(1.5, 90, 5, 400);
    }
}
