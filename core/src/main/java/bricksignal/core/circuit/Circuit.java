package bricksignal.core.circuit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A circuit: elements between named nets, one of which is the reference at zero volts. Immutable; circuits that differ only in
 * the values and positions of their elements share what is known of their nets.
 */
public final class Circuit {

    private final String reference;
    private final double hertz;
    private final List<Element> elements;
    private final Map<String, Integer> netNumbers;
    private final Map<String, Integer> positions;

    /**
     * A circuit.
     *
     * @param reference the net at zero volts (earth)
     * @param hertz line frequency, above 0
     * @param elements in the order of the pack; ids are unique
     * @throws IllegalArgumentException if {@code hertz} is not above 0, two elements share an id, or no element touches the
     *     reference
     */
    public Circuit(String reference, double hertz, List<Element> elements) {
        Guard.above("circuit", "hertz", hertz, 0);
        this.reference = reference;
        this.hertz = hertz;
        this.elements = List.copyOf(elements);
        Map<String, Integer> numbers = new LinkedHashMap<>(Map.of(reference, -1));
        this.netNumbers = Collections.unmodifiableMap(numbers);
        this.positions = new LinkedHashMap<>();
        boolean touched = false;
        for (Element element : elements) {
            if (positions.put(element.id(), positions.size()) != null) {
                throw new IllegalArgumentException("element '" + element.id() + "' is declared twice; rename one of them");
            }
            touched |= element.nets().contains(reference);
            element.nets().forEach(net -> numbers.putIfAbsent(net, numbers.size() - 1));
        }
        if (!touched) {
            throw new IllegalArgumentException("no element touches the reference net '" + reference + "'");
        }
    }

    private Circuit(Circuit wiring, List<Element> elements) {
        this.reference = wiring.reference;
        this.hertz = wiring.hertz;
        this.elements = List.copyOf(elements);
        this.netNumbers = wiring.netNumbers;
        this.positions = wiring.positions;
    }

    public String reference() {
        return reference;
    }

    public double hertz() {
        return hertz;
    }

    public List<Element> elements() {
        return elements;
    }

    /** All nets, reference first, then in order of appearance. */
    public List<String> nets() {
        return List.copyOf(netNumbers.keySet());
    }

    /** The nets numbered from 0 in order of appearance; the reference is -1. */
    public Map<String, Integer> netNumbers() {
        return netNumbers;
    }

    /** The element of that name. */
    public Element element(String id) {
        return elements.get(position(id));
    }

    /** Where the element of that name stands in the list, from 0. */
    public int position(String id) {
        Integer position = positions.get(id);
        if (position == null) {
            throw new IllegalArgumentException("no element '" + id + "' in the circuit");
        }
        return position;
    }

    /** How many element terminals touch each net: one means that the net dangles. */
    public Map<String, Integer> terminals() {
        Map<String, Integer> count = new LinkedHashMap<>();
        for (Element element : elements) {
            element.nets().forEach(net -> count.merge(net, 1, Integer::sum));
        }
        return count;
    }

    /**
     * The same circuit with one element exchanged for another of its name.
     *
     * @throws IllegalArgumentException if there is none of that name
     */
    public Circuit with(Element other) {
        List<Element> exchanged = new ArrayList<>(elements);
        exchanged.set(position(other.id()), other);
        return new Circuit(this, exchanged);
    }

    /**
     * The same circuit with one element more, last.
     *
     * @throws IllegalArgumentException if there is one of its name
     */
    public Circuit plus(Element more) {
        return new Circuit(reference, hertz, Stream.concat(elements.stream(), Stream.of(more)).toList());
    }

    /**
     * The same wiring with other elements of the same names and nets in the same order: what a fault or a switch position
     * leaves.
     *
     * @throws IllegalArgumentException if an element is missing or stands elsewhere
     */
    public Circuit with(List<Element> replaced) {
        for (int i = 0; i < elements.size(); i++) {
            if (replaced.size() != elements.size() || !replaced.get(i).id().equals(elements.get(i).id())) {
                throw new IllegalArgumentException("element " + i + " should be '" + elements.get(i).id()
                        + "'; a circuit is changed element by element");
            }
        }
        return new Circuit(this, replaced);
    }
}
