package bricksignal.core.diagnosis;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Quantity;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.MeterMode;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Every coil, valve and motor fed directly: its plug off, its own voltage put on it by a cord with the unit's power off, so that no
 * two supplies ever meet; and unhooked, to see whether what is pulled down comes back. What a fault of the part itself does to the
 * current and to what the current moves is computed; nothing else of the unit matters then. Common practice; figures from memory.
 */
public final class FeedTest {

    private static final double SEEN = 0.97;
    /** A part that draws its current while the model does not say whether it moves. */
    private static final double NOBODY_KNOWS = 0.5;
    private static final double FEED_MINUTES = 2.5;
    private static final double UNHOOK_MINUTES = 1.5;
    /** Volts as the trade names them. */
    private static final List<Integer> NAMED_VOLTS = List.of(12, 24, 120, 208, 230, 460);
    private static final double LEAST_AMPS = 0.02;
    /** A cord with its fuse. */
    private static final double CORD_OHMS = 0.3;
    /** Less than this share of its current moves nothing, and more than so many times it opens the fuse of the cord. */
    private static final double LEAST_SHARE = 0.5;
    private static final double MOST_SHARE = 3;

    private final UnitModel model;
    private final Machine machine;
    private final Part part;
    private final Element.Load load;
    private final Timeline.Interval running;
    private final double volts;

    private FeedTest(UnitModel model, Part part, Element.Load load, Timeline.Interval running) {
        this.model = model;
        this.machine = model.machine();
        this.part = part;
        this.load = load;
        this.running = running;
        this.volts = solution().rms(load.a(), load.b());
    }

    /** The tests of a unit. */
    static List<Test.Check> of(UnitModel model, VirtualUnit nominal) {
        List<Timeline.Interval> intervals = model.watchedScenarios().stream().flatMap(s -> nominal.run(s.id()).intervals().stream()).toList();
        return model.parts().stream().filter(part -> part.kind() != Part.Kind.BOARD).flatMap(part -> loads(model, part).stream()
                .flatMap(load -> of(model, part, load, intervals))).toList();
    }

    /** A motor of three windings stands on three phases and is fed by no cord; of two, one only helps the other. */
    private static List<Element.Load> loads(UnitModel model, Part part) {
        List<Element.Load> loads = part.elements().stream().map(model.machine().circuit()::element).filter(Element.Load.class::isInstance)
                .map(Element.Load.class::cast).toList();
        return loads.size() > 2 ? List.of() : loads.subList(0, Math.min(1, loads.size()));
    }

    private static Stream<Test.Check> of(UnitModel model, Part part, Element.Load load, List<Timeline.Interval> intervals) {
        Timeline.Interval running = intervals.stream().max(Comparator.comparingDouble(i -> i.unit().solution().rms(load.id()))).orElseThrow();
        if (running.unit().solution().rms(load.id()) < LEAST_AMPS) {
            return Stream.empty();
        }
        FeedTest test = new FeedTest(model, part, load, running);
        List<Test.Check> tests = new ArrayList<>();
        if (test.moves() && !test.fedByThePack() && test.runs(test.machine)) {
            tests.add(test.feed());
        }
        test.unhook().ifPresent(tests::add);
        return tests.stream();
    }

    /** True for a test that feeds a load directly, the pack's own or one that is made here. */
    public static boolean feeds(Test.Check check, String load) {
        return check.id().equals(id(load)) || check.sense() == Test.Sense.TRY && !check.change().equals(Message.NOTHING)
                && check.when() != null && check.when().names().contains("amps." + load);
    }

    private static String id(String load) {
        return "feed." + load;
    }

    private Solution solution() {
        return running.unit().solution();
    }

    private boolean direct() {
        return Math.abs(solution().directAmps(load.id())) > solution().amps(load.id()).magnitude();
    }

    /** A coil, a valve, a motor: its current moves a contact or something of the process; what only glows is none. */
    private boolean moves() {
        boolean alone = moved().stream().flatMap(q -> q.moves().stream()).filter(move -> names(move.when()))
                .allMatch(move -> move.when().names().stream().noneMatch(this::needsMore));
        return (load.reactanceOhms() != 0 || direct()) && alone && (movesAContact() || !moved().isEmpty());
    }

    /** What else must be fed or sent for it to move. */
    private boolean needsMore(String name) {
        boolean sent = Stream.of("amps.", "volts.", "in.", "out.", "state.", "powered.").anyMatch(name::startsWith);
        return sent && part.elements().stream().noneMatch(element -> name.equals("amps." + element));
    }

    private boolean movesAContact() {
        return machine.rules().values().stream().anyMatch(rule -> rule instanceof Rule.Follows follows && names(follows.closed()));
    }

    private List<Quantity> moved() {
        return machine.process().stream().filter(q -> q.moves().stream().anyMatch(move -> names(move.when()))).toList();
    }

    private boolean names(Expr expr) {
        return expr.names().contains("amps." + load.id());
    }

    /** The pack has a cord of its own for it. */
    private boolean fedByThePack() {
        return model.checks().stream().anyMatch(check -> check.sense() == Test.Sense.TRY && !check.change().equals(Message.NOTHING)
                && check.when() != null && (names(check.when()) || moved().stream().anyMatch(q -> check.when().names().contains(q.id()))));
    }

    /** Fuel comes through it: its current moves the flame. */
    private boolean fuel() {
        return machine.circuit().elements().stream().filter(Element.FlamePath.class::isInstance).map(e -> machine.rules().get(e.id()))
                .anyMatch(rule -> rule instanceof Rule.Follows lit && moved().stream().anyMatch(q -> lit.closed().names().contains(q.id())));
    }

    private Test.Check feed() {
        Map<String, Double> tells = new LinkedHashMap<>();
        model.faults().stream().filter(this::concerns).forEach(fault -> tells.put(fault.id(), answers(fault)));
        Message plug = plug();
        Message on = new Message.Amount(direct() ? MeterMode.DC_VOLTS : MeterMode.AC_VOLTS, NAMED_VOLTS.stream()
                .min(Comparator.comparingDouble(named -> Math.abs(Math.log(volts / named)))).orElseThrow());
        Message what = Message.said(part.label());
        return new Test.Check(id(load.id()), Message.of(fuel() ? "test.feed-fuel" : "test.feed", plug, on, what), Test.Sense.TRY,
                off(), null, tells, SEEN, FEED_MINUTES, "", Message.of("change.feed", plug, on, what));
    }

    /** A fault of the part itself, or of what hangs on it behind the plug. */
    private boolean concerns(Fault fault) {
        return fault.part().equals(part.id()) && !fault.effects().isEmpty() || fault.effects().stream().anyMatch(this::behindThePlug);
    }

    private boolean ofTheLoad(Effect effect) {
        return effect instanceof Effect.OnElement on && on.element().equals(load.id());
    }

    private boolean behindThePlug(Effect effect) {
        return effect instanceof Effect.OnElement on && (part.elements().contains(on.element()) || machine.circuit().element(on.element())
                instanceof Element.Capacitor c && c.nets().stream().anyMatch(this::ofThePart));
    }

    private boolean ofThePart(String net) {
        return part.elements().stream().anyMatch(id -> machine.circuit().element(id).nets().contains(net));
    }

    /** Does it run, with what hangs on the cord and the process values of its part as the fault has them, all else in good order. */
    private double answers(Fault fault) {
        Machine failed = machine;
        boolean changed = false;
        for (Effect effect : fault.effects()) {
            boolean ofItsOwn = effect instanceof Effect.OnParameter && fault.part().equals(part.id());
            failed = ofItsOwn || behindThePlug(effect) ? effect.apply(failed) : failed;
            changed |= ofItsOwn && moved().stream().flatMap(q -> q.moves().stream()).anyMatch(move -> names(move.when())
                    && move.when().names().contains(((Effect.OnParameter) effect).parameter()));
        }
        boolean known = changed || fault.effects().stream().anyMatch(this::behindThePlug);
        return !drawsItsCurrent(failed) ? 1 - SEEN : !known ? NOBODY_KNOWS : runs(failed) ? SEEN : 1 - SEEN;
    }

    private boolean drawsItsCurrent(Machine with) {
        double share = onTheCord(with).rms(load.id()) / onTheCord(machine).rms(load.id());
        return share >= LEAST_SHARE && share <= MOST_SHARE;
    }

    /** All that its current moves in good order moves on the cord. */
    private boolean runs(Machine with) {
        Env env = new Fed(running.middle(), with.parameters(), onTheCord(with));
        return moved().stream().flatMap(q -> Stream.of(q.moves().stream().filter(move -> names(move.when())).toList()))
                .allMatch(moves -> moves.stream().anyMatch(move -> move.when().holds(env))
                        || moves.stream().noneMatch(move -> move.when().holds(running.middle())));
    }

    /** The circuit with the plugs of the part off and its own voltage across it. */
    private Solution onTheCord(Machine with) {
        Set<String> pins = model.connectors().stream().flatMap(c -> c.conductors().stream()).filter(id -> machine.circuit().element(id)
                .nets().stream().anyMatch(this::ofThePart)).collect(Collectors.toSet());
        List<Element> elements = new ArrayList<>();
        with.circuit().elements().forEach(e -> elements.add(e instanceof Element.Conductor pin && pins.contains(e.id())
                ? pin.closed(false) : e));
        elements.add(direct() ? new Element.DirectSource("cord", load.a(), load.b(), volts, CORD_OHMS)
                : new Element.Source("cord", load.a(), load.b(), volts, 0, CORD_OHMS));
        return Solution.of(new Circuit(with.circuit().reference(), with.circuit().hertz(), elements));
    }

    /** The unit as it runs in good order, with other parameters, and with what flows on the cord. */
    private record Fed(Env running, Map<String, Double> parameters, Solution cord) implements Env {
        @Override
        public double value(Expr.Name name) {
            Double changed = parameters.get(name.name());
            return changed != null ? changed : name.kind() == Expr.Kind.AMPS ? cord.rms(name.of()) : running.value(name);
        }

        @Override
        public double secondsUntil(Expr.Name name, double target) {
            return Double.POSITIVE_INFINITY;
        }
    }

    /** Unhooked it no longer pulls down what feeds it: for a load that a fault of the list shorts. */
    private Optional<Test.Check> unhook() {
        Map<String, Double> tells = new LinkedHashMap<>();
        model.faults().stream().filter(fault -> fault.effects().stream().anyMatch(e -> ofTheLoad(e)
                && ((Effect.OnElement) e).mode() == Effect.Mode.SHORTED)).forEach(fault -> tells.put(fault.id(), SEEN));
        Moment found = model.asFound().orElse(model.moments().get(0));
        return tells.isEmpty() ? Optional.empty() : Optional.of(new Test.Check("unhook." + load.id(), Message.of("test.unhook",
                Message.said(part.label())), Test.Sense.TRY, found.id(), null, tells, 1 - SEEN, UNHOOK_MINUTES, "",
                Message.of("change.unhook", Message.said(part.label()))));
    }

    private Message plug() {
        return model.connectors().stream().filter(c -> c.conductors().stream().anyMatch(id -> machine.circuit().element(id).nets().stream()
                .anyMatch(load.nets()::contains))).findFirst().map(c -> Message.said(c.label())).orElse(Message.of("test.feed-wires"));
    }

    private String off() {
        return model.powerOff().stream().findFirst().orElse(model.moments().get(0)).id();
    }
}
