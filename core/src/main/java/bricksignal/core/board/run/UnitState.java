package bricksignal.core.board.run;

import bricksignal.core.Known;
import bricksignal.core.board.Board;
import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Input;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Quantity;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.lamp.LampPattern;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The changing half of a simulation: positions, inputs, board states and process values of one machine. */
final class UnitState {

    private Machine machine;
    private Moved moved;
    private SolvedStates.Wiring wiring;
    private final BitSet closed;
    private final BitSet blown = new BitSet();
    private final Map<String, String> states = new LinkedHashMap<>();
    private final Map<String, Double> entered = new LinkedHashMap<>();
    private final Map<String, Boolean> inputs = new LinkedHashMap<>();
    private final Map<String, Double> values = new LinkedHashMap<>();
    private final Map<String, Motion> motions = new LinkedHashMap<>();
    private Solution solution;
    private final Set<String> powered = new LinkedHashSet<>();
    private final Map<String, String> poweredStates = new LinkedHashMap<>();
    private final Map<String, LampPattern> lamps = new LinkedHashMap<>();
    private final Set<String> outputs = new LinkedHashSet<>();
    /** Boards without power that stand in their first states. */
    private final Set<String> resting = new LinkedHashSet<>();
    /** What the fuses and the inputs were last asked at: those of one machine say the same of the same solution. */
    private @Nullable Solution fused;
    private @Nullable Solution sensed;

    /** The elements that something moves, by their place in the circuit: follows a condition, moves and stays, blows. */
    private record Moved(Map<Integer, Expr> follow, Map<Integer, Rule.Latches> latch, Map<Integer, Element.Conductor> blow) {

        static Moved of(Machine machine) {
            Moved moved = new Moved(new LinkedHashMap<>(), new LinkedHashMap<>(), new LinkedHashMap<>());
            List<Element> elements = machine.circuit().elements();
            for (int i = 0; i < elements.size(); i++) {
                Rule rule = machine.rules().get(elements.get(i).id());
                if (rule instanceof Rule.Follows follows) {
                    moved.follow.put(i, follows.closed());
                } else if (rule instanceof Rule.Latches latches) {
                    moved.latch.put(i, latches);
                }
                if (elements.get(i) instanceof Element.Conductor c && c.fuseAmps() < Double.POSITIVE_INFINITY) {
                    moved.blow.put(i, c);
                }
            }
            return moved;
        }
    }

    UnitState(Machine machine, SolvedStates solved) {
        this.machine = machine;
        this.moved = Moved.of(machine);
        this.wiring = solved.of(machine.circuit());
        this.closed = Positions.of(machine.circuit());
        values.putAll(machine.parameters());
        values.putAll(machine.counters());
        machine.held().forEach((action, value) -> values.put("action." + action, value));
        machine.boards().forEach(board -> board.inputs().forEach(input -> inputs.put(input.id(), false)));
        machine.process().forEach(q -> motions.put(q.id(), new Motion(q.start(), q.start(), 1, 0)));
        machine.boards().forEach(board -> restart(board, 0));
        solution = wiring.at(closed);
        show();
    }

    /** Goes on as another machine of the same elements, boards, states and process values. What no rule moves stands as it has it. */
    void become(Machine other, SolvedStates solved) {
        machine = other;
        moved = Moved.of(other);
        fused = null;
        sensed = null;
        resting.clear();
        wiring = solved.of(other.circuit());
        BitSet resting = Positions.of(other.circuit());
        List<Element> elements = other.circuit().elements();
        for (int i = 0; i < elements.size(); i++) {
            if (!other.rules().containsKey(elements.get(i).id())) {
                closed.set(i, resting.get(i));
            }
        }
        closed.andNot(blown);
        values.putAll(other.parameters());
        other.held().forEach((action, value) -> values.put("action." + action, value));
        solution = wiring.at(closed);
        show();
    }

    void act(Scenario.Step step) {
        if (!machine.held().containsKey(step.action())) {
            values.put("action." + step.action(), step.value());
        }
    }

    /** Moves the contacts that follow a condition, solves the circuit, blows fuses; true if anything reads otherwise than before. */
    boolean solve(double time) {
        Solution before = solution;
        Env env = now(time).at(time);
        moved.follow.forEach((at, condition) -> closed.set(at, condition.holds(env)));
        closed.andNot(blown);
        solution = wiring.at(closed);
        if (solution != fused) {
            fused = solution;
            moved.blow.forEach((at, fuse) -> {
                if (closed.get(at) && solution.rms(fuse.id()) > fuse.fuseAmps()) {
                    blown.set(at);
                }
            });
        }
        return solution != before || closed.intersects(blown);
    }

    /** Reads the boards' supplies and inputs; a board that gets its supply now starts now. */
    boolean sense(double time) {
        if (solution == sensed) {
            return false;
        }
        sensed = solution;
        boolean changed = false;
        for (Board board : machine.boards()) {
            boolean fed = solution.rms(board.supplyPlus(), board.supplyMinus()) >= board.supplyVolts();
            boolean starts = fed && powered.add(board.id());
            if (starts) {
                resting.remove(board.id());
                board.regions().forEach(region -> entered.put(region.id(), time));
            }
            changed |= starts || !fed && powered.remove(board.id());
            for (Input input : board.inputs()) {
                double shown = shown(input);
                boolean was = Known.in(inputs, input.id());
                boolean is = was ? shown > input.off() : shown >= input.on();
                inputs.put(input.id(), is);
                changed |= was != is;
            }
        }
        show();
        return changed;
    }

    private double shown(Input input) {
        return input instanceof Input.Voltage v ? solution.rms(v.plus(), v.minus())
                : Math.abs(solution.directAmps(((Input.FlameCurrent) input).element()));
    }

    /** Sends process values where they now go. */
    boolean move(double time) {
        Env env = now(time).at(time);
        boolean changed = false;
        for (Quantity quantity : machine.process()) {
            Motion old = Known.in(motions, quantity.id());
            for (Quantity.Move move : quantity.moves()) {
                if (move.when().holds(env)) {
                    double target = move.target().value(env);
                    double tau = move.tau().value(env);
                    if (target != old.target() || tau != old.tau()) {
                        motions.put(quantity.id(), new Motion(old.at(time), target, tau, time));
                        changed = true;
                    }
                    break;
                }
            }
        }
        return changed;
    }

    /** Lets each region of each board take one step. */
    boolean decide(double time) {
        boolean changed = false;
        for (Board board : machine.boards()) {
            changed |= powered.contains(board.id()) ? step(board, time) : resting.add(board.id()) && restart(board, time);
        }
        return changed;
    }

    private boolean step(Board board, double time) {
        boolean changed = false;
        for (Region region : board.regions()) {
            Env env = now(time).at(time, region.id());
            for (Region.Transition way : region.state(Known.in(states, region.id())).transitions()) {
                if (way.when().holds(env)) {
                    way.sets().forEach((counter, expr) -> values.put(counter, expr.value(env)));
                    states.put(region.id(), way.to());
                    entered.put(region.id(), time);
                    show();
                    changed = true;
                    break;
                }
            }
        }
        return changed;
    }

    /** Moves limits and pressure switches. */
    boolean latch(double time) {
        Env env = now(time).at(time);
        boolean changed = false;
        for (Map.Entry<Integer, Rule.Latches> one : moved.latch.entrySet()) {
            Expr closes = one.getValue().closes();
            boolean was = closed.get(one.getKey());
            boolean is = was ? !one.getValue().opens().holds(env) : closes != null && closes.holds(env);
            closed.set(one.getKey(), is);
            changed |= was != is;
        }
        return changed;
    }

    /** The unit as it stands, to keep. */
    Snapshot snapshot(double time) {
        return new Snapshot(time, solution, new LinkedHashSet<>(powered), new LinkedHashMap<>(poweredStates),
                new LinkedHashMap<>(entered), new LinkedHashMap<>(inputs), new LinkedHashSet<>(outputs),
                new LinkedHashMap<>(lamps), new LinkedHashMap<>(values), new LinkedHashMap<>(motions));
    }

    /** The unit as it stands, only to be asked before anything changes: nothing is copied. */
    private Snapshot now(double time) {
        return new Snapshot(time, solution, powered, poweredStates, entered, inputs, outputs, lamps, values, motions);
    }

    /** What boards send and show follows from their states and their power. */
    private void show() {
        outputs.clear();
        for (Board board : machine.boards()) {
            boolean fed = powered.contains(board.id());
            lamps.put(board.id(), LampPattern.OFF);
            for (Region region : board.regions()) {
                poweredStates.put(region.id(), fed ? Known.in(states, region.id()) : "");
                if (fed) {
                    Region.State state = region.state(Known.in(states, region.id()));
                    outputs.addAll(state.outputs());
                    LampPattern shown = state.lamp();
                    if (shown != null) {
                        lamps.put(board.id(), shown);
                    }
                }
            }
        }
    }

    /** Back to the first states, as without power; true if a region was elsewhere. */
    private boolean restart(Board board, double time) {
        boolean wasElsewhere = false;
        board.regions().forEach(region -> region.states().forEach(state -> state.transitions().forEach(way ->
                way.sets().keySet().forEach(counter -> values.put(counter, machine.counters().get(counter))))));
        for (Region region : board.regions()) {
            wasElsewhere |= !region.initial().id().equals(states.put(region.id(), region.initial().id()));
            entered.put(region.id(), time);
        }
        return wasElsewhere;
    }
}
