package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/** Why a test is proposed, made from the model. */
public final class Why {

    private static final int NAMED = 3;

    private Why() {
    }

    /** The shortest reason: the outcome that is not the usual one and the suspects it singles out. */
    public static Message of(Diagnosis diagnosis, Advice.Purpose purpose, Proposal proposal) {
        if (purpose == Advice.Purpose.PROVE) {
            return Message.of("why.prove");
        }
        List<Proposal.Branch> branches = proposal.branches().stream().filter(b -> !b.suspects().isEmpty()).toList();
        if (branches.isEmpty()) {
            return Message.of("why.confirms-known");
        }
        return branches.size() < 2 ? Message.of("why.confirms", names(diagnosis, branches.get(0).suspects()))
                : Message.of("why.splits", names(diagnosis, branches.get(1).suspects()));
    }

    private static Message names(Diagnosis diagnosis, List<HypothesisId> suspects) {
        List<Message> names = new ArrayList<>();
        suspects.stream().limit(NAMED).forEach(h -> names.add(Message.of("why.suspect", diagnosis.hypothesis(h).label(),
                new Message.Share(diagnosis.belief(h)))));
        int more = suspects.size() - names.size();
        Message named = Message.items(Message.Joint.COMMA, names);
        return more > 0 ? Message.of("why.more", named, new Message.Number(more)) : named;
    }
}
