package bricksignal.core.unit;

import bricksignal.core.board.Rule;
import bricksignal.core.board.run.Snapshot;
import bricksignal.core.circuit.Element;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The drawing of a unit, made from its circuit: one rung for each side the pack names, the points of that side in order,
 * and what joins each to the next.
 */
public record Ladder(List<Rung> rungs) {

    /** How a link is drawn. */
    public enum Symbol { WIRE, SWITCH, FUSE, LOAD, TRANSFORMER, CAPACITOR, SOURCE, GAP }

    /** A line of points. */
    public record Rung(String side, List<Stop> stops) {
    }

    /**
     * A point and what leads to it from the one before.
     *
     * @param volts what the nominal unit has here at this moment against the point's usual reference
     * @param symbol what joins it to the point before; GAP for the first or where nothing joins them directly
     * @param element name of what joins it, or empty
     * @param closed whether that conducts at this moment in the nominal unit
     */
    public record Stop(Point point, double volts, Symbol symbol, String element, boolean closed) {
    }

    /** The drawing at an instant of a run. */
    public static Ladder of(UnitModel model, Snapshot unit) {
        Map<String, List<Stop>> rungs = new LinkedHashMap<>();
        Map<String, Point> before = new LinkedHashMap<>();
        for (Point point : model.points()) {
            Point previous = before.put(point.side(), point);
            rungs.computeIfAbsent(point.side(), side -> new ArrayList<>()).add(stop(model, unit, previous, point));
        }
        List<Rung> list = new ArrayList<>();
        rungs.forEach((side, stops) -> list.add(new Rung(side, List.copyOf(stops))));
        return new Ladder(List.copyOf(list));
    }

    private static Stop stop(UnitModel model, Snapshot unit, @org.jspecify.annotations.Nullable Point previous, Point point) {
        double volts = unit.solution().rms(point.net(), point.against());
        if (previous != null) {
            for (Element element : unit.solution().circuit().elements()) {
                if (element.nets().contains(previous.net()) && element.nets().contains(point.net())) {
                    boolean closed = !(element instanceof Element.Conductor c) || c.closed();
                    return new Stop(point, volts, symbol(model, element), element.id(), closed);
                }
            }
        }
        return new Stop(point, volts, Symbol.GAP, "", false);
    }

    private static Symbol symbol(UnitModel model, Element element) {
        if (element instanceof Element.Conductor c) {
            Rule rule = model.machine().rules().get(c.id());
            return c.fuseAmps() < Double.POSITIVE_INFINITY ? Symbol.FUSE : rule == null ? Symbol.WIRE : Symbol.SWITCH;
        } else if (element instanceof Element.Load) {
            return Symbol.LOAD;
        } else if (element instanceof Element.Transformer) {
            return Symbol.TRANSFORMER;
        }
        return element instanceof Element.Capacitor ? Symbol.CAPACITOR : Symbol.SOURCE;
    }
}
