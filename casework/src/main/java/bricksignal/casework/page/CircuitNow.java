package bricksignal.casework.page;

import bricksignal.casework.Case;
import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.diagnosis.Diagnosis;
import bricksignal.core.diagnosis.Hypothesis;
import bricksignal.core.diagnosis.HypothesisId;
import bricksignal.core.diagnosis.Observation;
import bricksignal.core.drawing.Edge;
import bricksignal.core.drawing.Ladder;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What is drawn into the circuit of a case: how a healthy unit stands at a moment, what was read, what is suspected and what is ruled out. */
final class CircuitNow {

    /** Of what was thought of it at first so much is left of what is ruled out; and it must have been worth thinking of (our own judgement). */
    private static final double RULED_OUT = 0.02;
    private static final double WORTH_A_THOUGHT = 0.002;
    /** Less likely causes are not marked: a drawing full of marks has none (our own judgement). */
    private static final double WORTH_MARKING = 0.02;
    /** Two nets that differ by less than this are one place to a meter, V. */
    private static final double SAME_VOLTS = 0.5;

    private final Case now;
    private final UnitModel model;
    private final Solution standing;
    private final Map<String, Message> found = new LinkedHashMap<>();
    private final Map<String, Double> suspected = new LinkedHashMap<>();
    private final Map<String, Double> atFirst = new LinkedHashMap<>();
    /** The probed places that are live. */
    private final Set<String> live = new LinkedHashSet<>();

    CircuitNow(Case now, String moment) {
        this.now = now;
        this.model = now.unit().model();
        this.standing = now.unit().at(moment).solution();
        Diagnosis diagnosis = now.diagnosis();
        for (Observation observation : diagnosis.observations()) {
            if (observation instanceof Observation.Reading reading && reading.test().place() instanceof Place.Across across && !reading.test().mode().dead()) {
                found.put(across.red(), new Message.Amount(reading.test().mode(), reading.value()));
            }
        }
        for (HypothesisId id : diagnosis.hypotheses()) {
            Hypothesis hypothesis = diagnosis.hypothesis(id);
            elements(hypothesis).forEach(element -> {
                suspected.merge(element, diagnosis.belief(id), Double::sum);
                atFirst.merge(element, hypothesis.prior(), Double::sum);
            });
        }
        model.points().stream().filter(point -> now.unit().live(point, volts(point))).forEach(point -> live.add(point.net()));
    }

    /** What a cause is about: what it changes in the circuit, or else what its part consists of. */
    private static Set<String> elements(Hypothesis hypothesis) {
        Set<String> elements = new LinkedHashSet<>();
        hypothesis.faults().stream().flatMap(fault -> fault.effects().stream()).forEach(effect -> {
            if (effect instanceof Effect.OnElement on) {
                elements.add(on.element());
            }
        });
        if (elements.isEmpty()) {
            hypothesis.parts().stream().filter(part -> part.board().isEmpty()).forEach(part -> elements.addAll(part.elements()));
        }
        return elements;
    }

    private double volts(Point point) {
        return standing.rms(point.net(), point.against());
    }

    /** What a healthy unit has at a place that a probe reaches, against its usual reference. */
    @Nullable Message expected(String net) {
        return model.pointAt(net).map(point -> (Message) new Message.Amount(point.mode(), volts(point))).orElse(null);
    }

    @Nullable Message found(String net) {
        return found.get(net);
    }

    /** True where a healthy unit has something at a place; one that no probe reaches has what a place at the same voltage has. */
    boolean live(String net) {
        return live.contains(net) || !model.isProbed(net) && live.stream().anyMatch(near -> standing.rms(net, near) < SAME_VOLTS);
    }

    ElementState state(String element) {
        boolean closed = !(standing.circuit().element(element) instanceof Element.Conductor conductor) || conductor.closed();
        double share = suspected.getOrDefault(element, 0.0);
        double before = atFirst.getOrDefault(element, 0.0);
        return new ElementState(closed, share >= WORTH_MARKING ? share : 0, before >= WORTH_A_THOUGHT && share <= RULED_OUT * before);
    }

    /** The rung around the probes of a test; nothing for one that has none. */
    List<RungStep> around(Test test) {
        Ladder ladder = now.unit().ladder();
        List<Ladder.Step> way = test instanceof Test.Reading reading && reading.place() instanceof Place.Across across
                ? ladder.ground().contains(across.red()) ? ladder.way(across.black(), across.red()) : ladder.way(across.red(), across.black())
                : test instanceof Test.Reading reading && reading.place() instanceof Place.Through through ? ladder.wayThrough(through.element()) : List.of();
        return way.stream().map(this::step).toList();
    }

    /** The rung around the likeliest cause that is drawn. */
    List<RungStep> aroundTheLikeliest() {
        return around(now.diagnosis().ranking().stream());
    }

    /** The rung around the cause that leads; nothing where it does not lie in the circuit, such as a blocked vent. */
    List<RungStep> aroundTheLeader() {
        return around(Stream.of(now.diagnosis().leader()));
    }

    private List<RungStep> around(Stream<HypothesisId> causes) {
        return causes.flatMap(id -> elements(now.diagnosis().hypothesis(id)).stream()).map(now.unit().ladder()::wayThrough)
                .filter(some -> !some.isEmpty()).findFirst().orElse(List.of()).stream().map(this::step).toList();
    }

    /** Something that lies between two places. */
    ChainPage.ChainLink link(Edge edge) {
        return new ChainPage.ChainLink(edge.symbol(), now.unit().ladder().label(edge), state(edge.element()));
    }

    private RungStep step(Ladder.Step step) {
        Ladder ladder = now.unit().ladder();
        Optional<Point> point = model.pointAt(step.net());
        String net = point.map(Point::net).orElse(null);
        return new RungStep(net, point.map(Point::label).map(Message::said).orElse(Message.NOTHING), point.map(Point::colour).orElse(""), expected(step.net()), found(step.net()),
                live(step.net()), ladder.ground().contains(step.net()), step.by().map(edge -> edge.symbol()).orElse(null), step.by().map(ladder::label).orElse(Message.NOTHING),
                step.by().map(edge -> state(edge.element())).orElse(null));
    }
}
