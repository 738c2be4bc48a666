package bricksignal.core.diagnosis;

import bricksignal.core.board.Expr;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A contact of a board, by the condition that closes it, in a unit with a hypothesis in it. While its boards are on the way of a unit in
 * good order ({@link Ways}), they mean what they mean there.
 */
record Asked(HypothesisId run, Expr closed) {

    /** The moments at which the unit means the contact to be closed and none of its boards has stopped. */
    Set<String> in(VirtualUnit unit, VirtualUnit good, TestCatalogue catalogue, List<Moment> all) {
        Set<String> moments = new LinkedHashSet<>();
        for (Moment moment : all) {
            double at = catalogue.seconds(unit, moment);
            Snapshot then = unit.run(moment.scenario()).at(at).unit();
            if (closed.holds(then.at(at)) && Ways.of(Stream.of(good.run(moment.scenario()))).lead(then)) {
                moments.add(moment.id());
            }
        }
        return moments;
    }
}
