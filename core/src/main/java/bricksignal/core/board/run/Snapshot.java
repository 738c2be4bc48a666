package bricksignal.core.board.run;

import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.lamp.LampPattern;
import java.util.Map;
import java.util.Set;

/**
 * Everything about a unit between two events. Process values move by their law; all else stands still.
 *
 * @param time when it begins, seconds
 * @param solution voltages and currents
 * @param powered the boards whose logic works, by id
 * @param states state of each region; empty for a board without power
 * @param entered when each region entered its state, seconds
 * @param inputs what the board senses
 * @param outputs the outputs that are energised
 * @param lamps what each board's lamp shows
 * @param values actions, parameters and counters by name (actions as {@code action.call})
 * @param motions process values
 */
public record Snapshot(double time, Solution solution, Set<String> powered, Map<String, String> states,
        Map<String, Double> entered, Map<String, Boolean> inputs, Set<String> outputs, Map<String, LampPattern> lamps,
        Map<String, Double> values, Map<String, Motion> motions) {

    /** The unit at an instant within this interval, to evaluate expressions against. */
    public Env at(double instant) {
        return new At(this, instant, "");
    }

    /** The same, with {@code elapsed} counted in that region. */
    Env at(double instant, String region) {
        return new At(this, instant, region);
    }

    private record At(Snapshot unit, double instant, String region) implements Env {

        @Override
        public double value(Expr.Name name) {
            return switch (name.kind()) {
                case IN -> truth(known(unit.inputs.get(name.of()), name));
                case OUT -> truth(unit.outputs.contains(name.of()));
                case STATE -> truth(known(unit.states.get(name.of()), name).equals(name.state()));
                case AMPS -> unit.solution.rms(name.of());
                case VOLTS -> unit.solution.rms(name.of(), unit.solution.circuit().reference());
                case ACTION -> unit.values.getOrDefault(name.name(), 0.0);
                case POWERED -> truth(unit.powered.contains(name.of()));
                case CLOSED -> truth(unit.solution.circuit().element(name.of()) instanceof Element.Conductor c && c.closed());
                case PLAIN -> plain(name);
            };
        }

        private double plain(Expr.Name name) {
            Motion motion = unit.motions.get(name.name());
            if (motion != null) {
                return motion.at(instant);
            }
            if (isElapsed(name)) {
                return instant - unit.entered.getOrDefault(region, instant);
            }
            return known(unit.values.get(name.name()), name);
        }

        @Override
        public double secondsUntil(Expr.Name name, double target) {
            if (isElapsed(name)) {
                double left = target - value(name);
                return left > 1e-9 ? left : Double.POSITIVE_INFINITY;
            }
            Motion motion = unit.motions.get(name.name());
            return motion == null ? Double.POSITIVE_INFINITY
                    : motion.secondsUntilPast(target, Expr.past(target), instant) + Simulation.PAST_CROSSING_SECONDS;
        }

        private boolean isElapsed(Expr.Name name) {
            return name.name().equals("elapsed") && !region.isEmpty();
        }

        private static double truth(boolean truth) {
            return truth ? 1 : 0;
        }

        private static <T> T known(@org.jspecify.annotations.Nullable T value, Expr.Name name) {
            if (value == null) {
                throw new IllegalArgumentException("'" + name.name() + "' is not a name this unit knows");
            }
            return value;
        }
    }
}
