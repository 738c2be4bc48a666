package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.plan.Decision;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How far the quick policies are from the exact optimum: for lamps of every pack the most likely hypotheses and the most
 * telling tests make a problem that is small enough to be solved exactly.
 */
final class ExactBench {

    private static final int HYPOTHESES = 14;
    private static final int TESTS = 14;
    private static final long MOST_STATES = 5_000_000;
    private static final long FEW_STATES = 200_000;
    private static final int PROBLEMS = 4;

    private double exact;
    private double oneStep;
    private double twoSteps;
    private double information;
    private int problems;
    private int smaller;
    private double exactOfSmaller;
    private double worst = 1;
    private double worstTwo = 1;

    static Map<String, Object> run(long seed) {
        ExactBench bench = new ExactBench();
        for (UnitModel model : PackLibrary.load().models()) {
            CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
            for (int i = 0; i < PROBLEMS; i++) {
                HypothesisId truth = pack.space().faults().get((int) Math.floorMod(seed * 7 + 13L * i,
                        (long) pack.space().faults().size())).id();
                bench.problem(pack, Diagnosis.of(pack, new Technician(pack, truth, seed + i).lamps()), i == 0);
            }
        }
        return bench.figures();
    }

    private void problem(CompiledPack pack, Diagnosis diagnosis, boolean large) {
        List<HypothesisId> hypotheses = diagnosis.ranking().stream().limit(HYPOTHESES).toList();
        Decision decision = Planner.of(pack, Policy.defaults()).decision(diagnosis, hypotheses, TESTS, large ? MOST_STATES : FEW_STATES);
        double best = decision.exact();
        double one = decision.follow(decision.lookAhead(1));
        problems++;
        exact += best;
        oneStep += one;
        worst = Math.max(worst, one / best);
        if (!large) {
            double two = decision.follow(decision.lookAhead(2));
            smaller++;
            exactOfSmaller += best;
            twoSteps += two;
            information += decision.follow(decision.informationPerCost(0.02));
            worstTwo = Math.max(worstTwo, two / best);
        }
    }

    private Map<String, Object> figures() {
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("problems", problems);
        figures.put("oneStepOverExact", oneStep / exact);
        figures.put("oneStepWorst", worst);
        figures.put("twoStepsOverExact", twoSteps / exactOfSmaller);
        figures.put("twoStepsWorst", worstTwo);
        figures.put("informationOverExact", information / exactOfSmaller);
        System.out.printf("over the exact optimum, %d problems of up to %d hypotheses and %d tests: one step ahead %.3f (worst %.3f); "
                + "%d smaller ones: two steps %.3f (worst %.3f), information for its cost %.3f%n", problems, HYPOTHESES, TESTS,
                oneStep / exact, worst, smaller, twoSteps / exactOfSmaller, worstTwo, information / exactOfSmaller);
        return figures;
    }
}
