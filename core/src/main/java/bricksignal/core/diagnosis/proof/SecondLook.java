package bricksignal.core.diagnosis.proof;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * No verdict hangs on one answer or one number: where the cause would not be nearly sure without it, it is made a second time. People look
 * at the wrong switch, wiggle the wrong plug and read at the wrong terminal, two to five times in a hundred (from memory), a probe that does not touch reads nothing, and a
 * second look is the cheapest guard: the probes are there still. Common practice of careful technicians; no published source.
 */
final class SecondLook {

    private static final double NEARLY_SURE = 0.9;

    /** What is less likely than this stays out of it without any one answer too: an answer is wrong one time in some dozens. */
    private static final double OUT = 1e-9;

    private final Diagnosis diagnosis;
    /** The cause: all that blames the same. */
    private final List<HypothesisId> cause;
    private final List<HypothesisId> others;

    private SecondLook(Diagnosis diagnosis, List<HypothesisId> group) {
        this.diagnosis = diagnosis;
        Map<Boolean, List<HypothesisId>> alive = diagnosis.hypotheses().stream().filter(id -> diagnosis.belief(id) > OUT)
                .collect(Collectors.partitioningBy(id -> DirectEvidence.blamesTheSame(diagnosis.pack(), group, id)));
        this.cause = alive.getOrDefault(true, List.of());
        this.others = alive.getOrDefault(false, List.of());
    }

    /** One item for each test on which the verdict hangs, made once only. */
    static List<ProofItem> items(Diagnosis diagnosis, List<HypothesisId> group) {
        return new SecondLook(diagnosis, group).items();
    }

    private List<ProofItem> items() {
        List<ProofItem> items = new ArrayList<>();
        for (Observation seen : diagnosis.sinceRepair()) {
            Test test = test(seen);
            if (test != null && quick(test) && diagnosis.sinceRepair().stream().filter(o -> o.made(test)).count() == 1 && without(seen) < NEARLY_SURE) {
                items.add(new ProofItem(Message.of("proof.second-look", test.label()), false, List.of(test.id())).strict().secondTime());
            }
        }
        return items;
    }

    /** The test whose answer may hang on one look, or null. */
    private @Nullable Test test(Observation seen) {
        return seen instanceof Observation.Answer answer ? answer.test()
                : seen instanceof Observation.Reading reading && diagnosis.pack().catalogue().tests().contains(reading.test()) ? reading.test() : null;
    }

    private static boolean quick(Test test) {
        return !(test instanceof Test.Check check) || !check.sense().changesAPart() && !check.sense().watches();
    }

    /** Probability of the cause if this had not been observed. */
    private double without(Observation seen) {
        double same = without(cause, seen);
        return same / (same + without(others, seen));
    }

    private double without(List<HypothesisId> some, Observation seen) {
        return some.stream().mapToDouble(id -> diagnosis.belief(id) / diagnosis.likelihood(seen, id)).sum();
    }
}
