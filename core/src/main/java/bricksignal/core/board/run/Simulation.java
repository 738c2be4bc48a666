package bricksignal.core.board.run;

import bricksignal.core.Known;
import bricksignal.core.board.Board;
import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Machine;
import bricksignal.core.board.Quantity;
import bricksignal.core.board.Region;
import bricksignal.core.board.Rule;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Runs a machine through a scenario by events: the next timer, threshold crossing or action. At each event contacts,
 * circuit, inputs, fuses, board and process are brought to rest by fixed-point iteration; a unit that finds no rest is
 * reported as chattering and goes on a moment later.
 */
public final class Simulation {

    /** An event lies past rounding ({@code Expr.past}) and this much later still, so that time moves on after it: the same crossing is not met again. */
    static final double PAST_CROSSING_SECONDS = 1e-6;

    private static final int MOST_ROUNDS = 60;
    private static final int MOST_INTERVALS = 3000;
    private static final double CHATTER_STEP_SECONDS = 0.1;

    private final SolvedStates solved;
    private Machine machine;
    private final Scenario scenario;
    private final UnitState state;
    private final boolean patient;
    private @Nullable Onset onset;
    private boolean chattering;

    /** The machine that another becomes at a time. */
    private record Onset(double at, Machine machine) {
    }

    private Simulation(Machine machine, Scenario scenario, SolvedStates solved, boolean patient) {
        this.patient = patient;
        this.solved = solved;
        this.machine = machine;
        this.scenario = scenario;
        this.state = new UnitState(machine, solved);
    }

    /** The run of a machine. */
    public static Timeline run(Machine machine, Scenario scenario) {
        return run(machine, List.of(scenario)).get(0);
    }

    /** Several runs of one machine, which share the solved states of its circuit. */
    public static List<Timeline> run(Machine machine, List<Scenario> scenarios) {
        return run(machine, scenarios, new SolvedStates());
    }

    /** Runs of one machine out of a family, whose members with the same wiring share its solved states. */
    public static List<Timeline> run(Machine machine, List<Scenario> scenarios, SolvedStates solved) {
        return scenarios.stream().map(scenario -> new Simulation(machine, scenario, solved, true).timeline()).toList();
    }

    /** The same, given up where the unit finds no rest: from there on the run stands still. */
    public static Timeline untilItChatters(Machine machine, Scenario scenario, SolvedStates solved) {
        return new Simulation(machine, scenario, solved, false).timeline();
    }

    /**
     * A run in which the machine becomes another at some time: a fault sets in.
     *
     * @param at seconds into the run
     * @param after the machine from then on: the same elements, boards, states and process values
     */
    public static Timeline run(Machine machine, double at, Machine after, Scenario scenario, SolvedStates solved) {
        Simulation simulation = new Simulation(machine, scenario, solved, true);
        simulation.onset = new Onset(at, after);
        return simulation.timeline();
    }

    private void setIn(double time) {
        Onset due = onset;
        if (due != null && time >= due.at()) {
            machine = due.machine();
            state.become(machine, solved);
            onset = null;
        }
    }

    private Timeline timeline() {
        List<Timeline.Interval> intervals = new ArrayList<>();
        double time = 0;
        int step = 0;
        while (time < scenario.seconds() && intervals.size() < MOST_INTERVALS && (patient || !chattering)) {
            for (; step < scenario.steps().size() && scenario.steps().get(step).at() <= time; step++) {
                state.act(scenario.steps().get(step));
            }
            setIn(time);
            boolean rest = settle(time);
            Snapshot snapshot = state.snapshot(time);
            double end = Math.min(scenario.seconds(), time + (rest ? horizon(snapshot, time) : CHATTER_STEP_SECONDS));
            if (step < scenario.steps().size()) {
                end = Math.min(end, scenario.steps().get(step).at());
            }
            end = onset == null ? end : Math.min(end, onset.at());
            intervals.add(new Timeline.Interval(time, end, snapshot));
            time = end;
        }
        if (time < scenario.seconds()) {
            chattering = true;
            Timeline.Interval last = intervals.remove(intervals.size() - 1);
            intervals.add(new Timeline.Interval(last.start(), scenario.seconds(), last.unit()));
        }
        return new Timeline(scenario, intervals, chattering);
    }

    /** Brings the unit to rest; false if it finds none. */
    private boolean settle(double time) {
        for (int round = 0; round < MOST_ROUNDS; round++) {
            boolean changed = state.solve(time);
            changed |= state.sense(time);
            changed |= state.move(time);
            changed |= state.decide(time);
            changed |= state.latch(time);
            if (!changed) {
                return true;
            }
        }
        chattering = true;
        return false;
    }

    private double horizon(Snapshot snapshot, double time) {
        Env plain = snapshot.at(time);
        double nearest = Double.POSITIVE_INFINITY;
        for (Rule rule : machine.rules().values()) {
            nearest = Math.min(nearest, horizon(rule, plain));
        }
        for (Quantity quantity : machine.process()) {
            for (Quantity.Move move : quantity.moves()) {
                nearest = Math.min(nearest, move.when().horizon(plain));
            }
        }
        for (Board board : machine.boards()) {
            if (snapshot.powered().contains(board.id())) {
                nearest = Math.min(nearest, horizon(board, snapshot, time));
            }
        }
        return nearest;
    }

    private static double horizon(Board board, Snapshot snapshot, double time) {
        double nearest = Double.POSITIVE_INFINITY;
        for (Region region : board.regions()) {
            Env inRegion = snapshot.at(time, region.id());
            for (Region.Transition way : region.state(Known.in(snapshot.states(), region.id())).transitions()) {
                nearest = Math.min(nearest, way.when().horizon(inRegion));
            }
        }
        return nearest;
    }

    private static double horizon(Rule rule, Env env) {
        if (rule instanceof Rule.Follows follows) {
            return follows.closed().horizon(env);
        }
        Rule.Latches latches = (Rule.Latches) rule;
        Expr closes = latches.closes();
        double opens = latches.opens().horizon(env);
        return closes == null ? opens : Math.min(opens, closes.horizon(env));
    }
}
