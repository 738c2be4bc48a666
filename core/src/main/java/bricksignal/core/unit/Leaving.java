package bricksignal.core.unit;

import bricksignal.core.board.Board;
import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.board.Input;
import bricksignal.core.board.Region;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.lamp.LampPattern;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * How a board leaves a state in which it has stopped, such as a lockout: by itself after a time, and sooner when the call is taken off. Computed from the ways
 * out of the state, as they stand while the unit calls and all else is in good order.
 *
 * @param board the board
 * @param shown what its lamp shows meanwhile
 * @param seconds after which it goes on by itself, above 0; infinite where it never does
 * @param callOff whether it goes on when the call is taken off
 */
public record Leaving(String board, LampPattern shown, double seconds, boolean callOff) {

    /** A board that goes on sooner than this has not stopped (our own judgement). */
    private static final double LEAST_SECONDS = 60;
    /** Nobody waits longer for anything: a day. */
    private static final double MOST_SECONDS = 86_400;
    private static final int HALVINGS = 40;

    /** The states in which the boards of a unit stop and are not left by putting right what stopped them, each lamp once, in their order. */
    public static List<Leaving> of(UnitModel model, VirtualUnit nominal) {
        List<Timeline> runs = model.scenarios().stream().map(Scenario::id).map(nominal::run).toList();
        Timeline usual = nominal.usualRun();
        double calling = Math.min(model.found().from(), usual.scenario().seconds() - 1);
        Env good = usual.at(calling).unit().at(calling);
        List<Leaving> leaving = new ArrayList<>();
        Set<String> seen = new LinkedHashSet<>();
        for (Board board : model.machine().boards()) {
            Set<String> calls = calls(board, usual, calling);
            for (Region region : board.regions()) {
                for (Region.State state : region.states()) {
                    if (state.lamp() != null && runs.stream().noneMatch(run -> entered(run, region, state)) && seen.add(board.id() + state.lamp().text())) {
                        Leaving left = new Leaving(board.id(), state.lamp(), seconds(state, good), goesOn(state, new Now(good, calls, 0)) && !goesOn(state, new Now(good, Set.of(), 0)));
                        if (left.seconds() >= LEAST_SECONDS && (left.callOff() || Double.isFinite(left.seconds()))) {
                            leaving.add(left);
                        }
                    }
                }
            }
        }
        return List.copyOf(leaving);
    }

    private static boolean entered(Timeline run, Region region, Region.State state) {
        return run.intervals().stream().anyMatch(interval -> state.id().equals(interval.unit().states().get(region.id())));
    }

    /** The inputs by which a board hears a call: on while the unit calls and off before. */
    private static Set<String> calls(Board board, Timeline usual, double calling) {
        double before = usual.scenario().firstAfterPower() / 2;
        Set<String> calls = new LinkedHashSet<>();
        for (Input input : board.inputs()) {
            if (Boolean.TRUE.equals(usual.at(calling).unit().inputs().get(input.id())) && !Boolean.TRUE.equals(usual.at(before).unit().inputs().get(input.id()))
                    && usual.at(usual.scenario().firstAfterPower()).unit().inputs().getOrDefault(input.id(), false)) {
                calls.add(input.id());
            }
        }
        return calls;
    }

    private static boolean goesOn(Region.State state, Env now) {
        return state.transitions().stream().anyMatch(way -> way.when().holds(now));
    }

    /** After how long it goes on by itself, to a thousandth of a second; 0 where it goes on at once, infinite where it does not. */
    private static double seconds(Region.State state, Env good) {
        if (!goesOn(state, new Now(good, Set.of(), MOST_SECONDS))) {
            return Double.POSITIVE_INFINITY;
        }
        double stays = 0;
        double goes = MOST_SECONDS;
        if (goesOn(state, new Now(good, Set.of(), 0))) {
            return 0;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (stays + goes) / 2;
            if (goesOn(state, new Now(good, Set.of(), middle))) {
                goes = middle;
            } else {
                stays = middle;
            }
        }
        return goes;
    }

    /**
     * The unit in good order as it stands while it calls, but for some of its calls, in a state since a time.
     *
     * @param off the inputs whose call is taken off
     * @param elapsed seconds in the state
     */
    private record Now(Env good, Set<String> off, double elapsed) implements Env {

        @Override
        public double value(Expr.Name name) {
            return name.name().equals("elapsed") ? elapsed : name.kind() == Expr.Kind.IN && off.contains(name.of()) ? 0 : good.value(name);
        }

        @Override
        public double secondsUntil(Expr.Name name, double target) {
            return Double.POSITIVE_INFINITY;
        }
    }
}
