package bricksignal.core.learning;

import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
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
    }

    /**
     * The shares of all parts that can be at fault, in the order of the pack; both columns sum to one.
     *
     * @param confirmed visits by part; parts that this unit does not have, or that cannot be at fault, do not count
     * @throws IllegalArgumentException if a count is below 0
     */
    public static List<Share> of(UnitModel model, Map<String, Integer> confirmed) {
        List<Share> pack = of(model, confirmed, WORTH[0]);
        double[] logs = Arrays.stream(WORTH).map(worth -> logEvidence(pack, worth)).toArray();
        double most = Arrays.stream(logs).max().orElseThrow();
        double sum = Arrays.stream(logs).map(log -> Math.exp(log - most)).sum();
        double[] after = new double[pack.size()];
        for (int k = 0; k < WORTH.length; k++) {
            List<Share> shares = of(model, confirmed, WORTH[k]);
            for (int i = 0; i < after.length; i++) {
                after[i] += Math.exp(logs[k] - most) / sum * shares.get(i).after();
            }
        }
        return IntStream.range(0, after.length).mapToObj(i -> new Share(pack.get(i).part(), pack.get(i).before(), pack.get(i).confirmed(), after[i])).toList();
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
