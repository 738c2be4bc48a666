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
import bricksignal.core.danger.Feed;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
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
    /** A voltage within a tenth of what the trade calls it may be called so (docs/safety.md); another one is said as it is. */
    private static final double NEAR_A_NAME = 0.1;
    /** Volts as the trade names them. */
    private static final List<Integer> NAMED_VOLTS = List.of(12, 24, 120, 208, 230, 460);
    private static final double LEAST_AMPS = 0.02;
    /** Less than this share of its current moves nothing, and more than so many times it opens the fuse of the cord. */
    private static final double LEAST_SHARE = 0.5;
    private static final double MOST_SHARE = 3;

    private final UnitModel model;
    private final Machine machine;
    private final Part part;
    private final Element.Load load;
    private final Timeline.Interval running;
    private final double volts;
    private final Optional<Feed> cord;

    private FeedTest(UnitModel model, Circuit off, Part part, Element.Load load, Timeline.Interval running) {
        this.model = model;
        this.machine = model.machine();
        this.part = part;
        this.load = load;
        this.running = running;
        this.volts = solution().rms(load.a(), load.b());
        this.cord = Feed.of(model, off, part, load, volts, direct());
    }

    /** The tests of a unit. */
    static List<Test.Check> of(UnitModel model, VirtualUnit nominal) {
        List<Timeline.Interval> intervals = model.watchedScenarios().stream().flatMap(s -> nominal.run(s.id()).intervals().stream()).toList();
        Circuit off = model.powerOff().stream().findFirst().map(moment -> nominal.run(moment.scenario()).at(nominal.secondsOf(moment)).unit()
                .solution().circuit()).orElse(model.machine().circuit());
        return model.parts().stream().filter(part -> part.kind() != Part.Kind.BOARD).flatMap(part -> loads(model, part).stream()
                .flatMap(load -> of(model, off, part, load, intervals))).toList();
    }

    /** A motor of three windings stands on three phases and is fed by no cord; of two, one only helps the other. */
    private static List<Element.Load> loads(UnitModel model, Part part) {
        List<Element.Load> loads = part.elements().stream().map(model.machine().circuit()::element).filter(Element.Load.class::isInstance)
                .map(Element.Load.class::cast).toList();
        return loads.size() > 2 ? List.of() : loads.subList(0, Math.min(1, loads.size()));
    }

    private static Stream<Test.Check> of(UnitModel model, Circuit off, Part part, Element.Load load, List<Timeline.Interval> intervals) {
        Timeline.Interval running = intervals.stream().max(Comparator.comparingDouble(i -> i.unit().solution().rms(load.id()))).orElseThrow();
        if (running.unit().solution().rms(load.id()) < LEAST_AMPS) {
            return Stream.empty();
        }
        FeedTest test = new FeedTest(model, off, part, load, running);
        List<Test.Check> tests = new ArrayList<>();
        if (test.cord.isPresent() && test.moves() && test.runs(test.machine)) {
            tests.add(test.feed());
        }
        test.unhook().ifPresent(tests::add);
        return tests.stream();
    }

    /** True for a test that feeds a load directly, the pack's own or one that is made here. */
    public static boolean feeds(Test.Check check, String load) {
        return check.id().equals(id(load)) || check.sense() == Test.Sense.TRY && check.change().made()
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

    private Test.Check feed() {
        Map<String, Double> tells = new LinkedHashMap<>();
        model.faults().stream().filter(this::concerns).forEach(fault -> tells.put(fault.id(), answers(fault)));
        String plug = cord.orElseThrow().plug();
        Message off = plug.isEmpty() ? Message.of("test.feed-wires", Message.said(part.label())) : Message.said(model.connector(plug).label());
        Message on = new Message.Amount(direct() ? MeterMode.DC_VOLTS : MeterMode.AC_VOLTS, named());
        Message what = Message.said(part.label());
        return new Test.Check(id(load.id()), Message.of(asks(), off, on, what), Test.Sense.TRY, off(), null, tells, SEEN, FEED_MINUTES, "",
                new Change(Change.Kind.FED, part.id(), Message.of("change.feed", off, on, what)));
    }

    /** All that may be asked: a valve clicks, a coil pulls in, a motor turns. */
    private String asks() {
        Set<Device.Feed> ways = model.devices(part).stream().map(Device::feed).collect(Collectors.toSet());
        return ways.contains(Device.Feed.GAS_SHUT) ? "test.feed-fuel" : ways.contains(Device.Feed.WIRES_OFF) ? "test.feed-coil" : "test.feed";
    }

    /** Its own voltage as the trade names it where that is within a tenth, as it is where it is not: never another one. */
    private double named() {
        double nearest = NAMED_VOLTS.stream().min(Comparator.comparingDouble(named -> Math.abs(volts - named))).orElseThrow();
        return Math.abs(volts - nearest) <= NEAR_A_NAME * nearest ? nearest : Math.round(volts);
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
        boolean known = changed && asks().equals("test.feed") || fault.effects().stream().anyMatch(this::behindThePlug);
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

    /** The circuit with the load on its cord, what hangs with it as a machine has it. */
    private Solution onTheCord(Machine with) {
        Circuit fed = cord.orElseThrow().circuit();
        List<Element> elements = new ArrayList<>();
        for (Element e : fed.elements()) {
            boolean own = !e.id().equals(Feed.CORD) && (part.elements().contains(e.id()) || behindThePlug(new Effect.OnElement(e.id(), Effect.Mode.OPEN, 0)));
            Element failed = own ? with.circuit().element(e.id()) : e;
            boolean inside = own && e instanceof Element.Conductor && model.machine().rules().containsKey(e.id());
            elements.add(inside && with.circuit().element(e.id()).equals(machine.circuit().element(e.id())) ? e : failed);
        }
        return Solution.of(fed.with(elements));
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
                new Change(Change.Kind.PLUG_OFF, part.id(), Message.of("change.unhook", Message.said(part.label())))));
    }

    private String off() {
        return model.powerOff().stream().findFirst().orElse(model.moments().get(0)).id();
    }
}
