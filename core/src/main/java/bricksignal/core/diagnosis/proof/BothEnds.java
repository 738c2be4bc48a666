package bricksignal.core.diagnosis.proof;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.ConductorSearch;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A conductor that does not conduct, or only through rust, has something at one end and nothing at the other at the same moment: between two moments the
 * unit may have stopped. Readings of its two ends count together only where they were taken at one moment with the other probe at
 * one place; one reading from end to end counts alone. Common practice of careful technicians; no published source.
 */
final class BothEnds {

    private static final double LIVE_SHARE = 0.8;

    private final Diagnosis diagnosis;
    private final CompiledPack pack;
    private final DirectEvidence evidence;
    private final HypothesisId leader;
    private final Element.Conductor conductor;
    private final Map<String, Set<String>> together = new HashMap<>();
    private final Set<String> first;
    private final Set<String> second;

    /**
     * A reading of one of the ends against something else.
     *
     * @param against all that hangs together with what the other probe is on
     */
    private record End(Test.Reading test, boolean first, Set<String> against) {

        /** True for the other end at the same moment against the same. */
        boolean meets(End other) {
            return first != other.first && against.equals(other.against) && test.moment().equals(other.test.moment())
                    && test.mode().equals(other.test.mode());
        }
    }

    private BothEnds(Diagnosis diagnosis, DirectEvidence evidence, Element.Conductor conductor) {
        this.diagnosis = diagnosis;
        this.pack = diagnosis.pack();
        this.evidence = evidence;
        this.leader = diagnosis.leader();
        this.conductor = conductor;
        this.first = points(conductor.a());
        this.second = points(conductor.b());
    }

    /** What proof needs of it; empty where the fault is none of a conductor's, or where no probe reaches both ends of it at one moment. */
    static Optional<ProofItem> item(Diagnosis diagnosis, DirectEvidence evidence, Fault fault, Part part) {
        if (fault.effects().size() != 1 || !(fault.effects().get(0) instanceof Effect.OnElement on) || on.mode() != Effect.Mode.OPEN && on.mode() != Effect.Mode.RESISTIVE
                || !(diagnosis.pack().model().machine().circuit().element(on.element()) instanceof Element.Conductor conductor)) {
            return Optional.empty();
        }
        return new BothEnds(diagnosis, evidence, conductor).item(part);
    }

    /** Where a probe reaches that end: there, or at the nearest points that hang together with it without the conductor itself. */
    private Set<String> points(String end) {
        if (pack.model().isProbed(end)) {
            return Set.of(end);
        }
        Set<String> points = new LinkedHashSet<>(together(end));
        points.removeIf(n -> !pack.model().isProbed(n));
        return points;
    }

    /** The nets that hang together with one without the conductor itself. */
    private Set<String> together(String net) {
        return together.computeIfAbsent(net, from -> ConductorSearch.from(pack.model().machine().circuit(), from, c -> c.closed() && !c.id()
                .equals(conductor.id()), n -> true).nets());
    }

    private Optional<ProofItem> item(Part part) {
        Log log = new Log(diagnosis);
        List<String> tests = new ArrayList<>();
        List<End> ends = new ArrayList<>();
        for (Test test : pack.catalogue().tests()) {
            if (test instanceof Test.Reading reading && fromEndToEnd(reading) && evidence.couldTell(reading)) {
                tests.add(reading.id());
            }
            end(test).filter(end -> log.due(end.test())).ifPresent(ends::add);
        }
        ends.removeIf(one -> ends.stream().noneMatch(other -> one.meets(other) && (couldShow(one, other) || couldShow(other, one))));
        if (ends.isEmpty() && tests.isEmpty()) {
            return Optional.empty();
        }
        boolean shown = diagnosis.sinceRepair().stream().anyMatch(this::shownAlone) || shownTogether();
        List<String> wanted = shown ? List.of() : log.cheapest(test -> !diagnosis.answered(test)
                && (tests.contains(test.id()) || ends.stream().anyMatch(end -> end.test().equals(test))));
        return Optional.of(new ProofItem(Message.of("proof.both-ends", Message.said(part.label())), shown, wanted));
    }

    /** By something that needs no second reading: a look, a wiggle, a reading from end to end. */
    private boolean shownAlone(Observation seen) {
        return seen instanceof Observation.Answer answer && evidence.shows(answer)
                || seen instanceof Observation.Reading reading && !Log.volts(reading.test()) && evidence.shows(reading)
                || seen instanceof Observation.Reading across && fromEndToEnd(across.test()) && evidence.speaks(across);
    }

    private boolean shownTogether() {
        List<Observation.Reading> readings = diagnosis.sinceRepair().stream().filter(Observation.Reading.class::isInstance)
                .map(Observation.Reading.class::cast).filter(r -> end(r.test()).isPresent()).toList();
        return readings.stream().filter(this::live).anyMatch(live -> readings.stream().filter(evidence::speaks)
                .anyMatch(dead -> end(live.test()).orElseThrow().meets(end(dead.test()).orElseThrow())));
    }

    private boolean live(Observation.Reading reading) {
        return live(reading.test(), reading.value());
    }

    private boolean live(Test.Reading test, double value) {
        Log log = new Log(diagnosis);
        return log.due(test) && Math.abs(value) >= LIVE_SHARE * Math.abs(log.nominal(test));
    }

    /** True if, with the fault in it, the one would be found live and the other would tell: as long as nothing has stopped it. */
    private boolean couldShow(End live, End dead) {
        return pack.predictions().of(live.test(), leader) instanceof Prediction.Number number && live(live.test(), number.mean())
                && evidence.couldTell(dead.test());
    }

    private boolean fromEndToEnd(Test.Reading test) {
        return test.place() instanceof Place.Across across && (first.contains(across.red()) && second.contains(across.black())
                || first.contains(across.black()) && second.contains(across.red()));
    }

    private Optional<End> end(Test test) {
        if (!(test instanceof Test.Reading reading) || !Log.volts(reading) || !(reading.place() instanceof Place.Across across)
                || fromEndToEnd(reading)) {
            return Optional.empty();
        }
        return end(reading, across.red(), across.black()).or(() -> end(reading, across.black(), across.red()));
    }

    private Optional<End> end(Test.Reading reading, String at, String against) {
        return first.contains(at) ? Optional.of(new End(reading, true, together(against)))
                : second.contains(at) ? Optional.of(new End(reading, false, together(against))) : Optional.empty();
    }
}
