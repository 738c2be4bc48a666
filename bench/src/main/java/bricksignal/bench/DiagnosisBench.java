package bricksignal.bench;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackReader;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.BiFunction;

/**
 * The judge of the engine: every fault of every pack, visited with five seeds, by each policy; besides, by the advice alone,
 * intermittent faults, pairs of faults, and faults that the model does not know.
 */
final class DiagnosisBench {

    private static final int SEEDS = 5;
    private static final int PAIRS = 60;

    private final Map<String, BiFunction<ClosedLoop, Technician, Outcome>> policies;
    private final Map<String, Tally> all;
    private final Map<String, Object> packs = new LinkedHashMap<>();
    private final Tally allIntermittent = new Tally();
    private final Tally allPairs = new Tally();
    private final Calibration calibration = new Calibration();
    private final Unknowns unknowns = new Unknowns();
    private final boolean showWrong;
    private final boolean adviceAlone;

    private DiagnosisBench(boolean showWrong, boolean adviceAlone) {
        this.showWrong = showWrong;
        this.adviceAlone = adviceAlone;
        this.policies = adviceAlone ? Map.of("advice", ClosedLoop::advised) : policies();
        this.all = tallies();
    }

    /**
     * Runs and prints; the result is what {@code --json} writes.
     *
     * @param adviceAlone single faults visited by the advice alone: a twentieth of the whole
     */
    static Map<String, Object> run(long seed, String only, boolean showWrong, boolean adviceAlone) {
        DiagnosisBench bench = new DiagnosisBench(showWrong, adviceAlone);
        Chosen.compositions(only).forEach(composition -> bench.pack(Chosen.name(composition), PackReader.read(Chosen.text(composition)), seed));
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("seed", seed);
        result.put("packs", bench.packs);
        Map<String, Object> figures = figures(bench.all);
        result.put("all", figures);
        print("all", bench.all);
        if (!adviceAlone) {
            bench.beyondSingles(figures);
        }
        return result;
    }

    /** What was measured beside single faults led by the advice. */
    private void beyondSingles(Map<String, Object> figures) {
        figures.put("intermittent", allIntermittent.figures());
        figures.put("pairs", allPairs.figures());
        figures.put("calibration", calibration.figures());
        figures.put("unknown", unknowns.figures());
        allIntermittent.print("", "intermit.");
        allPairs.print("", "pairs");
        calibration.print();
        unknowns.print();
        double advice = all.get("advice").meanCost();
        System.out.printf("cost of the advice over: chart %.3f, sequence until sure %.3f, everything in sequence %.3f, knowing %.3f%n",
                advice / all.get("chart").meanCost(), advice / all.get("sequence").meanCost(),
                advice / all.get("everything").meanCost(), advice / all.get("knowing").meanCost());
    }

    private void pack(String name, UnitModel model, long seed) {
        CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
        ClosedLoop loop = new ClosedLoop(pack, Policy.defaults());
        Map<String, Tally> tallies = tallies();
        int n = 0;
        for (Hypothesis fault : pack.space().faults()) {
            for (int s = 0; s < SEEDS; s++) {
                single(loop, pack, fault, seed * 1_000_003 + n * 101L + s, tallies);
            }
            n++;
        }
        Map<String, Object> figures = figures(tallies);
        packs.put(name, figures);
        print(name, tallies);
        if (!adviceAlone) {
            beyondSingles(loop, pack, seed, n, figures);
            unknowns.add(model, seed);
        }
    }

    /**
     * Faults that come and go, and pairs.
     *
     * @param from the number of the first visit
     */
    private void beyondSingles(ClosedLoop loop, CompiledPack pack, long seed, int from, Map<String, Object> figures) {
        int n = from;
        Tally intermittent = new Tally();
        List<Hypothesis> considered = pack.space().considered();
        for (Hypothesis h : considered.subList(pack.space().faults().size(), considered.size())) {
            for (int s = 0; s < SEEDS; s++) {
                Outcome outcome = loop.advised(new Technician(pack, h.id(), seed * 1_000_003 + n * 101L + s));
                tell(h.id(), outcome);
                intermittent.add(outcome, h.prior());
                allIntermittent.add(outcome, h.prior());
            }
            n++;
        }
        Tally pairs = pairs(loop, pack, seed);
        figures.put("intermittent", intermittent.figures());
        figures.put("pairs", pairs.figures());
        intermittent.print("", "intermit.");
        pairs.print("", "pairs");
    }

    private void single(ClosedLoop loop, CompiledPack pack, Hypothesis fault, long visit, Map<String, Tally> tallies) {
        double prior = fault.prior();
        for (Map.Entry<String, BiFunction<ClosedLoop, Technician, Outcome>> policy : policies.entrySet()) {
            Outcome outcome = policy.getValue().apply(loop, new Technician(pack, fault.id(), visit));
            tallies.get(policy.getKey()).add(outcome, prior);
            all.get(policy.getKey()).add(outcome, prior);
            if (policy.getKey().equals("advice")) {
                calibration.add(outcome, prior);
                tell(fault.id(), outcome);
            }
        }
    }

    /** Pairs of faults of different parts, each of which makes the unit fail, drawn by their priors; both must be found. */
    private Tally pairs(ClosedLoop loop, CompiledPack pack, long seed) {
        Random random = new Random(seed * 31 + pack.model().id().hashCode());
        Tally tally = new Tally();
        for (int i = 0; i < PAIRS; i++) {
            Hypothesis one = Drawn.by(Hypothesis::prior, pack.space().faults(), random);
            Hypothesis other = Drawn.by(Hypothesis::prior, pack.space().faults(), random);
            boolean sameParts = one.part().equals(other.part());
            if (sameParts || !pack.runs().fails(one.id()) || !pack.runs().fails(other.id())) {
                i--;
                continue;
            }
            HypothesisId pair = pack.space().pair(one.fault().id(), other.fault().id());
            Outcome outcome = loop.untilItRuns(new Technician(pack, pair, seed * 7 + i));
            tell(pair, outcome);
            tally.add(outcome, 1);
            allPairs.add(outcome, 1);
        }
        return tally;
    }

    private void tell(HypothesisId truth, Outcome outcome) {
        if (showWrong && (!outcome.right() || outcome.falseBoard())) {
            System.out.printf("  wrong: %s%s at %.3f after %d tests%n", truth.text(),
                    outcome.falseBoard() ? ", a sound board" : "", outcome.probability(), outcome.tests());
        }
    }

    private static Map<String, BiFunction<ClosedLoop, Technician, Outcome>> policies() {
        Map<String, BiFunction<ClosedLoop, Technician, Outcome>> policies = new LinkedHashMap<>();
        policies.put("advice", ClosedLoop::advised);
        policies.put("sequence", ClosedLoop::inSequence);
        policies.put("everything", ClosedLoop::everything);
        policies.put("chart", ClosedLoop::byChart);
        policies.put("price", ClosedLoop::byPrice);
        policies.put("knowing", ClosedLoop::knowing);
        return policies;
    }

    private Map<String, Tally> tallies() {
        Map<String, Tally> tallies = new LinkedHashMap<>();
        policies.keySet().forEach(policy -> tallies.put(policy, new Tally()));
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
        System.out.printf("%-12s %-10s %6s %7s %11s %6s %8s %8s%n", pack, "policy", "runs", "right", "false board", "tests",
                "minutes", "cost");
        tallies.forEach((name, tally) -> tally.print("", name));
    }
}
