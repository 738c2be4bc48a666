package bricksignal.core.diagnosis.proof;

import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.plan.School;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Refuses to condemn a part before it is proven: probable above {@link #ENOUGH}, with direct evidence in the log. For an
 * ordinary part direct evidence is a test at the part itself that came out as the fault predicts and not as one in good order
 * would; for a board it is {@link BoardProof}.
 */
public final class ProofGate {

    /** Least probability of a proven verdict. */
    public static final double ENOUGH = 0.97;

    /** The same for a board: the strictest. */
    public static final double ENOUGH_FOR_A_BOARD = 0.99;

    /** Above this probability that nothing in the model explains what was found, no part is named. */
    public static final double UNEXPLAINED = 0.3;

    /** Two whose outcomes have less than this in common are told apart by a test. */
    static final double TOLD_APART = 0.8;
    /** Two that no test tells apart keep the odds of their priors; one that is this far behind was told apart. */
    private static final double NEVER = 1e-5;
    private static final double UNTESTED_SHARE = 0.1;

    private final Diagnosis diagnosis;
    private final CompiledPack pack;

    private ProofGate(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
    }

    /** The verdict on what is known, by the strict school. */
    public static Verdict verdict(Diagnosis diagnosis) {
        return verdict(diagnosis, School.STRICT);
    }

    /** The verdict on what is known. */
    public static Verdict verdict(Diagnosis diagnosis, School school) {
        return new ProofGate(diagnosis).judge(school);
    }

    private Verdict judge(School school) {
        HypothesisId leader = diagnosis.leader();
        List<HypothesisId> group = group(leader);
        double probability = probability(group);
        List<ProofItem> all = items(leader, group);
        if (probability >= ENOUGH) {
            all.addAll(NothingElse.items(diagnosis, leader));
            all.addAll(SecondLook.items(diagnosis, group));
        }
        List<ProofItem> items = all.stream().filter(item -> item.askedBy(school)).toList();
        List<ProofItem> skipped = all.stream().filter(item -> !item.askedBy(school) && !item.proven()).toList();
        boolean proven = items.stream().allMatch(ProofItem::proven);
        double enough = pack.space().get(leader).blamesBoard() ? ENOUGH_FOR_A_BOARD : ENOUGH;
        Verdict.Status status = diagnosis.unexplained() > UNEXPLAINED ? Verdict.Status.UNEXPLAINED : probability < enough ? Verdict.Status.NOT_YET
                : proven && !diagnosis.doubted() ? Verdict.Status.PROVEN : Verdict.Status.INDICATED;
        List<HypothesisId> unlisted = status == Verdict.Status.UNEXPLAINED ? NothingElse.wouldExplain(diagnosis) : List.of();
        return new Verdict(status, group, probability, items, skipped, untested(leader),
                status == Verdict.Status.PROVEN || status == Verdict.Status.INDICATED ? damaged(leader) : List.of(), unlisted);
    }

    /** That the parts of the leader, or of those that no test tells from it, are bad, alone or with another. */
    private double probability(List<HypothesisId> group) {
        boolean nothing = pack.space().get(group.get(0)).nothing();
        double probability = 0;
        for (HypothesisId place : diagnosis.hypotheses()) {
            boolean counts = DirectEvidence.blamesTheSame(pack, group, place) || nothing && !upsetsARun(place);
            probability += counts ? diagnosis.belief(place) : 0;
        }
        return probability;
    }

    /** False for a fault that has not gone so far that a run shows it: as long as the unit runs as it should there is nothing to repair. */
    private boolean upsetsARun(HypothesisId id) {
        return !(pack.space().get(id).cause() instanceof HypothesisId.Milder) || pack.runs().fails(id);
    }

    private List<ProofItem> items(HypothesisId leader, List<HypothesisId> group) {
        Hypothesis hypothesis = pack.space().get(leader);
        List<ProofItem> items = new ArrayList<>();
        if (hypothesis.nothing()) {
            items.add(new Log(diagnosis).never(Message.of("proof.watched"), check -> check.sense() == Test.Sense.CYCLES
                    || check.sense() == Test.Sense.WARM));
            return items;
        }
        for (int i = 0; i < hypothesis.faults().size(); i++) {
            Fault fault = hypothesis.faults().get(i);
            Part part = hypothesis.parts().get(i);
            DirectEvidence evidence = new DirectEvidence(diagnosis, leader, fault, group);
            items.addAll(part.kind() == Part.Kind.BOARD && BoardProof.isInside(fault, part) ? BoardProof.items(diagnosis, fault, part)
                    : List.of(evidence.item(part)));
            if (part.kind() != Part.Kind.BOARD && !(hypothesis.cause() instanceof HypothesisId.Intermittent)) {
                BothEnds.item(diagnosis, evidence, fault, part).map(ProofItem::strict).ifPresent(items::add);
            }
            if (fault.kind() == Fault.Kind.SET_WRONG) {
                evidence.effect(part).ifPresent(items::add);
            }
        }
        if (hypothesis.intermittent()) {
            ProofItem seen = new Log(diagnosis).said(Message.of("proof.seen-intermittent"), check -> check.sense() == Test.Sense.CYCLES
                    || check.sense() == Test.Sense.WARM || check.tells().containsKey(hypothesis.fault().id()));
            boolean died = diagnosis.sinceRepair().stream().anyMatch(Observation.Died.class::isInstance);
            items.add(died ? seen.shown() : seen);
        }
        return items;
    }

    /** The leader and all that no test of the pack can tell from it. */
    private List<HypothesisId> group(HypothesisId leader) {
        List<HypothesisId> group = new ArrayList<>(List.of(leader));
        for (HypothesisId h : diagnosis.hypotheses()) {
            boolean more = pack.space().get(h).parts().containsAll(pack.space().get(leader).parts());
            if (!h.equals(leader) && !more && diagnosis.belief(h) > NEVER * diagnosis.belief(leader) && alike(leader, h)) {
                group.add(h);
            }
        }
        return group;
    }

    private boolean alike(HypothesisId a, HypothesisId b) {
        for (Test test : pack.catalogue().tests()) {
            boolean repair = test instanceof Test.Check check && check.sense() == Test.Sense.SUBSTITUTE;
            if (repair || !diagnosis.possible(test)) {
                continue;
            }
            if (pack.predictions().outcomes(test).common(a, b) < TOLD_APART) {
                return false;
            }
        }
        return pack.model().charts().keySet().stream().allMatch(board -> pack.predictions().lampShares(a, board).keySet()
                .equals(pack.predictions().lampShares(b, board).keySet()));
    }

    /** Loads that run in a unit in good order and never carry their current in this fault, unless their resistance was proven. */
    private List<String> untested(HypothesisId leader) {
        Hypothesis hypothesis = pack.space().get(leader);
        List<String> untested = new ArrayList<>();
        for (Part part : pack.model().parts()) {
            boolean fed = part.elements().stream().filter(this::isLoad).allMatch(load -> peak(leader, load)
                    >= UNTESTED_SHARE * peak(pack.space().nothing(), load) || provenByOhms(load));
            if (!fed && !hypothesis.parts().contains(part) && part.kind() != Part.Kind.BOARD) {
                untested.add(part.id());
            }
        }
        return untested;
    }

    /** Parts other than the cause that hold what it took with it. */
    private List<String> damaged(HypothesisId leader) {
        Set<String> gone = pack.runs().damage(leader);
        List<Part> cause = pack.space().get(leader).parts();
        return pack.model().parts().stream().filter(part -> !cause.contains(part) && part.elements().stream().anyMatch(gone::contains))
                .map(Part::id).toList();
    }

    private boolean provenByOhms(String load) {
        List<String> nets = pack.model().machine().circuit().element(load).nets();
        return diagnosis.sinceRepair().stream().anyMatch(o -> o instanceof Observation.Reading r
                && Log.ohms(r.test(), nets.get(0), nets.get(1)) && !pack.errors().onlyAMisread(r.test(),
                pack.predictions().nominal(r.test()), r.value()));
    }

    private boolean isLoad(String element) {
        return pack.model().machine().circuit().element(element) instanceof Element.Load;
    }

    private double peak(HypothesisId id, String load) {
        return pack.runs().peakAmps(id, load);
    }
}
