package bricksignal.core.unit;

import bricksignal.core.board.Board;
import bricksignal.core.board.Effect;
import bricksignal.core.board.Input;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/**
 * What can be the matter with any unit, made from its model and listed beside what its pack declares: each pin and wire that
 * carries current is open or makes bad contact; a board's joint behind a plug moves; a board holds still; others left a jumper
 * across a switch, a call jumper or a test cord in, a wire off its terminal. With the looks and touches that tell them. What the
 * pack declares itself is not made a second time. Common practice; the weights are from memory, small against those of the packs.
 */
public final class CommonFailures {

    /** The part that stands for what others left behind. A pack that wants such failures declares it. */
    public static final String LEFT = "left-by-others";

    /** The part that stands for a conductor that belongs to no other part. */
    public static final String WIRING = "wiring";

    private static final double PIN_WEIGHT = 0.4;
    private static final double WIRE_WEIGHT = 0.1;
    private static final double PIN_INTERMITTENT = 0.2;
    private static final double JOINT_WEIGHT = 0.15;
    private static final double JOINT_INTERMITTENT = 0.3;
    private static final double FROZEN_WEIGHT = 0.3;
    /** Of all states together. */
    private static final double OUTPUT_WEIGHT = 0.05;
    private static final double INPUT_WEIGHT = 0.05;
    private static final String OUTPUT = "out.";
    private static final double STUCK_WEIGHT = 0.2;
    private static final double LEFT_WEIGHT = 0.4;
    /** A test cord is taken along when its owner goes; a jumper stays. */
    private static final double CORD_WEIGHT = 0.1;

    private static final String ACROSS = "see-left.";
    private static final double LOOK_SEES = 0.97;
    private static final double LOOK_BROKEN = 0.1;
    private static final double TOUCH_MOVES = 0.7;
    private static final double PRESSING_MOVES = 0.85;
    private static final double SOLDER_SHOWS = 0.75;
    private static final double BY_CHANCE = 0.01;
    private static final double LOOK_MINUTES = 0.1;
    private static final double GONE_MINUTES = 1.5;
    private static final double PRESS_MINUTES = 0.3;
    private static final double SOLDER_MINUTES = 5;

    /** Below this a conductor carries no load that a bad contact would take volts from, amperes. */
    private static final double LEAST_AMPS = 0.001;
    /** Share of a run that somebody notices. */
    private static final double DIFFERS = 0.01;

    private final UnitModel model;
    private final SolvedStates solved = new SolvedStates();
    private final VirtualUnit unit;
    private final List<Solution> nominal;
    private final List<Fault> faults;
    private final Map<String, Test.Check> checks = new LinkedHashMap<>();
    private final @Nullable Set<String> known;

    private CommonFailures(UnitModel model, @Nullable Set<String> known) {
        this.model = model;
        this.known = known;
        this.unit = VirtualUnit.of(model, model.machine(), solved);
        this.nominal = model.watchedScenarios().stream().flatMap(scenario -> unit.run(scenario.id()).intervals().stream())
                .map(interval -> interval.unit().solution()).distinct().toList();
        this.faults = new ArrayList<>(model.faults());
        model.checks().forEach(check -> checks.put(check.id(), check));
    }

    /** The unit with all of it; which failures can be felt and let it settle is found by running each. */
    public static UnitModel added(UnitModel model) {
        return added(model, null);
    }

    /**
     * The same.
     *
     * @param known the faults that were found when it was last run, by id: nothing but the unit in good order is run then; null where nobody knows
     */
    public static UnitModel added(UnitModel model, @Nullable Set<String> known) {
        CommonFailures common = new CommonFailures(model, known);
        if (has(model, WIRING)) {
            common.conductors();
        }
        common.boards();
        if (has(model, LEFT)) {
            common.left();
        }
        return model.with(common.faults, List.copyOf(common.checks.values()));
    }

    private static boolean has(UnitModel model, String part) {
        return model.parts().stream().anyMatch(p -> p.id().equals(part));
    }

    // --- conductors ---------------------------------------------------------------------------------------------------------

    private void conductors() {
        for (UnitModel.Connector connector : model.connectors()) {
            for (String id : connector.conductors()) {
                model.plainConductor(id).ifPresent(pin -> failing(pin, Message.said(connector.label()), partOf(connector), connector));
            }
        }
        model.machine().circuit().elements().forEach(element -> model.plainConductor(element.id()).filter(this::isWire).ifPresent(wire -> failing(
                wire, Message.said(model.elementLabel(wire.id())), model.partWith(wire.id()).map(Part::id).orElse(WIRING), null)));
    }

    private boolean isWire(Element.Conductor conductor) {
        boolean ofABoard = model.parts().stream().anyMatch(p -> p.kind() == Part.Kind.BOARD && p.elements().contains(conductor.id()));
        return !model.isPin(conductor.id()) && !ofABoard;
    }

    private String partOf(UnitModel.Connector connector) {
        return model.faults().stream().filter(fault -> connector.conductors().stream().anyMatch(pin -> touches(fault, pin)))
                .map(Fault::part).findFirst().orElse(WIRING);
    }

    private static boolean touches(Fault fault, String element) {
        return fault.effects().size() == 1 && fault.effects().get(0) instanceof Effect.OnElement on && on.element().equals(element);
    }

    private void failing(Element.Conductor c, Message label, String part, UnitModel.@Nullable Connector connector) {
        double ohms = halving(c);
        if (ohms <= 0) {
            return;
        }
        Message from = Message.said(model.pointLabel(c.a()));
        Message to = Message.said(model.pointLabel(c.b()));
        double weight = connector == null ? WIRE_WEIGHT : PIN_WEIGHT;
        double intermittent = connector == null ? 0 : PIN_INTERMITTENT;
        add("open." + c.id(), Message.of("failure.conductor-open", label, from, to), part, weight, intermittent,
                new Effect.OnElement(c.id(), Effect.Mode.OPEN, 0), "failure.remedy.conductor");
        Effect half = new Effect.OnElement(c.id(), Effect.Mode.RESISTIVE, ohms);
        String resistive = "resistive." + c.id();
        if (!feedsACapacitor(c) && felt(resistive, () -> settles(half))) {
            add(resistive, Message.of("failure.conductor-resistive", label, from, to), part, weight, intermittent, half,
                    "failure.remedy.conductor");
        }
        if (connector != null) {
            wiggled(connector).ifPresent(check -> faults.stream().filter(f -> f.id().endsWith("." + c.id()))
                    .forEach(f -> tells(check.id(), f.id(), TOUCH_MOVES)));
        }
    }

    /** A bad contact in front of a capacitor changes next to nothing: what it takes lies square to what the capacitor takes. */
    private boolean feedsACapacitor(Element.Conductor c) {
        return c.nets().stream().anyMatch(net -> model.machine().circuit().elements().stream().filter(e -> e.nets().contains(net)
                && !e.id().equals(c.id())).allMatch(Element.Capacitor.class::isInstance));
    }

    /** A contact so bad that the unit flutters with it is no state to reason about. */
    private boolean settles(Effect effect) {
        return VirtualUnit.of(model, effect.apply(model.machine()), solved).settles(model.scenarios().get(0).id());
    }

    /** The resistance that halves the current of a conductor where it carries most: by Thevenin's theorem. 0 where it carries none. */
    private double halving(Element.Conductor c) {
        Solution most = nominal.stream().max(Comparator.comparingDouble(s -> carries(s, c.id()))).orElseThrow();
        double amps = carries(most, c.id());
        if (amps < LEAST_AMPS) {
            return 0;
        }
        Solution open = Solution.of(most.circuit().with(((Element.Conductor) most.circuit().element(c.id())).closed(false)));
        return Math.max(open.rms(c.a(), c.b()), Math.abs(open.directVolts(c.a(), c.b()))) / amps;
    }

    private static double carries(Solution solution, String element) {
        return Math.max(solution.amps(element).magnitude(), Math.abs(solution.directAmps(element)));
    }

    private Optional<Test.Check> wiggled(UnitModel.Connector connector) {
        return model.checks().stream().filter(check -> check.sense() == Test.Sense.RESEAT && check.connector().equals(connector.id()))
                .findFirst();
    }

    // --- boards -------------------------------------------------------------------------------------------------------------

    private void boards() {
        for (Part part : model.parts()) {
            if (part.kind() == Part.Kind.BOARD) {
                Board board = model.machine().board(part.board());
                outputs(part);
                inputs(part, board);
                if (board.regions().stream().anyMatch(region -> region.initial().lamp() != null)) {
                    add("frozen." + board.id(), Message.of("failure.board-frozen", Message.said(part.label())), part.id(),
                            FROZEN_WEIGHT, 0, new Effect.BoardFrozen(board.id()), "failure.remedy.board");
                    board.regions().stream().filter(region -> region.initial().lamp() != null).findFirst()
                            .ifPresent(region -> stuck(part, board, region));
                }
            }
        }
        model.connectors().forEach(connector -> wiggled(connector).ifPresent(check -> model.parts().stream()
                .filter(part -> part.kind() == Part.Kind.BOARD && !pinsOn(part, connector).isEmpty())
                .max(Comparator.comparingInt(part -> pinsOn(part, connector).size()))
                .ifPresent(board -> joint(board, connector, check))));
    }

    /** Each contact of a board that its logic closes can fail by itself: it never closes, or it is welded. */
    private void outputs(Part part) {
        for (String id : part.elements()) {
            if (model.machine().rules().get(id) instanceof Rule.Follows follows && model.machine().circuit().element(id) instanceof Element.Conductor c
                    && follows.closed().names().stream().anyMatch(name -> name.startsWith(OUTPUT))) {
                output("failure.output-dead", "never." + id, part, c, new Effect.OnElement(id, Effect.Mode.OPEN, 0));
                output("failure.output-welded", "welded." + id, part, c, new Effect.OnElement(id, Effect.Mode.CLOSED, 0));
            }
        }
    }

    private void output(String says, String id, Part part, Element.Conductor contact, Effect effect) {
        if (!declared(effect) && felt(id, () -> differs(effect))) {
            fault(id, Message.of(says, Message.said(part.label()), Message.said(model.pointLabel(contact.b()))), part.id(), OUTPUT_WEIGHT, 0,
                    effect, "failure.remedy.board");
        }
    }

    /** Each input of a board can be deaf by itself. */
    private void inputs(Part part, Board board) {
        for (Input input : board.inputs()) {
            Effect effect = new Effect.InputDeaf(input.id());
            String id = "deaf." + input.id();
            if (!declared(effect) && felt(id, () -> differs(effect))) {
                fault(id, Message.of("failure.input-deaf", Message.said(part.label()), Message.said(input.id())), part.id(),
                        INPUT_WEIGHT, 0, effect, "failure.remedy.board");
            }
        }
    }

    /** The region that drives the lamp gets as far as a state of the usual run and does not leave it. */
    private void stuck(Part part, Board board, Region region) {
        Set<String> come = new LinkedHashSet<>();
        model.watchedScenarios().forEach(scenario -> unit.run(scenario.id()).intervals().forEach(interval ->
                come.add(interval.unit().states().getOrDefault(region.id(), ""))));
        List<Region.State> left = region.states().stream().filter(state -> come.contains(state.id()) && !state.equals(region.initial()))
                .toList();
        for (Region.State state : left) {
            String id = "frozen." + board.id() + "." + state.id();
            Effect stays = new Effect.BoardFrozen(board.id(), region.id(), state.id());
            if (felt(id, () -> differs(stays))) {
                add(id, Message.of("failure.board-stuck", Message.said(part.label()), Message.said(state.id().replace('-', ' '))), part.id(),
                        STUCK_WEIGHT / left.size(), 0, stays, "failure.remedy.board");
            }
        }
    }

    /** Whether a failure is one of this unit: as it was found before, or by running it. */
    private boolean felt(String id, BooleanSupplier byRunning) {
        return known == null ? byRunning.getAsBoolean() : known.contains(id);
    }

    /** True if in some watched run something is on for another share of the time than in the unit in good order. */
    private boolean differs(Effect effect) {
        VirtualUnit failed = VirtualUnit.of(model, effect.apply(model.machine()), solved);
        return model.watchedScenarios().stream().anyMatch(scenario -> model.channels().stream().anyMatch(channel ->
                Math.abs(failed.run(scenario.id()).share(channel.when(), 0, scenario.seconds())
                        - unit.run(scenario.id()).share(channel.when(), 0, scenario.seconds())) > DIFFERS));
    }

    /** The pins of a plug that end on a board. */
    private List<Element.Conductor> pinsOn(Part board, UnitModel.Connector connector) {
        Set<String> nets = new TreeSet<>();
        board.elements().forEach(id -> nets.addAll(model.machine().circuit().element(id).nets()));
        return connector.conductors().stream().flatMap(id -> model.plainConductor(id).stream())
                .filter(c -> nets.contains(c.a()) || nets.contains(c.b())).toList();
    }

    /** A plug's joint on the board moves with the plug, and with the board when that is pressed. */
    private void joint(Part board, UnitModel.Connector connector, Test.Check wiggled) {
        String pin = pinsOn(board, connector).stream().max(Comparator.comparingDouble(c -> nominal.stream()
                .mapToDouble(s -> carries(s, c.id())).max().orElse(0))).orElseThrow().id();
        String id = "joint." + connector.id();
        Message plug = Message.said(connector.label());
        fault(id, Message.of("failure.joint", Message.said(board.label()), plug), board.id(), JOINT_WEIGHT, JOINT_INTERMITTENT,
                new Effect.OnElement(pin, Effect.Mode.OPEN, 0), "failure.remedy.board");
        tells(wiggled.id(), id, TOUCH_MOVES);
        check("press." + connector.id(), Message.of("test.press", plug), Test.Sense.FEEL, wiggled.moment(), Map.of(id, PRESSING_MOVES),
                PRESS_MINUTES);
        Map<String, Double> held = new LinkedHashMap<>(Map.of(id, BY_CHANCE));
        faults.stream().filter(f -> connector.conductors().stream().anyMatch(c -> touches(f, c)) && !f.id().equals(id))
                .forEach(f -> held.put(f.id(), TOUCH_MOVES));
        check("hold." + connector.id(), Message.of("test.hold", plug), Test.Sense.FEEL, wiggled.moment(), held, PRESS_MINUTES);
        String off = model.powerOff().stream().map(Moment::id).findFirst().orElse(wiggled.moment());
        check("solder." + connector.id(), Message.of("test.solder", plug), Test.Sense.LOOK, off, Map.of(id, SOLDER_SHOWS), SOLDER_MINUTES);
    }

    // --- left by others -----------------------------------------------------------------------------------------------------

    private void left() {
        model.machine().circuit().elements().forEach(element -> {
            if (element instanceof Element.Conductor c) {
                Rule rule = model.machine().rules().get(c.id());
                Message label = Message.said(model.elementLabel(c.id()));
                if (rule instanceof Rule.Latches && !c.closed()) {
                    jumper(c, LEFT_WEIGHT, Message.of("failure.left-across", label), Message.of("test.see-across", label));
                } else if (rule instanceof Rule.Latches) {
                    check(ACROSS + c.id(), Message.of("test.see-across", label), Test.Sense.LOOK, found(), Map.of(), LOOK_MINUTES);
                } else if (model.isTestGear(c.id())) {
                    Message from = Message.said(model.pointLabel(c.a()));
                    Message to = Message.said(model.pointLabel(c.b()));
                    jumper(c, placesACall(c) ? LEFT_WEIGHT : CORD_WEIGHT, Message.of("failure.left-in", from, to), Message.of("test.see-left", from, to));
                }
            }
        });
        model.machine().circuit().elements().forEach(element -> model.plainConductor(element.id()).filter(this::isWire)
                .filter(this::atATerminal).ifPresent(this::wireOff));
    }

    private boolean placesACall(Element.Conductor c) {
        return model.calls().stream().anyMatch(call -> c.nets().containsAll(List.of(call.from(), call.to())));
    }

    private void jumper(Element.Conductor c, double weight, Message label, Message look) {
        String id = "left." + c.id();
        fault(id, label, LEFT, weight, 0, new Effect.OnElement(c.id(), Effect.Mode.CLOSED, 0), "failure.remedy.left");
        check(ACROSS + c.id(), look, Test.Sense.LOOK, found(), Map.of(id, LOOK_SEES), LOOK_MINUTES);
        checks.put("gone." + id, new Test.Check("gone." + id, Message.of("test.gone-left"), Test.Sense.TRY, found(), null, Map.of(id, LOOK_SEES),
                BY_CHANCE, GONE_MINUTES, "", new Change(Change.Kind.TAKEN_OUT, c.id(), Message.NOTHING)));
    }

    private void wireOff(Element.Conductor wire) {
        String id = "off." + wire.id();
        Message label = Message.said(model.pointLabel(wire.a()));
        Message other = Message.said(model.pointLabel(wire.b()));
        fault(id, Message.of("failure.wire-off", label, other), LEFT, LEFT_WEIGHT, 0,
                new Effect.OnElement(wire.id(), Effect.Mode.OPEN, 0), "failure.remedy.wire-off");
        Map<String, Double> tells = new LinkedHashMap<>(Map.of(id, LOOK_SEES));
        faults.stream().filter(fault -> !fault.id().equals(id) && touches(fault, wire.id())).forEach(f -> tells.put(f.id(), LOOK_BROKEN));
        check("see-off." + wire.id(), Message.of("test.see-off", label, other), Test.Sense.LOOK, found(), tells, LOOK_MINUTES);
        check("gone." + id, Message.of("test.gone-off"), Test.Sense.TRY, found(), Map.of(id, LOOK_SEES), GONE_MINUTES);
    }

    /** True for a wire that ends on a terminal where a board senses a call, and that carries current. */
    private boolean atATerminal(Element.Conductor wire) {
        return halving(wire) > 0 && model.machine().boards().stream().flatMap(board -> board.inputs().stream())
                .anyMatch(input -> input instanceof Input.Voltage v && wire.nets().contains(v.plus()));
    }

    private String found() {
        return model.asFound().orElse(model.moments().get(0)).id();
    }

    // --- what is added ------------------------------------------------------------------------------------------------------

    /**
     * True for the look at a safety that is closed at rest: bridged it changes nothing until it is needed, so it explains no complaint
     * and no reading finds it. Only the look does, and it is dangerous.
     */
    public static boolean looksForABridgedSafety(Test.Check check) {
        return check.id().startsWith(ACROSS) && check.tells().isEmpty();
    }

    /** Adds a failure that the pack does not declare itself. */
    private void add(String id, Message label, String part, double weight, double intermittent, Effect effect, String remedy) {
        if (!declared(effect)) {
            fault(id, label, part, weight, intermittent, effect, remedy);
        }
    }

    private boolean declared(Effect effect) {
        return effect instanceof Effect.OnElement on && on.mode() == Effect.Mode.RESISTIVE
                ? model.faults().stream().anyMatch(f -> touches(f, on.element())
                        && ((Effect.OnElement) f.effects().get(0)).mode() == Effect.Mode.RESISTIVE)
                : model.faults().stream().anyMatch(f -> f.effects().equals(List.of(effect)));
    }

    private void fault(String id, Message label, String part, double weight, double intermittent, Effect effect, String remedy) {
        faults.add(new Fault(id, label, Fault.Kind.FAULT, part, weight, List.of(effect), Message.of(remedy), false, intermittent, 0));
    }

    private void check(String id, Message label, Test.Sense sense, String moment, Map<String, Double> tells, double minutes) {
        checks.put(id, new Test.Check(id, label, sense, moment, null, tells, BY_CHANCE, minutes, "", Change.NONE));
    }

    private void tells(String id, String fault, double yes) {
        Test.Check old = java.util.Objects.requireNonNull(checks.get(id));
        Map<String, Double> tells = new LinkedHashMap<>(old.tells());
        tells.put(fault, yes);
        checks.put(id, new Test.Check(id, old.label(), old.sense(), old.moment(), old.when(), tells, old.otherwise(), old.minutes(),
                old.connector(), old.change()));
    }
}
