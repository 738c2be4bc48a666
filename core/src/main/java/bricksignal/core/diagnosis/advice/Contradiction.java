package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Setup;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
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
        boolean[][] explains = new boolean[seen.size()][diagnosis.places().length];
        boolean[] explained = new boolean[seen.size()];
        int[] places = diagnosis.places();
        for (int i = 0; i < seen.size(); i++) {
            for (int h = 0; h < places.length; h++) {
                explains[i][h] = !diagnosis.contradicts(seen.get(i), places[h]);
                explained[i] |= explains[i][h];
            }
        }
        List<Contradiction> found = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            for (int j = i + 1; j < seen.size(); j++) {
                if (explained[i] && explained[j] && !together(explains[i], explains[j])) {
                    boolean firstCheaper = minutes(diagnosis, seen.get(i)) <= minutes(diagnosis, seen.get(j));
                    found.add(firstCheaper ? new Contradiction(seen.get(i), seen.get(j))
                            : new Contradiction(seen.get(j), seen.get(i)));
                }
            }
        }
        return found;
    }

    private static boolean together(boolean[] one, boolean[] other) {
        for (int h = 0; h < one.length; h++) {
            if (one[h] && other[h]) {
                return true;
            }
        }
        return false;
    }

    private static double minutes(Diagnosis diagnosis, Observation observation) {
        Test test = observation instanceof Observation.Reading r ? r.test() : ((Observation.Answer) observation).test();
        return TestCost.minutes(diagnosis.pack(), test, Setup.AS_IT_IS);
    }
}
