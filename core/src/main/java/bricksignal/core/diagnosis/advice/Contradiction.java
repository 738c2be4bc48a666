package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Two observations that no hypothesis explains together although each is explained by some: one of them is a misread.
 *
 * @param one the one that is cheaper to repeat
 * @param other the other
 */
public record Contradiction(Observation one, Observation other) {

    /** The contradictions among what was observed of the unit as it is now, in order. */
    public static List<Contradiction> of(Diagnosis diagnosis) {
        List<Observation> seen = diagnosis.sinceRepair().stream()
                .filter(o -> o instanceof Observation.Reading || o instanceof Observation.Answer).toList();
        List<HypothesisId> ids = List.copyOf(diagnosis.hypotheses());
        List<BitSet> explained = seen.stream().map(o -> {
            BitSet by = new BitSet();
            for (int h = 0; h < ids.size(); h++) {
                by.set(h, !diagnosis.contradicts(o, ids.get(h)));
            }
            return by;
        }).toList();
        List<Contradiction> found = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            for (int j = i + 1; j < seen.size(); j++) {
                if (!explained.get(i).isEmpty() && !explained.get(j).isEmpty() && !explained.get(i).intersects(explained.get(j))) {
                    boolean firstCheaper = minutes(diagnosis, seen.get(i)) <= minutes(diagnosis, seen.get(j));
                    found.add(firstCheaper ? new Contradiction(seen.get(i), seen.get(j))
                            : new Contradiction(seen.get(j), seen.get(i)));
                }
            }
        }
        return found;
    }

    private static double minutes(Diagnosis diagnosis, Observation observation) {
        Test test = observation instanceof Observation.Reading r ? r.test() : ((Observation.Answer) observation).test();
        return TestCost.minutes(diagnosis.pack(), test, Setup.AS_IT_IS);
    }
}
