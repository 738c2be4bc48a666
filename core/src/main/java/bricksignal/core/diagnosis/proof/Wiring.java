package bricksignal.core.diagnosis.proof;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** What hangs on a net, followed through wires, pins and contacts. */
final class Wiring {

    private Wiring() {
    }

    /** The nets reachable from a net through conductors other than the one given, stopping at the given nets. */
    static Set<String> reach(Circuit circuit, String from, String without, Set<String> stops) {
        Set<String> seen = new LinkedHashSet<>(List.of(from));
        Deque<String> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            String net = open.pop();
            for (Element element : circuit.elements()) {
                if (element instanceof Element.Conductor c && !c.id().equals(without) && c.nets().contains(net)) {
                    String other = c.a().equals(net) ? c.b() : c.a();
                    if (!stops.contains(other) && seen.add(other)) {
                        open.push(other);
                    }
                }
            }
        }
        return seen;
    }

    /** The loads with a terminal on one of these nets. */
    static List<Element.Load> loads(Circuit circuit, Set<String> nets) {
        return circuit.elements().stream().filter(Element.Load.class::isInstance).map(Element.Load.class::cast)
                .filter(load -> nets.contains(load.a()) || nets.contains(load.b())).toList();
    }
}
