package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.words.Message;
import java.util.List;

/** Why a test is proposed, made from the model. */
public final class Why {

    /** A suspect less probable than this is named by no reason. */
    public static final double MATTERS = 0.01;

    private static final int NAMED = 2;
    /** A second one is named only if it is likelier than this. */
    private static final double SECOND = 0.05;

    private Why() {
    }

    /** The shortest reason: the suspects that matter of the likeliest outcome, against those of the next that names others; and why it is asked once more. */
    public static Message of(Diagnosis diagnosis, Advice.Purpose purpose, Proposal proposal) {
        Message reason = reason(diagnosis, purpose, proposal);
        return diagnosis.observations().stream().filter(seen -> seen.made(proposal.test())).reduce((first, last) -> last)
                .map(last -> Message.of("why.again", again(diagnosis, last), reason)).orElse(reason);
    }

    /** What makes it worth asking once more. */
    private static Message again(Diagnosis diagnosis, Observation last) {
        boolean beforeARepair = diagnosis.sinceRepair().stream().noneMatch(seen -> seen == last);
        return Message.of(beforeARepair ? "why.again-repaired" : diagnosis.contradicts(last, diagnosis.leader()) ? "why.again-odd" : "why.again-now");
    }

    private static Message reason(Diagnosis diagnosis, Advice.Purpose purpose, Proposal proposal) {
        if (purpose == Advice.Purpose.SAFETY) {
            return Message.of("why.safety");
        }
        if (purpose == Advice.Purpose.PROVE) {
            return Message.of("why.prove");
        }
        List<List<HypothesisId>> sides = proposal.branches().stream().map(branch -> branch.suspects().stream()
                .filter(h -> diagnosis.belief(h) >= MATTERS).toList()).filter(side -> !side.isEmpty()).toList();
        if (sides.isEmpty()) {
            return Message.of("why.confirms-known");
        }
        List<HypothesisId> one = sides.get(0);
        return sides.stream().skip(1).filter(side -> !side.get(0).equals(one.get(0))).findFirst()
                .map(other -> Message.of("why.splits", names(diagnosis, other, NAMED), names(diagnosis, one, 1)))
                .orElse(Message.of("why.confirms", names(diagnosis, one, NAMED)));
    }

    private static Message names(Diagnosis diagnosis, List<HypothesisId> suspects, int most) {
        return Message.items(Message.Joint.AND, suspects.stream().limit(most).filter(h ->
                h.equals(suspects.get(0)) || diagnosis.belief(h) >= SECOND).map(h -> Message.of("why.suspect",
                diagnosis.hypothesis(h).label(), new Message.Share(diagnosis.belief(h)))).toList());
    }
}
