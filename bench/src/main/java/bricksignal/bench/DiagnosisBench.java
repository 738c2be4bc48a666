package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.BiFunction;

/** The judge of the engine: every fault of every pack, visited with three seeds, by each policy. */
final class DiagnosisBench {

    private static final int SEEDS = 3;
    private static final Map<String, BiFunction<ClosedLoop, Technician, Outcome>> POLICIES = policies();

    private final Map<String, Tally> all = tallies();
    private final Map<String, Object> packs = new LinkedHashMap<>();
    private final boolean showWrong;

    private DiagnosisBench(boolean showWrong) {
        this.showWrong = showWrong;
    }

    /** Runs and prints; the result is what {@code --json} writes. */
    static Map<String, Object> run(long seed, boolean showWrong) {
        DiagnosisBench bench = new DiagnosisBench(showWrong);
        PackLibrary.load().models().forEach(model -> bench.pack(model, seed));
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("seed", seed);
        result.put("packs", bench.packs);
        result.put("all", figures(bench.all));
        print("all", bench.all);
        return result;
    }

    private void pack(UnitModel model, long seed) {
        CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
        ClosedLoop loop = new ClosedLoop(pack, Policy.defaults());
        Map<String, Tally> tallies = tallies();
        for (int h = 0; h < pack.hypotheses().size(); h++) {
            for (int s = 0; s < SEEDS; s++) {
                long visit = seed * 1_000_003 + h * 101L + s;
                double prior = pack.hypotheses().get(h).prior();
                for (Map.Entry<String, BiFunction<ClosedLoop, Technician, Outcome>> policy : POLICIES.entrySet()) {
                    Outcome outcome = policy.getValue().apply(loop, new Technician(pack, h, visit));
                    tallies.get(policy.getKey()).add(outcome, prior);
                    all.get(policy.getKey()).add(outcome, prior);
                    if (showWrong && policy.getKey().equals("advice") && (!outcome.right() || outcome.falseBoard())) {
                        System.out.println("  wrong: " + pack.hypotheses().get(h).id() + " seed " + s + " " + outcome);
                    }
                }
            }
        }
        packs.put(model.id(), figures(tallies));
        print(model.id(), tallies);
    }

    private static Map<String, BiFunction<ClosedLoop, Technician, Outcome>> policies() {
        Map<String, BiFunction<ClosedLoop, Technician, Outcome>> policies = new LinkedHashMap<>();
        policies.put("advice", ClosedLoop::advised);
        policies.put("sequence", ClosedLoop::inSequence);
        policies.put("chart", ClosedLoop::byChart);
        policies.put("price", ClosedLoop::byPrice);
        return policies;
    }

    private static Map<String, Tally> tallies() {
        Map<String, Tally> tallies = new LinkedHashMap<>();
        POLICIES.keySet().forEach(policy -> tallies.put(policy, new Tally()));
        return tallies;
    }

    /** The advice's own figures, and those of every policy beside it. */
    private static Map<String, Object> figures(Map<String, Tally> tallies) {
        Map<String, Object> figures = tallies.get("advice").figures();
        Map<String, Object> policies = new LinkedHashMap<>();
        tallies.forEach((name, tally) -> {
            if (!name.equals("advice")) {
                policies.put(name, tally.figures());
            }
        });
        figures.put("policies", policies);
        return figures;
    }

    private static void print(String pack, Map<String, Tally> tallies) {
        System.out.printf("%-12s %-9s %6s %7s %11s %6s %8s %8s%n", pack, "policy", "runs", "right", "false board", "tests",
                "minutes", "cost");
        tallies.forEach((name, tally) -> {
            Map<String, Object> f = tally.figures();
            System.out.printf("%-12s %-9s %6d %6.1f%% %10.2f%% %6.1f %8.1f %8.1f%n", "", name, f.get("runs"),
                    100 * tally.right(), 100 * tally.falseBoard(), f.get("meanTests"), f.get("meanMinutes"),
                    f.get("meanCost"));
        });
    }
}
