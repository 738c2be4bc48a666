package bricksignal.core.diagnosis;

import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/**
 * Switches that heat, pressure or level open in the middle of a run. How soon they do is the process's to say, and what the board does next is the clock's: in another
 * unit of the kind the two may come the other way round.
 *
 * @param neverOpen the switches, by element, that do not open in any run of the unit in good order
 */
record Trips(Set<String> neverOpen) {

    /** Those that do not open in the unit in good order. */
    static Trips notIn(VirtualUnit good, UnitModel model) {
        Set<String> never = new LinkedHashSet<>();
        model.machine().rules().forEach((element, rule) -> {
            if (rule instanceof Rule.Latches && model.scenarios().stream().allMatch(run -> openFrom(good.run(run.id()), element) == Double.POSITIVE_INFINITY)) {
                never.add(element);
            }
        });
        return new Trips(never);
    }

    /**
     * Which of them open in the middle of a unit's runs.
     *
     * @param switches by element
     * @param from by run, seconds into it at which the first of them opens
     */
    record Opening(Set<String> switches, Map<String, Double> from) {

        /** True for a moment before which one of them has opened in its run. */
        boolean cuts(Moment moment, double at) {
            return from.getOrDefault(moment.scenario(), Double.POSITIVE_INFINITY) <= at;
        }

        /** The same unit, in which none of them has opened yet. */
        VirtualUnit notYet(VirtualUnit unit) {
            return switches.isEmpty() ? unit : unit.holding(switches);
        }
    }

    /** Those that open in the middle of a unit's runs; one that is open from the start is none. */
    Opening in(VirtualUnit unit, UnitModel model) {
        Set<String> switches = new LinkedHashSet<>();
        Map<String, Double> from = new LinkedHashMap<>();
        model.scenarios().forEach(run -> neverOpen.forEach(element -> {
            double opens = openFrom(unit.run(run.id()), element);
            if (opens > 0 && opens < Double.POSITIVE_INFINITY) {
                switches.add(element);
                from.merge(run.id(), opens, Math::min);
            }
        }));
        return new Opening(switches, from);
    }

    /** Seconds into a run at which a switch is first found open; infinite if it never is. */
    private static double openFrom(Timeline run, String element) {
        return run.intervals().stream().filter(interval -> open(interval.unit().solution().circuit(), element)).findFirst()
                .map(Timeline.Interval::start).orElse(Double.POSITIVE_INFINITY);
    }

    private static boolean open(Circuit circuit, String element) {
        return circuit.element(element) instanceof Element.Conductor switched && !switched.closed();
    }
}
