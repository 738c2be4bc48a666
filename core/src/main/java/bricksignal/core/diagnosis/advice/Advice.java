package bricksignal.core.diagnosis.advice;

import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.plan.Planner;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.diagnosis.plan.Stand;
import bricksignal.core.diagnosis.proof.ProofGate;
import bricksignal.core.diagnosis.proof.ProofItem;
import bricksignal.core.diagnosis.proof.Verdict;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;

/**
 * Where a visit stands: what can be said, and what to do next. While other causes are open the planner leads; when the
 * cause is all but certain the cheapest missing proof comes first.
 *
 * @param verdict what can be said now
 * @param purpose why the first proposal is made
 * @param proposals tests worth making, best first; after proof none is asked for, whoever wants to go on finds them here
 */
public record Advice(Verdict verdict, Purpose purpose, List<Proposal> proposals) {

    /** Why a test is proposed. */
    public enum Purpose {
        /** It tells suspects apart. */
        SPLIT,
        /** It is missing before the part may be condemned. */
        PROVE,
        /** It is asked before anything is touched. */
        SAFETY,
        /** Nothing more is needed. */
        NONE
    }

    private static final double LIKELY = 0.5;
    private static final int MOST_MEANWHILE = 3;

    public Advice {
        proposals = List.copyOf(proposals);
    }

    /** What to do next. */
    public static Advice of(Diagnosis diagnosis, Planner planner, Stand standing) {
        Verdict verdict = ProofGate.verdict(diagnosis, planner.policy().school());
        List<Proposal> splitting = planner.proposals(diagnosis, standing);
        if (verdict.status() == Verdict.Status.PROVEN) {
            return new Advice(verdict, Purpose.NONE, splitting);
        }
        if (verdict.status() == Verdict.Status.INDICATED) {
            List<Proposal> proving = proving(diagnosis, planner, standing, verdict);
            if (!proving.isEmpty()) {
                List<Proposal> all = new ArrayList<>(proving);
                List<Test> first = proving.stream().map(Proposal::test).toList();
                splitting.stream().filter(proposal -> !first.contains(proposal.test())).forEach(all::add);
                return new Advice(verdict, Purpose.PROVE, all);
            }
        }
        return new Advice(verdict, splitting.isEmpty() ? Purpose.NONE : Purpose.SPLIT, provingFirst(splitting, verdict));
    }

    /**
     * A test that proof of the leader needs will be paid for anyway, as surely as the leader is the cause: only the rest of its cost
     * counts against it. Once one cause is more likely than all others together, tests are ranked so.
     */
    private static List<Proposal> provingFirst(List<Proposal> splitting, Verdict verdict) {
        Set<String> needed = new LinkedHashSet<>();
        verdict.items().stream().filter(item -> !item.tests().isEmpty()).forEach(item -> needed.add(item.tests().get(0)));
        if (verdict.probability() < LIKELY || splitting.stream().noneMatch(proposal -> proposal.saving() > 0)) {
            return splitting;
        }
        ToDoubleFunction<Proposal> saving = proposal -> proposal.saving()
                + (needed.contains(proposal.test().id()) ? verdict.probability() * proposal.cost() : 0);
        Proposal best = splitting.stream().max(Comparator.comparingDouble(saving)).orElseThrow();
        if (!needed.contains(best.test().id())) {
            return splitting;
        }
        List<Proposal> ranked = new ArrayList<>(splitting);
        ranked.remove(best);
        ranked.add(0, best);
        return ranked;
    }

    /** The same with those proposals alone that may be made. */
    public Advice only(Predicate<Test> allowed) {
        List<Proposal> left = proposals.stream().filter(proposal -> allowed.test(proposal.test())).toList();
        return left.size() == proposals.size() ? this : new Advice(verdict, left.isEmpty() ? Purpose.NONE : purpose, left);
    }

    /** What can be done while somebody waits for the first of the proposals, most telling for its time first; nothing where it is no long wait. */
    public List<Proposal> meanwhile() {
        return proposals.isEmpty() || !proposals.get(0).waitsLong() ? List.of() : proposals.stream().skip(1).filter(Proposal::whileItGoesOn)
                .sorted(Comparator.comparingDouble(proposal -> -proposal.bitsPerCost())).limit(MOST_MEANWHILE).toList();
    }

    /** True when the visit can be brought to a verdict: proven, or nothing left to ask. */
    public boolean done() {
        return purpose == Purpose.NONE;
    }

    /** For each missing proof its cheapest test from how the unit stands, cheapest first. */
    private static List<Proposal> proving(Diagnosis diagnosis, Planner planner, Stand standing, Verdict verdict) {
        List<Proposal> proving = new ArrayList<>();
        for (ProofItem item : verdict.items()) {
            item.tests().stream().map(id -> diagnosis.pack().catalogue().test(id)).filter(test -> item.again() || !diagnosis.answered(test))
                    .map(test -> planner.weigh(test, diagnosis, standing))
                    .min(Comparator.comparingDouble(Proposal::minutes)).ifPresent(proving::add);
        }
        proving.sort(Comparator.comparingDouble(Proposal::minutes));
        return proving;
    }
}
