package bricksignal.core.diagnosis.proof;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * No verdict hangs on one yes or no: where the cause would not be nearly sure without it, it is asked a second time. People look
 * at the wrong switch and wiggle the wrong plug, three to five times in a hundred (from memory), and a second look is the cheapest
 * guard; a number with its unit is checked as it is read. Common practice of careful technicians; no published source.
 */
final class SecondLook {

    private static final double NEARLY_SURE = 0.8;

    private final Diagnosis diagnosis;
    private final List<HypothesisId> group;

    private SecondLook(Diagnosis diagnosis, List<HypothesisId> group) {
        this.diagnosis = diagnosis;
        this.group = group;
    }

    /** One item for each test on which the verdict hangs, made once only. */
    static List<ProofItem> items(Diagnosis diagnosis, List<HypothesisId> group) {
        return new SecondLook(diagnosis, group).items();
    }

    private List<ProofItem> items() {
        List<ProofItem> items = new ArrayList<>();
        for (Observation seen : diagnosis.sinceRepair()) {
            if (seen instanceof Observation.Answer answer && madeOnce(answer.test()) && without(seen) < NEARLY_SURE) {
                items.add(new ProofItem(Message.of("proof.second-look", answer.test().label()), false,
                        List.of(answer.test().id())).strict().secondTime());
            }
        }
        return items;
    }

    private boolean madeOnce(Test.Check check) {
        boolean quick = !check.sense().changesAPart() && !check.sense().watches();
        return quick && diagnosis.sinceRepair().stream().filter(o -> o.made(check)).count() == 1;
    }

    /** Probability of the cause if this had not been observed. */
    private double without(Observation seen) {
        double same = 0;
        double others = 0;
        for (HypothesisId id : diagnosis.hypotheses()) {
            double before = diagnosis.belief(id) / diagnosis.likelihood(seen, id);
            if (DirectEvidence.blamesTheSame(diagnosis.pack(), group, id)) {
                same += before;
            } else {
                others += before;
            }
        }
        return same / (same + others);
    }
}
