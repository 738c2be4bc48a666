package bricksignal.core.unit;

import bricksignal.core.board.Board;
import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Simulation;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.board.run.SolvedStates;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Meter;
import bricksignal.core.circuit.solve.Solution;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A machine that is run through the scenarios of its model and can be measured at any moment. Safe for use by several threads. */
public final class VirtualUnit {

    private final UnitModel model;
    private final Machine machine;
    private final SolvedStates solved;
    private final Map<String, Timeline> runs = new java.util.concurrent.ConcurrentHashMap<>();
    private final Map<String, Optional<Double>> reached = new java.util.concurrent.ConcurrentHashMap<>();
    private final Map<Rewired, Solution> rewired = new java.util.concurrent.ConcurrentHashMap<>();

    private VirtualUnit(UnitModel model, Machine machine, SolvedStates solved) {
        this.model = model;
        this.machine = machine;
        this.solved = solved;
    }

    /** A machine to run, the nominal one of the model or one with a fault in it. */
    public static VirtualUnit of(UnitModel model, Machine machine) {
        return of(model, machine, new SolvedStates());
    }

    /** The same, sharing solved states with other machines of the same wiring. */
    public static VirtualUnit of(UnitModel model, Machine machine, SolvedStates solved) {
        return new VirtualUnit(model, machine, solved);
    }

    /** The run under a scenario; run when first asked for. */
    public Timeline run(String scenario) {
        return runs.computeIfAbsent(scenario, id -> Simulation.run(machine, List.of(model.scenario(id)), solved).get(0));
    }

    /**
     * The same unit with some switches held closed, whatever heat, pressure or level does: how it would run on if they had not opened yet. A computation, nothing to do
     * at a unit.
     *
     * @param switches elements by id, each a conductor
     */
    public VirtualUnit holding(Set<String> switches) {
        Machine held = machine;
        for (String id : switches) {
            held = held.withStuck(((Element.Conductor) held.circuit().element(id)).closed(true));
        }
        return new VirtualUnit(model, held, solved);
    }

    /**
     * The same unit whose boards energize nothing in some states; the unit itself where they energize nothing there anyway.
     *
     * @param states by region; a region that a board does not have says nothing of it
     */
    public VirtualUnit releasing(Map<String, Set<String>> states) {
        Machine released = machine;
        for (Board board : machine.boards()) {
            released = released.withBoard(board.releasing(states));
        }
        return released.boards().equals(machine.boards()) ? this : new VirtualUnit(model, released, solved);
    }

    /** True if the unit finds rest all along a scenario; one that does not is run no further. */
    public boolean settles(String scenario) {
        Timeline run = runs.computeIfAbsent(scenario, id -> Simulation.untilItChatters(machine, model.scenario(id), solved));
        return !run.chattering();
    }

    /** The usual run: that of the first scenario. */
    public Timeline usualRun() {
        Scenario usual = model.scenarios().get(0);
        return run(usual.id());
    }

    /**
     * When a moment comes in this unit's run, seconds.
     *
     * @throws IllegalArgumentException if the unit does not come to it
     */
    public double secondsOf(Moment moment) {
        if (moment.during() == null) {
            return moment.offset();
        }
        double[] stretch = run(moment.scenario()).firstStretch(moment.during()).orElseThrow(
                () -> new IllegalArgumentException("moment '" + moment.id() + "' never comes: the unit in good order does not "
                        + "reach it in scenario '" + moment.scenario() + "'"));
        double at = stretch[0] + moment.offset();
        if (!(at < stretch[1])) {
            throw new IllegalArgumentException("moment '" + moment.id() + "' lies " + moment.offset()
                    + " s into a stretch that lasts only " + (stretch[1] - stretch[0]) + " s");
        }
        return at;
    }

    /**
     * When somebody who waits for a moment takes his reading at this unit, whatever is the matter with it: in the stretch that the moment
     * belongs to, be that sooner or later than in another; seconds into the run, empty where the unit does not come to it or leaves it before.
     */
    public Optional<Double> comesTo(Moment moment) {
        Expr during = moment.during();
        return during == null ? Optional.of(moment.offset()) : reached.computeIfAbsent(moment.id(), id -> run(moment.scenario())
                .firstStretch(during).filter(stretch -> stretch[1] - stretch[0] > moment.offset()).map(stretch -> stretch[0] + moment.offset()));
    }

    /** A reading: what the instrument shows, and what it is connected to. */
    public record Shown(double value, double sourceOhms) {
    }

    /**
     * What an instrument shows.
     *
     * @param at the moment, seconds into the run of that scenario
     * @return value in the unit of the mode, and the impedance behind the two probes in ohms (0 where there are none)
     */
    public Shown read(Test.Reading reading, String scenario, double at) {
        Snapshot unit = run(scenario).at(at).unit();
        if (reading.place() instanceof Place.Gauge gauge) {
            double value = unit.at(at).value(gauge.quantity());
            Thermistor sensor = gauge.thermistor();
            return new Shown(sensor == null ? value : sensor.read(value, unit.at(at).value(sensor.factor())), 0);
        }
        return shown(setUp(unit, unit.at(at), reading.setup()), reading);
    }

    /**
     * What an instrument shows at a unit that stands so: between two nets, or through an element.
     *
     * @param standing the unit's circuit with its contacts as they stand
     */
    public static Shown shown(UnitModel model, Circuit standing, Test.Reading reading) {
        return shown(Solution.of(unplugged(model, standing, reading.setup().unplugged())), reading);
    }

    private static Shown shown(Solution solution, Test.Reading reading) {
        if (reading.place() instanceof Place.Through through) {
            return new Shown(Meter.through(solution, reading.mode(), through.element()), 0);
        }
        Place.Across across = (Place.Across) reading.place();
        double value = Meter.across(solution, reading.mode(), across.black(), across.red());
        double ohms = reading.mode().dead() || value == 0 ? 0
                : solution.impedance(across.black(), across.red()).magnitude();
        return new Shown(value, ohms);
    }

    /** True if the condition of a check holds at that moment. */
    public boolean holds(Expr condition, String scenario, double at) {
        return condition.holds(run(scenario).at(at).unit().at(at));
    }

    /** The share of a span of time in which a condition holds, 0 to 1; for an instant it is 0 or 1. */
    public double share(Expr condition, String scenario, double at, double span) {
        return span > 0 ? run(scenario).share(condition, at, at + span) : holds(condition, scenario, at) ? 1 : 0;
    }

    /** A state of the unit with connectors pulled. */
    private record Rewired(Solution solution, List<String> unplugged) {
    }

    /** What is given is heeded beside all else that stands now, so it is solved anew each time: few readings have it. */
    private Solution setUp(Snapshot unit, Env now, Setup setup) {
        if (!setup.given().isEmpty()) {
            return Solution.of(unplugged(model, given(unit.solution().circuit(), now, setup.given()), setup.unplugged()));
        }
        return setup.unplugged().isEmpty() ? unit.solution() : rewired.computeIfAbsent(new Rewired(unit.solution(), setup.unplugged()),
                wanted -> Solution.of(unplugged(model, wanted.solution().circuit(), wanted.unplugged())));
    }

    /** A circuit with the switches that heed these process values as they stand at them; one that holds between its two values stands as it did. */
    private Circuit given(Circuit circuit, Env now, Map<String, Double> given) {
        Env then = new Env() {
            @Override
            public double value(Expr.Name name) {
                return given.containsKey(name.name()) ? given.get(name.name()) : now.value(name);
            }

            @Override
            public double secondsUntil(Expr.Name name, double target) {
                return Double.POSITIVE_INFINITY;
            }
        };
        return circuit.with(circuit.elements().stream().map(element -> element instanceof Element.Conductor c && machine.rules().get(c.id()) instanceof Rule.Latches latches
                && latches.opens().names().stream().anyMatch(given::containsKey) ? c.closed(stands(latches, then, c.closed())) : element).toList());
    }

    private static boolean stands(Rule.Latches rule, Env at, boolean before) {
        return !rule.opens().holds(at) && (before || rule.closes() != null && rule.closes().holds(at));
    }

    /** A circuit with connectors pulled. */
    private static Circuit unplugged(UnitModel model, Circuit circuit, List<String> connectors) {
        if (connectors.isEmpty()) {
            return circuit;
        }
        Set<String> open = new LinkedHashSet<>();
        connectors.forEach(connector -> open.addAll(model.connector(connector).conductors()));
        List<Element> elements = new ArrayList<>();
        for (Element element : circuit.elements()) {
            elements.add(element instanceof Element.Conductor c && open.contains(c.id()) ? c.closed(false) : element);
        }
        return circuit.with(elements);
    }
}
