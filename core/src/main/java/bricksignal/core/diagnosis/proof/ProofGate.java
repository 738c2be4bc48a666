package bricksignal.core.diagnosis.proof;

import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.List;

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
    public static final double UNEXPLAINED = 0.5;

    private static final double SAME_CHANCE = 0.2;
    private static final double LIVE_SHARE = 0.8;
    /** Two that no test tells apart keep the odds of their priors; one that is this far behind was told apart. */
    private static final double NEVER = 1e-5;
    private static final double UNTESTED_SHARE = 0.1;

    private final Diagnosis diagnosis;
    private final CompiledPack pack;

    private ProofGate(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
    }

    /** The verdict on what is known. */
    public static Verdict verdict(Diagnosis diagnosis) {
        return new ProofGate(diagnosis).judge();
    }

    private Verdict judge() {
        HypothesisId leader = diagnosis.leader();
        List<HypothesisId> group = group(leader);
        double probability = probability(group);
        List<ProofItem> items = items(leader);
        if (probability >= ENOUGH) {
            items.addAll(NothingElse.items(diagnosis, leader));
        }
        boolean proven = items.stream().allMatch(ProofItem::proven);
        double enough = pack.space().get(leader).blamesBoard() ? ENOUGH_FOR_A_BOARD : ENOUGH;
        Verdict.Status status = diagnosis.unexplained() > UNEXPLAINED ? Verdict.Status.UNEXPLAINED : probability < enough ? Verdict.Status.NOT_YET
                : proven ? Verdict.Status.PROVEN : Verdict.Status.INDICATED;
        List<HypothesisId> unlisted = status == Verdict.Status.UNEXPLAINED ? NothingElse.wouldExplain(diagnosis) : List.of();
        return new Verdict(status, group, probability, items, untested(leader), unlisted);
    }

    /** That the parts of the leader, or of those that no test tells from it, are bad, alone or with another. */
    private double probability(List<HypothesisId> group) {
        double probability = 0;
        for (HypothesisId place : diagnosis.hypotheses()) {
            List<Part> parts = pack.space().get(place).parts();
            boolean bad = group.contains(place) || group.stream().anyMatch(h -> parts.containsAll(pack.space().get(h).parts()));
            probability += bad ? diagnosis.belief(place) : 0;
        }
        return probability;
    }

    private List<ProofItem> items(HypothesisId leader) {
        Hypothesis hypothesis = pack.space().get(leader);
        List<ProofItem> items = new ArrayList<>();
        for (int i = 0; i < hypothesis.faults().size(); i++) {
            boolean board = hypothesis.parts().get(i).kind() == Part.Kind.BOARD;
            items.addAll(board ? BoardProof.items(diagnosis, hypothesis.faults().get(i), hypothesis.parts().get(i))
                    : direct(leader, hypothesis.faults().get(i), hypothesis.parts().get(i)));
        }
        if (hypothesis.intermittent()) {
            items.add(new Log(diagnosis).made(Message.of("proof.seen-intermittent"),
                    test -> test instanceof Test.Check check && (check.sense() == Test.Sense.CYCLES
                            || check.sense() == Test.Sense.WARM || check.sense() == Test.Sense.RESEAT
                            && check.tells().containsKey(hypothesis.fault().id()))));
        }
        return items;
    }

    /** Evidence at the part itself; where the pack has no test of the kind that would do, nothing more is asked. */
    private List<ProofItem> direct(HypothesisId leader, Fault fault, Part part) {
        PartEvidence evidence = new PartEvidence(pack, fault);
        boolean direct = diagnosis.sinceRepair().stream().anyMatch(o -> showsDirectly(o, leader, evidence));
        List<String> tests = direct ? List.of() : new Log(diagnosis).cheapest(test -> !diagnosis.answered(test)
                && evidence.isAtThePart(test) && (evidence.provesSupply(test) || tellsFromNominal(test, leader)));
        boolean possible = direct || !tests.isEmpty() || diagnosis.observations().isEmpty();
        ProofItem item = new ProofItem(Message.of("proof.direct", Message.said(part.label())), direct, tests);
        return possible ? List.of(item) : List.of();
    }

    /** Made at the part, and more likely in this fault than in the nominal unit; or power proven at a load that does nothing. */
    private boolean showsDirectly(Observation observation, HypothesisId leader, PartEvidence evidence) {
        if (observation instanceof Observation.Reading r) {
            double nominal = Math.abs(pack.predictions().nominalValue(r.test()));
            return evidence.isAtThePart(r.test()) && (evidence.provesSupply(r.test()) ? Math.abs(r.value()) >= LIVE_SHARE * nominal
                    : tellsFromNominal(r.test(), leader) && likely(observation, leader));
        }
        return observation instanceof Observation.Answer a && evidence.isAtThePart(a.test())
                && tellsFromNominal(a.test(), leader) && likely(observation, leader);
    }

    private boolean likely(Observation observation, HypothesisId leader) {
        return diagnosis.likelihood(observation, leader) > 0.1 * bestLikelihood(observation);
    }

    private double bestLikelihood(Observation observation) {
        double best = 0;
        for (HypothesisId h : diagnosis.hypotheses()) {
            best = Math.max(best, diagnosis.likelihood(observation, h));
        }
        return best;
    }

    private boolean tellsFromNominal(Test test, HypothesisId leader) {
        HypothesisId nothing = pack.space().nothing();
        return leader.equals(nothing) || pack.predictions().outcomes(test).common(leader, nothing) < 1 - SAME_CHANCE;
    }

    /** The leader and all that no test of the pack can tell from it. */
    private List<HypothesisId> group(HypothesisId leader) {
        List<HypothesisId> group = new ArrayList<>(List.of(leader));
        for (HypothesisId h : diagnosis.hypotheses()) {
            if (!h.equals(leader) && diagnosis.belief(h) > NEVER * diagnosis.belief(leader) && alike(leader, h)) {
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
            if (pack.predictions().outcomes(test).common(a, b) < 1 - SAME_CHANCE) {
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
        return pack.predictions().peakAmps(id, load);
    }
}
