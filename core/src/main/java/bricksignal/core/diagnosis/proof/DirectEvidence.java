package bricksignal.core.diagnosis.proof;

import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.SettingTest;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Evidence at the part itself. An observation is evidence for a part only against its rivals: it is made at the part, and each
 * cause that would still be alive without it shows it much less likely. What its living rivals show as well says nothing, and an
 * answer that speaks against the part is no evidence for it, whatever it was about. Common practice of careful technicians; the
 * figures are from memory.
 */
final class DirectEvidence {

    /** How much less likely a living rival must show what was found. */
    static final double TELLS = 3;

    /** A cause is alive that has more than this share of the odds of the part, the observation itself left out: what proof allows. */
    static final double ALIVE = 1 - ProofGate.ENOUGH;
    private static final double LIVE_SHARE = 0.8;

    private final Diagnosis diagnosis;
    private final CompiledPack pack;
    private final HypothesisId leader;
    private final PartEvidence evidence;
    private final Set<HypothesisId> alike;

    /**
     * Evidence for a fault of what leads.
     *
     * @param alike the leader and all that no test can tell from it: they are no rivals
     */
    DirectEvidence(Diagnosis diagnosis, HypothesisId leader, Fault fault, List<HypothesisId> alike) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
        this.leader = leader;
        this.evidence = new PartEvidence(pack, fault);
        this.alike = Set.copyOf(alike);
    }

    /** What proof needs of it. */
    ProofItem item(Part part) {
        boolean shown = diagnosis.sinceRepair().stream().anyMatch(this::shows);
        List<String> tests = shown ? List.of() : new Log(diagnosis).cheapest(test -> !diagnosis.answered(test)
                && evidence.isAtThePart(test) && (evidence.provesSupply(test) || couldTell(test)));
        return new ProofItem(Message.of("proof.direct", Message.said(part.label())), shown, tests);
    }

    /**
     * That something is set wrong is seen in what the unit does too: a single look at a switch is easily wrong. Empty where it does
     * nothing that a test shows.
     */
    Optional<ProofItem> effect(Part part) {
        boolean shown = diagnosis.sinceRepair().stream().anyMatch(o -> !(o instanceof Observation.Answer a && SettingTest.looksAtASetting(a.test()))
                && !(o instanceof Observation.Repaired) && speaks(o));
        List<String> tests = shown ? List.of() : new Log(diagnosis).cheapest(test -> !diagnosis.answered(test)
                && !(test instanceof Test.Check check && (SettingTest.looksAtASetting(check) || check.sense().changesAPart())) && couldTell(test));
        return shown || !tests.isEmpty() ? Optional.of(new ProofItem(Message.of("proof.effect", Message.said(part.label())), shown, tests))
                : Optional.empty();
    }

    /** True if an observation is evidence at the part. */
    boolean shows(Observation observation) {
        if (observation instanceof Observation.Reading r && evidence.isAtThePart(r.test())) {
            boolean supplied = evidence.provesSupply(r.test());
            double nominal = Math.abs(pack.predictions().nominalValue(r.test()));
            return (supplied ? Math.abs(r.value()) >= LIVE_SHARE * nominal : speaks(observation)) && noRivalShows(observation);
        }
        return observation instanceof Observation.Answer a && evidence.isAtThePart(a.test()) && speaks(observation)
                && noRivalShows(observation);
    }

    /** Much more likely in this fault than in the unit in good order. */
    boolean speaks(Observation observation) {
        return diagnosis.likelihood(observation, leader) >= TELLS * diagnosis.likelihood(observation, pack.space().nothing());
    }

    private boolean noRivalShows(Observation observation) {
        double here = diagnosis.likelihood(observation, leader);
        for (HypothesisId rival : diagnosis.hypotheses()) {
            double there = diagnosis.likelihood(observation, rival);
            boolean alive = diagnosis.belief(rival) * here >= ALIVE * diagnosis.belief(leader) * there;
            if (alive && here < TELLS * there && !blamesTheSame(pack, alike, rival)) {
                return false;
            }
        }
        return true;
    }

    /** True for what blames the parts of one of a group too: which of their faults it is does not matter to whoever changes them. */
    static boolean blamesTheSame(CompiledPack pack, Collection<HypothesisId> group, HypothesisId other) {
        List<Part> parts = pack.space().get(other).parts();
        return group.contains(other) || group.stream().anyMatch(h -> parts.containsAll(pack.space().get(h).parts()));
    }

    boolean couldTell(Test test) {
        return pack.predictions().outcomes(test).common(leader, pack.space().nothing()) < ProofGate.TOLD_APART;
    }
}
