package bricksignal.core.diagnosis.proof;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Outcomes;
import bricksignal.core.diagnosis.Prediction;
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

    private static final double SAME_CHANCE = 0.2;
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
        double probability = group.stream().mapToDouble(diagnosis::belief).sum();
        List<ProofItem> items = items(leader);
        boolean proven = items.stream().allMatch(ProofItem::proven);
        Verdict.Status status = probability < ENOUGH ? Verdict.Status.NOT_YET
                : proven ? Verdict.Status.PROVEN : Verdict.Status.INDICATED;
        return new Verdict(status, group, probability, items, untested(leader));
    }

    private List<ProofItem> items(int leader) {
        Hypothesis hypothesis = pack.hypotheses().get(leader);
        if (hypothesis.blamesBoard()) {
            return BoardProof.items(diagnosis, hypothesis);
        }
        Set<String> nets = netsOf(hypothesis);
        Set<String> elements = elementsOf(hypothesis);
        boolean direct = diagnosis.observations().stream().anyMatch(o -> showsDirectly(o, leader, nets, elements));
        List<String> tests = direct ? List.of() : new Log(diagnosis).cheapest(test -> !diagnosis.answered(test)
                && touches(test, nets, elements, leader) && tellsFromHealthy(test, leader));
        boolean possible = direct || !tests.isEmpty() || diagnosis.observations().isEmpty();
        ProofItem item = new ProofItem("Direct evidence at the part: " + hypothesis.part().label(), direct, tests);
        return possible ? List.of(item) : List.of();
    }

    /** Made at the part, and more likely in this fault than in a sound unit. */
    private boolean showsDirectly(Observation observation, int leader, Set<String> nets, Set<String> elements) {
        Test test;
        if (observation instanceof Observation.Reading r) {
            test = r.test();
        } else if (observation instanceof Observation.Answer a) {
            test = a.test();
        } else {
            return false;
        }
        return touches(test, nets, elements, leader) && tellsFromHealthy(test, leader)
                && diagnosis.likelihood(observation, leader) > 0.1 * bestLikelihood(observation);
    }

    private double bestLikelihood(Observation observation) {
        double best = 0;
        for (int h = 0; h < pack.hypotheses().size(); h++) {
            best = Math.max(best, diagnosis.likelihood(observation, h));
        }
        return best;
    }

    private boolean tellsFromHealthy(Test test, int leader) {
        int healthy = healthyHypothesis();
        Outcomes outcomes = pack.outcomes(test);
        double common = 0;
        for (int k = 0; k < outcomes.count(); k++) {
            common += Math.min(outcomes.chance(k, leader), healthy < 0 ? 0 : outcomes.chance(k, healthy));
        }
        return leader == healthy || common < 1 - SAME_CHANCE;
    }

    private int healthyHypothesis() {
        for (int h = 0; h < pack.hypotheses().size(); h++) {
            if (pack.hypotheses().get(h).fault().effects().isEmpty()) {
                return h;
            }
        }
        return -1;
    }

    /** A test touches a part if a probe is on one of its terminals, or it is in series with it, or it asks about it. */
    private boolean touches(Test test, Set<String> nets, Set<String> elements, int leader) {
        if (test instanceof Test.Check check) {
            return check.tells().containsKey(pack.hypotheses().get(leader).id()) || nets.isEmpty();
        }
        Place place = ((Test.Reading) test).place();
        if (place instanceof Place.Across across) {
            return nets.isEmpty() || nets.contains(across.red()) || nets.contains(across.black());
        }
        return nets.isEmpty() || place instanceof Place.Through through && elements.contains(through.element());
    }

    private Set<String> elementsOf(Hypothesis hypothesis) {
        Set<String> elements = new LinkedHashSet<>();
        for (Effect effect : hypothesis.fault().effects()) {
            if (effect instanceof Effect.OnElement on) {
                elements.add(on.element());
            }
        }
        return elements;
    }

    private Set<String> netsOf(Hypothesis hypothesis) {
        Set<String> nets = new LinkedHashSet<>();
        for (String element : elementsOf(hypothesis)) {
            nets.addAll(pack.model().machine().circuit().element(element).nets());
        }
        nets.remove(pack.model().machine().circuit().reference());
        return nets;
    }

    /** The leader and all that no test of the pack can tell from it. */
    private List<Integer> group(int leader) {
        List<Integer> group = new ArrayList<>(List.of(leader));
        for (int h = 0; h < pack.hypotheses().size(); h++) {
            if (h != leader && alike(leader, h)) {
                group.add(h);
            }
        }
        return group;
    }

    private boolean alike(int a, int b) {
        for (Test test : pack.tests()) {
            if (!diagnosis.possible(test)) {
                continue;
            }
            Outcomes outcomes = pack.outcomes(test);
            double common = 0;
            for (int k = 0; k < outcomes.count(); k++) {
                common += Math.min(outcomes.chance(k, a), outcomes.chance(k, b));
            }
            if (common < 1 - SAME_CHANCE) {
                return false;
            }
        }
        return pack.model().charts().keySet().stream().allMatch(board -> pack.lampShares(a, board).keySet()
                .equals(pack.lampShares(b, board).keySet()));
    }

    /** Loads that run in a sound unit and never carry their current in this fault, unless their resistance was proven. */
    private List<String> untested(int leader) {
        Hypothesis hypothesis = pack.hypotheses().get(leader);
        List<String> untested = new ArrayList<>();
        for (Part part : pack.model().parts()) {
            boolean fed = part.elements().stream().filter(this::isLoad).allMatch(load -> peak(hypothesis.unit(), load)
                    >= UNTESTED_SHARE * peak(pack.healthy(), load) || provenByOhms(load));
            if (!fed && !part.id().equals(hypothesis.part().id()) && part.kind() != Part.Kind.BOARD) {
                untested.add(part.id());
            }
        }
        return untested;
    }

    private boolean provenByOhms(String load) {
        List<String> nets = pack.model().machine().circuit().element(load).nets();
        return diagnosis.observations().stream().anyMatch(o -> o instanceof Observation.Reading r
                && Log.ohms(r.test(), nets.get(0), nets.get(1)) && !pack.errors().onlyAMisread(r.test(),
                (Prediction.Number) pack.healthyPrediction(r.test()), r.value()));
    }

    private boolean isLoad(String element) {
        return pack.model().machine().circuit().element(element) instanceof Element.Load;
    }

    private static double peak(VirtualUnit unit, String load) {
        return unit.usualRun().intervals().stream().mapToDouble(i -> i.unit().solution().amps(load).magnitude()).max()
                .orElse(0);
    }
}
