package bricksignal.bench;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Policy;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.packs.PackLibrary;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;

/** Times of the engine on one thread, after warming up: compile, next test, solver. */
final class SpeedBench {

    private SpeedBench() {
    }

    static Map<String, Object> run(long seed) {
        Map<String, Object> result = new LinkedHashMap<>();
        for (UnitModel model : PackLibrary.load().models()) {
            double[] compile = times(12, () -> CompiledPack.of(model, ErrorModel.defaults()));
            CompiledPack pack = CompiledPack.of(model, ErrorModel.defaults());
            Circuit circuit = pack.nominal().usualRun().at(200).unit().solution().circuit();
            Map<String, Object> figures = new LinkedHashMap<>();
            figures.put("compileFirstMs", compile[0]);
            figures.put("compileMedianMs", percentile(compile, 50));
            figures.put("heapMb", heapOf(() -> CompiledPack.of(model, ErrorModel.defaults())));
            double[] unlisted = times(1, () -> pack.runs().unlisted());
            figures.put("unlistedMs", unlisted[0]);
            figures.put("unlisted", pack.runs().unlisted().size());
            figures.put("heapWithUnlistedMb", heapOf(() -> {
                CompiledPack whole = CompiledPack.of(model, ErrorModel.defaults());
                whole.runs().unlisted();
                whole.catalogue().tests().forEach(whole.predictions()::outcomes);
                return whole;
            }));
            nextTests(pack, seed + 1);
            figures.put("nextTestP95Ms", percentile(nextTests(pack, seed), 95));
            figures.put("circuitNets", circuit.nets().size());
            figures.put("solverMedianUs", 1000 * percentile(times(2000, () -> Solution.of(circuit)), 50));
            figures.forEach((name, value) -> System.out.printf("%-12s %-16s %s%n", model.id(), name,
                    value instanceof Double d ? String.format("%.2f", d) : value));
            result.put(model.id(), figures);
        }
        return result;
    }

    /** The whole of the advice recomputed from the log after each reading of a visit, for each fault. */
    private static double[] nextTests(CompiledPack pack, long seed) {
        Planner planner = Planner.of(pack, Policy.defaults());
        return IntStream.range(0, pack.space().considered().size()).boxed().flatMapToDouble(h -> {
            Technician technician = new Technician(pack, pack.space().considered().get(h).id(), seed + h);
            Diagnosis[] diagnosis = {Diagnosis.of(pack, technician.lamps())};
            return IntStream.range(0, 8).mapToDouble(step -> {
                long start = System.nanoTime();
                Advice advice = Advice.of(Diagnosis.of(pack, diagnosis[0].observations()), planner, Stand.AS_FOUND);
                double ms = (System.nanoTime() - start) / 1e6;
                if (!advice.proposals().isEmpty()) {
                    Test test = advice.proposals().get(0).test();
                    diagnosis[0] = diagnosis[0].and(technician.make(test));
                }
                return ms;
            });
        }).toArray();
    }

    /** Megabytes that stay in use by what is made, after collecting garbage. */
    private static double heapOf(java.util.function.Supplier<Object> made) {
        double before = used();
        Object kept = made.get();
        try {
            return used() - before;
        } finally {
            java.lang.ref.Reference.reachabilityFence(kept);
        }
    }

    private static double used() {
        for (int i = 0; i < 3; i++) {
            System.gc();
        }
        return (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) / 1e6;
    }

    private static double[] times(int count, Runnable work) {
        return IntStream.range(0, count).mapToDouble(i -> {
            long start = System.nanoTime();
            work.run();
            return (System.nanoTime() - start) / 1e6;
        }).toArray();
    }

    private static double percentile(double[] values, int percent) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[Math.min(sorted.length - 1, sorted.length * percent / 100)];
    }
}
