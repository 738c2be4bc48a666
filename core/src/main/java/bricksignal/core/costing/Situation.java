package bricksignal.core.costing;

import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.Part;
import java.util.List;

/**
 * A verdict, as far as money goes.
 *
 * @param parts what has to be put right, the cause first, then what it took with it
 * @param probability that it is the cause, 0 to 1
 * @param untested what never got power and may be bad too
 * @param meanRepair what a fault of such a unit costs to repair, in expectation
 * @param share how many of the faults of such a unit are of the parts that are new, 0 to 1
 * @param age of the unit in years, at least 0
 * @param twin whether a unit stands by that runs and can lend the part
 */
public record Situation(Policy policy, Rates rates, List<Part> parts, double probability, List<Untested> untested, double meanRepair, double share,
        double age, boolean twin) {

    /**
     * Something that never got power.
     *
     * @param chance that it is bad, 0 to 1
     */
    public record Untested(Part part, double chance) {
    }

    public Situation {
        parts = List.copyOf(parts);
        untested = List.copyOf(untested);
        if (!(age >= 0 && age <= 100)) {
            throw new IllegalArgumentException("the age is " + age + " years; it must lie between 0 and 100");
        }
        if (!(probability >= 0 && probability <= 1) || !(share >= 0 && share <= 1) || !(meanRepair >= 0)) {
            throw new IllegalArgumentException("probability is " + probability + ", share " + share + ", mean repair " + meanRepair
                    + "; the first two must lie between 0 and 1, the last at least at 0");
        }
    }

    /** True where nothing is bought: a plug, a wire, a setting. */
    boolean inPlace() {
        return parts.stream().allMatch(part -> part.kind() == Part.Kind.WIRING || part.kind() == Part.Kind.OPERATION);
    }

    boolean board() {
        return parts.stream().anyMatch(part -> part.kind() == Part.Kind.BOARD);
    }

    boolean onTheVan() {
        return parts.stream().allMatch(Part::stocked);
    }

    double price() {
        return parts.stream().mapToDouble(Part::price).sum();
    }

    double minutes() {
        return parts.stream().mapToDouble(Part::minutes).sum() + policy.verifyMinutes();
    }
}
