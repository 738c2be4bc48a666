package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.plan.TestCost;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Arrays;
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
        BitSet[] apart = unexplainedTogether(diagnosis, seen);
        List<Contradiction> found = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            for (int j = apart[i].nextSetBit(i + 1); j >= 0; j = apart[i].nextSetBit(j + 1)) {
                boolean firstCheaper = minutes(diagnosis, seen.get(i)) <= minutes(diagnosis, seen.get(j));
                found.add(firstCheaper ? new Contradiction(seen.get(i), seen.get(j))
                        : new Contradiction(seen.get(j), seen.get(i)));
            }
        }
        return found;
    }

    /**
     * For each observation those that are explained, but never with it. Likely hypotheses are asked first and only for what is
     * still open: as a rule the first explains all.
     */
    private static BitSet[] unexplainedTogether(Diagnosis diagnosis, List<Observation> seen) {
        BitSet all = new BitSet();
        all.set(0, seen.size());
        BitSet explained = new BitSet();
        BitSet[] apart = new BitSet[seen.size()];
        Arrays.setAll(apart, i -> {
            BitSet others = (BitSet) all.clone();
            others.clear(i);
            return others;
        });
        for (HypothesisId id : diagnosis.ranking()) {
            if (Arrays.stream(apart).allMatch(BitSet::isEmpty)) {
                break;
            }
            BitSet together = new BitSet();
            for (int i = 0; i < seen.size(); i++) {
                together.set(i, !apart[i].isEmpty() && !diagnosis.contradictsAsItStands(seen.get(i), id));
            }
            explained.or(together);
            together.stream().forEach(i -> apart[i].andNot(together));
        }
        for (int i = 0; i < apart.length; i++) {
            apart[i].and(explained);
            if (!explained.get(i)) {
                apart[i].clear();
            }
        }
        return apart;
    }

    private static double minutes(Diagnosis diagnosis, Observation observation) {
        Test test = observation instanceof Observation.Reading r ? r.test() : ((Observation.Answer) observation).test();
        return TestCost.minutes(diagnosis.pack(), test, Stand.AS_FOUND);
    }
}
