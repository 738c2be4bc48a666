package bricksignal.core.diagnosis;

import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Scenario;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashSet;
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

    /** The moments before which one of them has opened in the middle of the run, by id. */
    Set<String> cutShort(UnitModel model, TestCatalogue catalogue, VirtualUnit unit) {
        Set<String> cut = new LinkedHashSet<>();
        for (Moment moment : model.moments()) {
            Timeline run = unit.run(moment.scenario());
            double at = catalogue.seconds(unit, moment);
            if (opening(run).stream().anyMatch(element -> openFrom(run, element) <= at)) {
                cut.add(moment.id());
            }
        }
        return cut;
    }

    /** The same unit, in which none of those has opened yet that open in the middle of its runs. */
    VirtualUnit notYet(UnitModel model, VirtualUnit unit) {
        Set<String> held = new LinkedHashSet<>();
        model.scenarios().stream().map(Scenario::id).map(unit::run).forEach(run -> held.addAll(opening(run)));
        return unit.holding(held);
    }

    private Set<String> opening(Timeline run) {
        Set<String> opening = new LinkedHashSet<>();
        neverOpen.stream().filter(element -> {
            double from = openFrom(run, element);
            return from > 0 && from < Double.POSITIVE_INFINITY;
        }).forEach(opening::add);
        return opening;
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
