package bricksignal.core.circuit;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** What hangs together through wires, pins and contacts: a search from a net, nearest first. */
public final class ConductorSearch {

    private final Map<String, String> reachedFrom;

    private ConductorSearch(Map<String, String> reachedFrom) {
        this.reachedFrom = reachedFrom;
    }

    /**
     * Searches.
     *
     * @param through the conductors that are followed
     * @param into the nets that are entered
     */
    public static ConductorSearch from(Circuit circuit, String start, Predicate<Element.Conductor> through,
            Predicate<String> into) {
        Map<String, String> reachedFrom = new LinkedHashMap<>();
        reachedFrom.put(start, start);
        Deque<String> open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty()) {
            String net = open.poll();
            for (Element element : circuit.elements()) {
                if (element instanceof Element.Conductor c && c.nets().contains(net) && through.test(c)) {
                    String other = c.a().equals(net) ? c.b() : c.a();
                    if (into.test(other) && reachedFrom.putIfAbsent(other, net) == null) {
                        open.add(other);
                    }
                }
            }
        }
        return new ConductorSearch(reachedFrom);
    }

    /** The nets that were reached, the start first, then by the number of conductors between. */
    public Set<String> nets() {
        return Collections.unmodifiableSet(reachedFrom.keySet());
    }

    /** The shortest way from the start to a net, both among it; empty where it was not reached. */
    public List<String> wayTo(String net) {
        List<String> way = new ArrayList<>();
        for (String at = net; reachedFrom.containsKey(at); at = reachedFrom.get(at)) {
            way.add(at);
            if (reachedFrom.get(at).equals(at)) {
                break;
            }
        }
        Collections.reverse(way);
        return way;
    }
}
