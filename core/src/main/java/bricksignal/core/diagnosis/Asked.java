package bricksignal.core.diagnosis;

import bricksignal.core.board.Expr;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.board.run.Timeline;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * A contact of a board, by the condition that closes it, in a unit with a hypothesis in it. While its boards are on the way of a unit in
 * good order, they mean what they mean there; a board that has stopped may hold an output or let it go, each kind its own way.
 */
record Asked(HypothesisId run, Expr closed) {

    /** The moments at which the unit means the contact to be closed and none of its boards has stopped. */
    Set<String> in(VirtualUnit unit, VirtualUnit good, TestCatalogue catalogue, List<Moment> all) {
        Set<String> moments = new LinkedHashSet<>();
        for (Moment moment : all) {
            double at = catalogue.seconds(moment.id());
            Snapshot then = unit.run(moment.scenario()).at(at).unit();
            if (closed.holds(then.at(at)) && isOnItsWay(then, good.run(moment.scenario()))) {
                moments.add(moment.id());
            }
        }
        return moments;
    }

    private static boolean isOnItsWay(Snapshot unit, Timeline good) {
        return unit.states().entrySet().stream().allMatch(region -> good.intervals().stream()
                .anyMatch(interval -> region.getValue().equals(interval.unit().states().get(region.getKey()))));
    }
}
