package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Wording;
import bricksignal.core.diagnosis.plan.Proposal;
import java.util.ArrayList;
import java.util.List;

/** Why a test is proposed, in words and numbers made from the model. */
public final class Why {

    private static final int NAMED = 3;

    private Why() {
    }

    /** One sentence for each outcome of the test: what it would look like, how likely, and whom it leaves. */
    public static List<String> sentences(Diagnosis diagnosis, Proposal proposal) {
        List<String> sentences = new ArrayList<>();
        for (Proposal.Branch branch : proposal.branches()) {
            if (branch.probability() >= 0.005) {
                sentences.add("If it is " + Wording.expected(proposal.test(), branch.looksLike()) + " ("
                        + percent(branch.probability()) + "): " + names(diagnosis, branch.suspects()) + ".");
            }
        }
        return sentences;
    }

    /** The shortest reason: the outcome that is not the usual one and the suspects it singles out. */
    public static String brief(Diagnosis diagnosis, Advice.Purpose purpose, Proposal proposal) {
        if (purpose == Advice.Purpose.PROVE) {
            return "missing before the part may be condemned";
        }
        List<Proposal.Branch> branches = proposal.branches().stream().filter(b -> !b.suspects().isEmpty()).toList();
        if (branches.size() < 2) {
            return "confirms " + (branches.isEmpty() ? "what is known" : names(diagnosis, branches.get(0).suspects()));
        }
        Proposal.Branch split = branches.get(1);
        return "splits " + names(diagnosis, split.suspects()) + " from the rest";
    }

    private static String names(Diagnosis diagnosis, List<Integer> suspects) {
        if (suspects.isEmpty()) {
            return "nobody yet known; take the reading again";
        }
        List<String> names = new ArrayList<>();
        suspects.stream().limit(NAMED).forEach(h -> names.add(diagnosis.hypothesis(h).label() + " "
                + percent(diagnosis.belief(h))));
        int more = suspects.size() - names.size();
        return String.join(", ", names) + (more > 0 ? " and " + more + " more" : "");
    }

    static String percent(double p) {
        return p > 0 && p < 0.01 ? "below 1 %" : Math.round(100 * p) + " %";
    }
}
