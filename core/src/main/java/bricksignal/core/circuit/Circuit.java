package bricksignal.core.circuit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A circuit: elements between named nets, one of which is the reference at zero volts.
 *
 * @param reference the net at zero volts (earth)
 * @param hertz line frequency, above 0
 * @param elements in the order of the pack; ids are unique
 */
public record Circuit(String reference, double hertz, List<Element> elements) {

    /**
     * @throws IllegalArgumentException if {@code hertz} is not above 0, two elements share an id, or no element touches the
     *     reference
     */
    public Circuit {
        Guard.above("circuit", "hertz", hertz, 0);
        elements = List.copyOf(elements);
        Set<String> seen = new LinkedHashSet<>();
        for (Element element : elements) {
            if (!seen.add(element.id())) {
                throw new IllegalArgumentException("element '" + element.id() + "' is declared twice; rename one of them");
            }
        }
        if (elements.stream().noneMatch(element -> element.nets().contains(reference))) {
            throw new IllegalArgumentException("no element touches the reference net '" + reference + "'");
        }
    }

    /** All nets, reference first, then in order of appearance. */
    public List<String> nets() {
        Set<String> nets = new LinkedHashSet<>();
        nets.add(reference);
        for (Element element : elements) {
            nets.addAll(element.nets());
        }
        return List.copyOf(nets);
    }

    /** The element of that name. */
    public Element element(String id) {
        for (Element element : elements) {
            if (element.id().equals(id)) {
                return element;
            }
        }
        throw new IllegalArgumentException("no element '" + id + "' in the circuit");
    }

    /** How many element terminals touch each net: one means that the net dangles. */
    public Map<String, Integer> terminals() {
        Map<String, Integer> count = new LinkedHashMap<>();
        for (Element element : elements) {
            element.nets().forEach(net -> count.merge(net, 1, Integer::sum));
        }
        return count;
    }

    /** The same circuit with other elements of the same names and nets: what a fault or a switch position leaves. */
    public Circuit with(List<Element> replaced) {
        return new Circuit(reference, hertz, new ArrayList<>(replaced));
    }
}
