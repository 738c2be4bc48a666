package bricksignal.core.drawing;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What of a unit's circuit is drawn, and what of it is ground. What exists only for a fault (a short that is no wire, a way that a wrong setting opens) or for a test (a
 * jumper), the stray capacitance beside a conductor, and what hangs on nothing without them, is none of it.
 *
 * @param model the unit
 * @param edges what is drawn, in the order of the circuit
 * @param ground the nets that are drawn as ground wherever they come: the reference and the metal that hangs on it
 * @param secondaries the sides of transformers that feed
 */
record Wiring(UnitModel model, List<Edge> edges, Set<String> ground, Set<Edge> secondaries) {

    /** Smaller capacitances lie beside conductors and are no parts, farads (common practice: a run capacitor begins at a microfarad). */
    private static final double STRAY_FARADS = 1e-9;

    static Wiring of(UnitModel model, VirtualUnit nominal) {
        Set<String> conducting = conducting(model, nominal);
        Circuit circuit = model.machine().circuit();
        List<Edge> edges = new ArrayList<>();
        Set<Edge> secondaries = new LinkedHashSet<>();
        for (Element element : circuit.elements()) {
            if (element instanceof Element.Transformer t) {
                edges.add(new Edge(t.id(), t.p1(), t.p2(), Symbol.WINDING, false));
                Edge secondary = new Edge(t.id(), t.s1(), t.s2(), Symbol.WINDING, false);
                edges.add(secondary);
                secondaries.add(secondary);
            } else if (isDrawn(model, element, conducting)) {
                edges.add(Edge.of(Symbol.of(model, element), element));
            }
        }
        withoutLooseEnds(model, edges);
        return new Wiring(model, List.copyOf(edges), ground(model, edges), Collections.unmodifiableSet(secondaries));
    }

    /** The conductors that conduct at some time in some run of a unit in good order. */
    private static Set<String> conducting(UnitModel model, VirtualUnit nominal) {
        Set<String> conducting = new LinkedHashSet<>();
        model.scenarios().forEach(scenario -> nominal.run(scenario.id()).intervals().forEach(interval -> interval.unit().solution().circuit().elements().forEach(element -> {
            if (element instanceof Element.Conductor conductor && conductor.closed()) {
                conducting.add(conductor.id());
            }
        })));
        return conducting;
    }

    private static boolean isDrawn(UnitModel model, Element element, Set<String> conducting) {
        if (element instanceof Element.Capacitor capacitor) {
            return capacitor.farads() >= STRAY_FARADS;
        }
        return !(element instanceof Element.Conductor conductor) || (conducting.contains(conductor.id()) || isOfAPart(model, conductor))
                && !isForATest(model, conductor);
    }

    /** A switch or contact that somebody could change, though no run closes it. */
    private static boolean isOfAPart(UnitModel model, Element.Conductor conductor) {
        return model.machine().rules().containsKey(conductor.id()) && model.partWith(conductor.id()).isPresent() && !Symbol.staysAsSet(model, conductor);
    }

    /** A jumper or a cord: it follows an action of no usual run, and a test puts it in, or it lies beside another conductor. */
    private static boolean isForATest(UnitModel model, Element.Conductor conductor) {
        return model.isTestGear(conductor.id()) && (model.checks().stream().map(Test.Check::change)
                .anyMatch(change -> change.kind() != Change.Kind.TAKEN_OUT && change.at().equals(conductor.id()))
                || model.liesBeside(conductor, model.machine().circuit().elements().stream().filter(other -> other instanceof Element.Conductor && !model.isTestGear(other.id()))));
    }

    /** What hangs on nothing once shorts are not drawn: the other leg of the street. */
    private static void withoutLooseEnds(UnitModel model, List<Edge> edges) {
        String reference = model.machine().circuit().reference();
        boolean loose = true;
        while (loose) {
            List<Edge> all = List.copyOf(edges);
            loose = edges.removeIf(edge -> List.of(edge.a(), edge.b()).stream().anyMatch(net -> !model.isProbed(net) && !net.equals(reference)
                    && all.stream().filter(other -> other.touches(net)).count() == 1));
        }
    }

    /** The reference, and where no probe reaches it the nearest place that one does and that is no rail: the metal of the cabinet. */
    private static Set<String> ground(UnitModel model, List<Edge> edges) {
        String reference = model.machine().circuit().reference();
        Map<String, Boolean> isGround = new LinkedHashMap<>();
        Deque<String> open = new ArrayDeque<>();
        edges.stream().filter(Edge::feeds).flatMap(edge -> List.of(edge.a(), edge.b()).stream()).filter(net -> !net.equals(reference)).forEach(net -> {
            if (isGround.putIfAbsent(net, false) == null) {
                open.add(net);
            }
        });
        List<String> order = new ArrayList<>();
        isGround.put(reference, true);
        open.add(reference);
        while (!open.isEmpty()) {
            String net = open.poll();
            order.add(net);
            for (Edge edge : edges) {
                if (edge.symbol() == Symbol.WIRE && edge.touches(net) && isGround.putIfAbsent(edge.other(net), isGround.get(net)) == null) {
                    open.add(edge.other(net));
                }
            }
        }
        Set<String> ground = new LinkedHashSet<>(Set.of(reference));
        if (!model.isProbed(reference)) {
            order.stream().filter(net -> Boolean.TRUE.equals(isGround.get(net)) && model.isProbed(net)).findFirst().ifPresent(ground::add);
        }
        return ground;
    }

    /** The voltage of a source, of an alternating one before a direct one. */
    double volts(Edge source) {
        return model.machine().circuit().element(source.element()) instanceof Element.Source s ? s.volts() : 0;
    }

    /** What hangs together without ground and without passing through a transformer: what the street or a battery feeds first, then in the order of the circuit. */
    List<List<Edge>> sections() {
        List<List<Edge>> sections = new ArrayList<>();
        Set<Edge> left = new LinkedHashSet<>(edges);
        left.removeIf(edge -> ground.contains(edge.a()) && ground.contains(edge.b()));
        while (!left.isEmpty()) {
            Set<String> nets = new LinkedHashSet<>();
            Deque<String> open = new ArrayDeque<>();
            Edge first = left.iterator().next();
            open.add(ground.contains(first.a()) ? first.b() : first.a());
            while (!open.isEmpty()) {
                String net = open.poll();
                if (nets.add(net)) {
                    left.stream().filter(edge -> edge.touches(net)).map(edge -> edge.other(net)).filter(other -> !ground.contains(other)).forEach(open::add);
                }
            }
            List<Edge> section = left.stream().filter(edge -> nets.contains(edge.a()) || nets.contains(edge.b())).toList();
            section.forEach(left::remove);
            sections.add(section);
        }
        sections.sort(Comparator.comparing(section -> section.stream().noneMatch(edge -> edge.symbol() == Symbol.SOURCE) || section.stream().anyMatch(secondaries::contains)));
        return sections;
    }
}
