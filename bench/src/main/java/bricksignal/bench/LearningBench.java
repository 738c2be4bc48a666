package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.learning.PartShares;
import bricksignal.packs.PackReader;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;

/**
 * What a company's own records are worth: so many visits to faults that fall on the parts otherwise than the pack has it, each that named the right part
 * confirmed; then as many more, with those records and without, to the same faults by the same hands. And the same for a company of which the pack is right.
 * Beside it what nobody can learn to do better: the same visits with the company's true shares told from the start.
 */
final class LearningBench {

    private static final int VISITS = 300;
    /** Spread of the logarithm of how often a part fails in a company against the pack: a factor of three either way is common. */
    private static final double SPREAD = 1.1;

    private final CompiledPack pack;
    private final Random random;

    private LearningBench(CompiledPack pack, long seed) {
        this.pack = pack;
        this.random = new Random(seed);
    }

    static Map<String, Object> run(long seed, String only) {
        Map<String, Object> result = new LinkedHashMap<>();
        System.out.printf("%-30s %9s %9s %9s %9s %7s %7s %7s %9s %9s%n", "cost a visit", "knowing", "by pack", "learned", "truth", "ratio", "of truth", "above",
                "right", "learned");
        Chosen.compositions(only).forEach(composition -> {
            CompiledPack pack = CompiledPack.of(PackReader.read(Chosen.text(composition)), ErrorModel.defaults());
            for (double spread : new double[] {SPREAD, 0}) {
                String name = Chosen.name(composition) + (spread > 0 ? " other" : " same");
                result.put(name, new LearningBench(pack, seed).company(name, spread));
            }
        });
        return result;
    }

    private Map<String, Object> company(String name, double spread) {
        Map<String, Double> often = pack.model().parts().stream().collect(Collectors.toMap(part -> part.id(), part -> Math.exp(spread * random.nextGaussian())));
        ClosedLoop plain = new ClosedLoop(pack, Policy.defaults());
        Map<String, Integer> confirmed = new LinkedHashMap<>();
        for (int visit = 0; visit < VISITS; visit++) {
            Hypothesis truth = drawn(often);
            if (plain.advised(new Technician(pack, truth.id(), random.nextLong())).right()) {
                confirmed.merge(truth.part().id(), 1, Integer::sum);
            }
        }
        ClosedLoop learned = new ClosedLoop(pack, Policy.defaults(), List.of(new Observation.Experience(PartShares.of(pack.model(), confirmed).stream().collect(Collectors.toMap(PartShares.Share::part, PartShares.Share::factor)))));
        ClosedLoop told = new ClosedLoop(pack, Policy.defaults(), List.of(new Observation.Experience(often)));
        double truest = 0;
        double before = 0;
        double after = 0;
        double least = 0;
        int rightBefore = 0;
        int rightAfter = 0;
        for (int visit = 0; visit < VISITS; visit++) {
            Hypothesis truth = drawn(often);
            long hands = random.nextLong();
            double knowing = plain.knowing(new Technician(pack, truth.id(), hands)).cost();
            Outcome without = plain.advised(new Technician(pack, truth.id(), hands));
            Outcome with = learned.advised(new Technician(pack, truth.id(), hands));
            least += knowing;
            before += without.cost();
            after += with.cost();
            truest += told.advised(new Technician(pack, truth.id(), hands)).cost();
            rightBefore += without.right() ? 1 : 0;
            rightAfter += with.right() ? 1 : 0;
        }
        double ratio = (after - least) / (before - least);
        System.out.printf("%-30s %9.2f %9.2f %9.2f %9.2f %7.3f %7.3f %7.3f %8.1f%% %8.1f%%%n", name, least / VISITS, before / VISITS, after / VISITS,
                truest / VISITS, after / before, truest / before, ratio, 100.0 * rightBefore / VISITS, 100.0 * rightAfter / VISITS);
        return Map.of("knowing", least / VISITS, "byPack", before / VISITS, "learned", after / VISITS, "truth", truest / VISITS, "ratio", after / before,
                "ratioOfTruth", truest / before, "ratioAboveKnowing", ratio);
    }

    private Hypothesis drawn(Map<String, Double> often) {
        return Drawn.by(fault -> weight(fault, often), pack.space().faults().stream().filter(h -> !h.nothing()).toList(), random);
    }

    private static double weight(Hypothesis fault, Map<String, Double> often) {
        return fault.prior() * often.getOrDefault(fault.part().id(), 1.0);
    }
}
