package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
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
    private static final int PROBLEMS = 6;

    private double exact;
    private double oneStep;
    private double twoSteps;
    private double information;
    private int problems;
    private double worst = 1;
    private double worstTwo = 1;

    static Map<String, Object> run(long seed) {
        ExactBench bench = new ExactBench();
        for (UnitModel model : PackLibrary.load().models()) {
            CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
            for (int i = 0; i < PROBLEMS; i++) {
                int truth = (int) Math.floorMod(seed * 7 + 13L * i, (long) pack.faults());
                bench.problem(pack, Diagnosis.of(pack, new Technician(pack, truth, seed + i).lamps()));
            }
        }
        return bench.figures();
    }

    private void problem(CompiledPack pack, Diagnosis diagnosis) {
        List<Integer> hypotheses = diagnosis.ranking().stream().limit(HYPOTHESES).toList();
        Decision decision = Planner.of(pack, Policy.defaults()).decision(diagnosis, hypotheses, TESTS, MOST_STATES);
        double best = decision.exact();
        double one = decision.follow(decision.lookAhead(1));
        double two = decision.follow(decision.lookAhead(2));
        problems++;
        exact += best;
        oneStep += one;
        twoSteps += two;
        information += decision.follow(decision.informationPerCost(0.02));
        worst = Math.max(worst, one / best);
        worstTwo = Math.max(worstTwo, two / best);
    }

    private Map<String, Object> figures() {
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("problems", problems);
        figures.put("oneStepOverExact", oneStep / exact);
        figures.put("oneStepWorst", worst);
        figures.put("twoStepsOverExact", twoSteps / exact);
        figures.put("twoStepsWorst", worstTwo);
        figures.put("informationOverExact", information / exact);
        System.out.printf("exact optimum, %d problems of up to %d hypotheses and %d tests: one step ahead %.3f (worst %.3f), "
                + "two steps %.3f (worst %.3f), information for its cost %.3f of its expected cost%n", problems, HYPOTHESES, TESTS,
                oneStep / exact, worst, twoSteps / exact, worstTwo, information / exact);
        return figures;
    }
}
