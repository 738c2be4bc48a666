package bricksignal.bench;

import bricksignal.core.diagnosis.Hypothesis;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;

/** One of some, by weight. */
final class Drawn {

    private Drawn() {
    }

    /** A fault by its weight. */
    static Hypothesis by(ToDoubleFunction<Hypothesis> weight, List<Hypothesis> faults, Random random) {
        double at = random.nextDouble() * faults.stream().mapToDouble(weight).sum();
        for (Hypothesis fault : faults) {
            at -= weight.applyAsDouble(fault);
            if (at <= 0) {
                return fault;
            }
        }
        return faults.get(faults.size() - 1);
    }
}
