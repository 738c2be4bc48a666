package bricksignal.core.board.run;

import bricksignal.core.board.Env;
import bricksignal.core.board.Expr;
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
        public double value(String name) {
            Motion motion = unit.motions.get(name);
            if (motion != null) {
                return motion.at(instant);
            }
            Double fixed = unit.values.get(name);
            if (fixed != null) {
                return fixed;
            }
            if (name.equals("elapsed") && !region.isEmpty()) {
                return instant - unit.entered.getOrDefault(region, instant);
            }
            return prefixed(name);
        }

        private double prefixed(String name) {
            int dot = name.indexOf('.');
            String kind = dot < 0 ? name : name.substring(0, dot);
            String rest = name.substring(dot + 1);
            return switch (kind) {
                case "in" -> truth(known(unit.inputs.get(rest), name));
                case "out" -> truth(unit.outputs.contains(rest));
                case "state" -> inState(rest, name);
                case "amps" -> unit.solution.rms(rest);
                case "volts" -> unit.solution.rms(rest, unit.solution.circuit().reference());
                case "action" -> 0;
                case "powered" -> truth(unit.powered.contains(rest));
                default -> throw new IllegalArgumentException("'" + name + "' is not a name this unit knows");
            };
        }

        private double inState(String rest, String name) {
            int dot = rest.indexOf('.');
            String state = known(unit.states.get(dot < 0 ? rest : rest.substring(0, dot)), name);
            return truth(state.equals(rest.substring(dot + 1)));
        }

        @Override
        public double secondsUntil(String name, double target) {
            if (name.equals("elapsed") && !region.isEmpty()) {
                double left = target - value(name);
                return left > 1e-9 ? left : Double.POSITIVE_INFINITY;
            }
            Motion motion = unit.motions.get(name);
            return motion == null ? Double.POSITIVE_INFINITY
                    : motion.secondsUntilPast(target, Expr.past(target), instant) + Simulation.PAST_CROSSING_SECONDS;
        }

        private static double truth(boolean truth) {
            return truth ? 1 : 0;
        }

        private static <T> T known(@org.jspecify.annotations.Nullable T value, String name) {
            if (value == null) {
                throw new IllegalArgumentException("'" + name + "' is not a name this unit knows");
            }
            return value;
        }
    }
}
