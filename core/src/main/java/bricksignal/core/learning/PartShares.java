package bricksignal.core.learning;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * How the faults of a family fall on its parts: a Dirichlet law whose prior is the pack's weights, worth so many visits, to which each confirmed visit adds
 * one (Gelman and others, Bayesian Data Analysis, section 3.4).
 */
public final class PartShares {

    /** A pack's weights count as so many visits (our own judgement: as much as a technician sees of one family in some years). */
    public static final double PACK_IS_WORTH_VISITS = 60;

    private PartShares() {
    }

    /**
     * A part.
     *
     * @param part its id
     * @param before share of the faults by the pack, above 0
     * @param confirmed visits that ended with this part, at least 0
     * @param after share by the pack and those visits, above 0
     */
    public record Share(String part, double before, int confirmed, double after) {

        /** How much likelier the part is by them than by the pack alone, above 0. */
        public double factor() {
            return after / before;
        }
    }

    /**
     * The shares of all parts that can be at fault, in the order of the pack; both columns sum to one.
     *
     * @param confirmed visits by part; parts that this unit does not have, or that cannot be at fault, do not count
     * @param packVisits how many visits the pack's weights are worth, above 0
     * @throws IllegalArgumentException if a count is below 0, or the pack is worth nothing
     */
    public static List<Share> of(UnitModel model, Map<String, Integer> confirmed, double packVisits) {
        if (!(packVisits > 0)) {
            throw new IllegalArgumentException("the pack is worth " + packVisits + " visits; it must be above 0");
        }
        double all = model.faults().stream().filter(PartShares::counts).mapToDouble(PartShares::weight).sum();
        List<Part> parts = model.parts().stream().filter(part -> weight(model, part) > 0).toList();
        int visits = parts.stream().mapToInt(part -> count(confirmed, part)).sum();
        List<Share> shares = new ArrayList<>();
        for (Part part : parts) {
            double before = weight(model, part) / all;
            shares.add(new Share(part.id(), before, count(confirmed, part), (packVisits * before + count(confirmed, part)) / (packVisits + visits)));
        }
        return List.copyOf(shares);
    }

    private static double weight(UnitModel model, Part part) {
        return model.faults().stream().filter(fault -> counts(fault) && fault.part().equals(part.id())).mapToDouble(PartShares::weight).sum();
    }

    private static boolean counts(Fault fault) {
        return fault.kind() != Fault.Kind.NOTHING_WRONG;
    }

    private static double weight(Fault fault) {
        return fault.weight() + fault.intermittent();
    }

    private static int count(Map<String, Integer> confirmed, Part part) {
        int count = confirmed.getOrDefault(part.id(), 0);
        if (count < 0) {
            throw new IllegalArgumentException("part '" + part.id() + "' was confirmed " + count + " times; it must be at least 0");
        }
        return count;
    }
}
