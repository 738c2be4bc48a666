package bricksignal.server.diagnosis;

import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.diagnosis.SequenceModel;
import bricksignal.core.diagnosis.Wording;
import bricksignal.core.diagnosis.advice.Advice;
import bricksignal.core.diagnosis.advice.Why;
import bricksignal.core.diagnosis.plan.Proposal;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A proposed test in words. */
final class TestPage {

    private final Diagnosis diagnosis;
    private final CompiledPack pack;
    private final UnitModel model;

    TestPage(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
        this.model = pack.model();
    }

    DiagnosisView.TestView view(Advice.Purpose purpose, Proposal proposal) {
        Test test = proposal.test();
        Test.Reading reading = test instanceof Test.Reading r ? r : null;
        MeterMode mode = reading == null ? null : reading.mode();
        Place.Across across = reading != null && reading.place() instanceof Place.Across a ? a : null;
        String gauge = reading != null && across == null ? reading.label() : null;
        double at = pack.momentSeconds(test.moment());
        return new DiagnosisView.TestView(test.id(), title(test), Wording.instruction(model, test), reading != null,
                test instanceof Test.Sequence,
                across == null ? null : across.black(), across == null ? null : across.red(), gauge,
                mode == null ? null : Wording.mode(mode), mode == null ? null : mode.unit(),
                mode != null && mode.canReadOpen(), model.moment(test.moment()).label(), at, afterCall(at),
                reading != null && reading.setup().powerOff(),
                reading == null ? List.of() : reading.setup().unplugged().stream().map(c -> model.connector(c).label()).toList(),
                proposal.minutes(), cautions(test), temporary(test), Why.brief(diagnosis, purpose, proposal),
                Why.sentences(diagnosis, proposal), outcomes(proposal));
    }

    /** Seconds after the call, for a moment that comes while the unit is calling. */
    @Nullable Double afterCall(double at) {
        double call = SequenceModel.callSeconds(model);
        return at >= call && at < model.found().from() ? at - call : null;
    }

    private static boolean temporary(Test test) {
        return test instanceof Test.Check check && check.sense() == Test.Sense.TRY;
    }

    private String title(Test test) {
        return test.label();
    }

    private List<DiagnosisView.OutcomeView> outcomes(Proposal proposal) {
        Prediction sound = pack.healthyPrediction(proposal.test());
        String soundWords = Wording.expected(proposal.test(), sound);
        return proposal.branches().stream().filter(b -> b.probability() >= 0.005).map(branch -> {
            String expected = Wording.expected(proposal.test(), branch.looksLike());
            Double value = branch.looksLike() instanceof Prediction.Number n && !Double.isInfinite(n.mean()) ? n.mean() : null;
            return new DiagnosisView.OutcomeView(expected, value, branch.probability(),
                    near(sound, branch.looksLike()) || expected.equals(soundWords),
                    branch.suspects().stream().limit(4).map(h -> diagnosis.hypothesis(h).label()).toList());
        }).toList();
    }

    private static boolean near(Prediction sound, Prediction other) {
        return sound instanceof Prediction.Number a && other instanceof Prediction.Number b
                && Math.abs(a.mean() - b.mean()) <= 2 * (a.sigma() + b.sigma());
    }

    private List<String> cautions(Test test) {
        Set<String> classes = new LinkedHashSet<>();
        if (test instanceof Test.Reading reading) {
            if (reading.setup().powerOff()) {
                classes.add("off");
            }
            if (reading.place() instanceof Place.Across across) {
                classes.add(model.point(across.red()).safety());
                classes.add(model.point(across.black()).safety());
            }
            if (!reading.setup().powerOff() && !(reading.place() instanceof Place.Across)) {
                classes.add("moving");
            }
        }
        if (classes.contains("line")) {
            classes.remove("low");
        }
        List<String> cautions = new ArrayList<>();
        Map<String, String> texts = model.cautions();
        classes.stream().filter(texts::containsKey).forEach(c -> cautions.add(texts.get(c)));
        return cautions;
    }
}
