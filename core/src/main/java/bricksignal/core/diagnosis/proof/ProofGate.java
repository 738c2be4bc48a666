package bricksignal.core.diagnosis.proof;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Refuses to condemn a part before it is proven: probable above {@link #ENOUGH}, with direct evidence in the log. For an
 * ordinary part direct evidence is a test at the part itself that came out as the fault predicts and not as a sound part
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
        int leader = diagnosis.ranking().get(0);
        List<Integer> group = group(leader);
        double probability = probability(group);
        List<ProofItem> items = items(leader);
        if (probability >= ENOUGH) {
            items.addAll(NothingElse.items(diagnosis, leader));
        }
        boolean proven = items.stream().allMatch(ProofItem::proven);
        double enough = pack.hypothesis(leader).blamesBoard() ? ENOUGH_FOR_A_BOARD : ENOUGH;
        Verdict.Status status = diagnosis.unexplained() > UNEXPLAINED ? Verdict.Status.UNEXPLAINED : probability < enough ? Verdict.Status.NOT_YET
                : proven ? Verdict.Status.PROVEN : Verdict.Status.INDICATED;
        List<Integer> unlisted = status == Verdict.Status.UNEXPLAINED ? NothingElse.wouldExplain(diagnosis) : List.of();
        return new Verdict(status, group, probability, items, untested(leader), unlisted);
    }

    /** That the parts of the leader, or of those that no test tells from it, are bad, alone or with another. */
    private double probability(List<Integer> group) {
        double probability = 0;
        for (int place : diagnosis.places()) {
            List<Part> parts = pack.hypothesis(place).parts();
            boolean bad = group.contains(place) || group.stream().anyMatch(h -> parts.containsAll(pack.hypothesis(h).parts()));
            probability += bad ? diagnosis.belief(place) : 0;
        }
        return probability;
    }

    private List<ProofItem> items(int leader) {
        Hypothesis hypothesis = pack.hypothesis(leader);
        List<ProofItem> items = new ArrayList<>();
        for (int i = 0; i < hypothesis.faults().size(); i++) {
            boolean board = hypothesis.parts().get(i).kind() == Part.Kind.BOARD;
            items.addAll(board ? BoardProof.items(diagnosis, hypothesis.faults().get(i), hypothesis.parts().get(i))
                    : direct(leader, hypothesis.faults().get(i), hypothesis.parts().get(i)));
        }
        if (hypothesis.comesAndGoes()) {
            items.add(new Log(diagnosis).made("Seen to come and go: wiggled, or watched for several cycles",
                    test -> test instanceof Test.Check check && (check.sense() == Test.Sense.CYCLES
                            || check.sense() == Test.Sense.WARM || check.sense() == Test.Sense.RESEAT
                            && check.tells().containsKey(hypothesis.fault().id()))));
        }
        return items;
    }

    /** Evidence at the part itself; where the pack has no test of the kind that would do, nothing more is asked. */
    private List<ProofItem> direct(int leader, Fault fault, Part part) {
        PartEvidence evidence = new PartEvidence(pack, fault);
        boolean direct = diagnosis.sinceRepair().stream().anyMatch(o -> showsDirectly(o, leader, evidence));
        List<String> tests = direct ? List.of() : new Log(diagnosis).cheapest(test -> !diagnosis.answered(test)
                && evidence.isAtThePart(test) && (evidence.provesSupply(test) || tellsFromHealthy(test, leader)));
        boolean possible = direct || !tests.isEmpty() || diagnosis.observations().isEmpty();
        ProofItem item = new ProofItem("Direct evidence at the part: " + part.label(), direct, tests);
        return possible ? List.of(item) : List.of();
    }

    /** Made at the part, and more likely in this fault than in a sound unit; or power proven at a load that does nothing. */
    private boolean showsDirectly(Observation observation, int leader, PartEvidence evidence) {
        if (observation instanceof Observation.Reading r) {
            double healthy = Math.abs(((Prediction.Number) pack.healthyPrediction(r.test())).mean());
            return evidence.isAtThePart(r.test()) && (evidence.provesSupply(r.test()) ? Math.abs(r.value()) >= LIVE_SHARE * healthy
                    : tellsFromHealthy(r.test(), leader) && likely(observation, leader));
        }
        return observation instanceof Observation.Answer a && evidence.isAtThePart(a.test())
                && tellsFromHealthy(a.test(), leader) && likely(observation, leader);
    }

    private boolean likely(Observation observation, int leader) {
        return diagnosis.likelihood(observation, leader) > 0.1 * bestLikelihood(observation);
    }

    private double bestLikelihood(Observation observation) {
        double best = 0;
        for (int h : diagnosis.places()) {
            best = Math.max(best, diagnosis.likelihood(observation, h));
        }
        return best;
    }

    private boolean tellsFromHealthy(Test test, int leader) {
        return leader == pack.sound() || pack.outcomes(test).common(leader, pack.sound()) < 1 - SAME_CHANCE;
    }

    /** The leader and all that no test of the pack can tell from it. */
    private List<Integer> group(int leader) {
        List<Integer> group = new ArrayList<>(List.of(leader));
        for (int h : diagnosis.places()) {
            if (h != leader && alike(leader, h)) {
                group.add(h);
            }
        }
        return group;
    }

    private boolean alike(int a, int b) {
        for (Test test : pack.tests()) {
            boolean repair = test instanceof Test.Check check && check.sense() == Test.Sense.SUBSTITUTE;
            if (repair || !diagnosis.possible(test)) {
                continue;
            }
            if (pack.outcomes(test).common(a, b) < 1 - SAME_CHANCE) {
                return false;
            }
        }
        return pack.model().charts().keySet().stream().allMatch(board -> pack.lampShares(a, board).keySet()
                .equals(pack.lampShares(b, board).keySet()));
    }

    /** Loads that run in a sound unit and never carry their current in this fault, unless their resistance was proven. */
    private List<String> untested(int leader) {
        Hypothesis hypothesis = pack.hypothesis(leader);
        List<String> untested = new ArrayList<>();
        for (Part part : pack.model().parts()) {
            boolean fed = part.elements().stream().filter(this::isLoad).allMatch(load -> peak(hypothesis.unit(), load)
                    >= UNTESTED_SHARE * peak(pack.healthy(), load) || provenByOhms(load));
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
                pack.healthyPrediction(r.test()), r.value()));
    }

    private boolean isLoad(String element) {
        return pack.model().machine().circuit().element(element) instanceof Element.Load;
    }

    private static double peak(VirtualUnit unit, String load) {
        return unit.usualRun().intervals().stream().mapToDouble(i -> i.unit().solution().amps(load).magnitude()).max()
                .orElse(0);
    }
}
