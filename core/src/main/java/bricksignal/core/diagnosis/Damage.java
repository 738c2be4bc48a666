package bricksignal.core.diagnosis;

import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashSet;
import java.util.Set;

/**
 * What a cause takes with it while it stands: fuses that blow, and what opens for good, such as an input stage between two supplies. A new one goes the
 * same way until the cause is gone.
 */
final class Damage {

    private Damage() {
    }

    /**
     * The elements that end open in a watched run of a unit, that began closed, and that do not in the unit in good order.
     *
     * @param unit with the cause in it
     */
    static Set<String> of(UnitModel model, VirtualUnit unit, VirtualUnit nominal) {
        Set<String> gone = new LinkedHashSet<>();
        model.machine().circuit().elements().stream().filter(element -> dies(model, element)).map(Element::id)
                .filter(id -> model.watchedScenarios().stream().anyMatch(run -> endsOpen(unit, run.id(), id) && !endsOpen(nominal, run.id(), id)))
                .forEach(gone::add);
        return gone;
    }

    private static boolean dies(UnitModel model, Element element) {
        boolean fuse = element instanceof Element.Conductor conductor && Double.isFinite(conductor.fuseAmps());
        return fuse || model.machine().rules().get(element.id()) instanceof Rule.Latches latches && latches.closes() == null;
    }

    private static boolean endsOpen(VirtualUnit unit, String run, String element) {
        var intervals = unit.run(run).intervals();
        return closed(unit, run, 0, element) && !closed(unit, run, intervals.size() - 1, element);
    }

    private static boolean closed(VirtualUnit unit, String run, int interval, String element) {
        return ((Element.Conductor) unit.run(run).intervals().get(interval).unit().solution().circuit().element(element)).closed();
    }
}
