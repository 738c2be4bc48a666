package bricksignal.core.learning;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * How the faults of a family fall on its parts: a Dirichlet law whose prior is the pack's weights, worth so many visits, to which each confirmed visit adds
 * one (Gelman and others, Bayesian Data Analysis, section 3.4). How many visits the pack is worth is not known either: where the records look like the pack
 * it is worth many, where they do not it is worth few. Each number of them counts by how well it foretells the records (the same, section 5.3).
 */
public final class PartShares {

    /** What a pack may be worth, visits: from a month of one technician to more than any company makes (our own judgement), each twice the one before. */
    private static final double[] WORTH = {20, 40, 80, 160, 320, 640, 1280, 2560, 5120};

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

        /** The share where the pack is worth so many visits and so many were confirmed of all parts. */
        private double by(double packVisits, int visits) {
            return (packVisits * before + confirmed) / (packVisits + visits);
        }

        private Share moved(double share) {
            return new Share(part, before, confirmed, share);
        }
    }

    /**
     * The shares of all parts that can be at fault, in the order of the pack; both columns sum to one.
     *
     * @param confirmed visits by part; parts that this unit does not have, or that cannot be at fault, do not count
     * @throws IllegalArgumentException if a count is below 0
     */
    public static List<Share> of(UnitModel model, Map<String, Integer> confirmed) {
        List<Share> counted = counted(model, confirmed);
        double[] logs = Arrays.stream(WORTH).map(worth -> logEvidence(counted, worth)).toArray();
        double most = Arrays.stream(logs).max().orElseThrow();
        double[] chances = Arrays.stream(logs).map(log -> Math.exp(log - most)).toArray();
        double sum = Arrays.stream(chances).sum();
        int visits = visits(counted);
        return counted.stream().map(share -> share.moved(IntStream.range(0, WORTH.length).mapToDouble(k -> chances[k] / sum * share.by(WORTH[k], visits))
                .sum())).toList();
    }

    /**
     * The same where the pack is worth so many visits.
     *
     * @param packVisits above 0
     */
    static List<Share> of(UnitModel model, Map<String, Integer> confirmed, double packVisits) {
        if (!(packVisits > 0)) {
            throw new IllegalArgumentException("the pack is worth " + packVisits + " visits; it must be above 0");
        }
        List<Share> counted = counted(model, confirmed);
        int visits = visits(counted);
        return counted.stream().map(share -> share.moved(share.by(packVisits, visits))).toList();
    }

    /** The shares by the pack, with what was confirmed beside them. */
    private static List<Share> counted(UnitModel model, Map<String, Integer> confirmed) {
        double all = model.faults().stream().filter(PartShares::counts).mapToDouble(PartShares::weight).sum();
        return model.parts().stream().filter(part -> weight(model, part) > 0).map(part -> {
            double before = weight(model, part) / all;
            return new Share(part.id(), before, count(confirmed, part), before);
        }).toList();
    }

    private static int visits(List<Share> counted) {
        return counted.stream().mapToInt(Share::confirmed).sum();
    }

    /** Logarithm of how well a pack that is worth so many visits foretells the records in their order: a Dirichlet-multinomial law. */
    static double logEvidence(List<Share> shares, double packVisits) {
        double log = 0;
        int visits = 0;
        for (Share share : shares) {
            for (int seen = 0; seen < share.confirmed(); seen++) {
                log += Math.log((packVisits * share.before() + seen) / (packVisits + visits));
                visits++;
            }
        }
        return log;
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
