package bricksignal.core.wiring;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Proves on the circuit that two supplies do not meet: the wiring list is built as a circuit, each supply in turn is the only one that is on, its common the
 * zero of potential, and every conductor of the other must carry nothing and stand on no defined potential of it. A contact that closes only adds paths, so
 * all contacts closed holds every position of them; each one alone is solved too, to name what crosses.
 */
public final class Isolation {

    private static final double VOLTS = 24;
    private static final double HERTZ = 60;
    private static final double SOURCE_OHMS = 0.5;
    private static final double WIRE_OHMS = 0.05;
    private static final double LOAD_OHMS = 120;
    /** More than this through what can only be a path between two supplies. Rounding is a million times smaller. */
    private static final double CROSSES_AMPS = 1e-6;
    private static final String PROBE = "probe between the supplies";

    private Isolation() {
    }

    /** The conductors that join the two supplies and land where they do not belong; empty where the supplies are apart in every position of the contacts. */
    public static List<Wire> crossings(IsolationPlan plan) {
        if (apart(plan, plan.wires())) {
            return List.of();
        }
        List<Wire> alone = plan.wires().stream().filter(wire -> apart(plan, plan.wires().stream().filter(w -> !w.equals(wire)).toList())).toList();
        List<Wire> joining = alone.isEmpty() ? plan.wires() : alone;
        List<Wire> astray = joining.stream().filter(wire -> wrong(plan, wire)).toList();
        return astray.isEmpty() ? joining : astray;
    }

    /** True if no position of the contacts joins the two supplies. */
    private static boolean apart(IsolationPlan plan, List<Wire> wires) {
        Set<String> all = plan.relays().stream().map(IsolationPlan.Relay::name).collect(Collectors.toCollection(LinkedHashSet::new));
        return crossing(plan, wires, all) < CROSSES_AMPS && all.stream().allMatch(one -> crossing(plan, wires, Set.of(one)) < CROSSES_AMPS);
    }

    /** A conductor that lands on a terminal which is not of its own side. */
    private static boolean wrong(IsolationPlan plan, Wire wire) {
        return plan.terminals().get(wire.from()) != wire.supply() || plan.terminals().get(wire.to()) != wire.supply();
    }

    /**
     * The most that a probe carries which closes a circuit from one supply to the other, from common to common or from hot to common: nothing flows through it
     * unless something else joins them as well. Amperes.
     *
     * @param closed the relays whose contacts are closed, by name
     */
    private static double crossing(IsolationPlan plan, List<Wire> wires, Set<String> closed) {
        return Math.max(probed(plan, wires, closed, plan.building().common()), probed(plan, wires, closed, plan.building().hot()));
    }

    private static double probed(IsolationPlan plan, List<Wire> wires, Set<String> closed, String from) {
        Control building = plan.building();
        Control unit = plan.unit();
        List<Element> elements = new ArrayList<>(List.of(
                new Element.Source("supply of the building", IsolationPlan.at(building, building.hot()), IsolationPlan.at(building, building.common()), VOLTS, 0,
                        SOURCE_OHMS),
                new Element.Source("supply of the unit", IsolationPlan.at(unit, unit.hot()), IsolationPlan.at(unit, unit.common()), VOLTS, 90, SOURCE_OHMS),
                new Element.Conductor(PROBE, IsolationPlan.at(building, from), IsolationPlan.at(unit, unit.common()), WIRE_OHMS, true,
                        Double.POSITIVE_INFINITY)));
        building.terminals().forEach(output -> elements.add(conductor("output " + output.name(), IsolationPlan.at(building, building.hot()),
                IsolationPlan.at(building, output.name()), plan.relays().stream().anyMatch(relay -> relay.output().equals(output.name())
                        && closed.contains(relay.name())))));
        unit.terminals().forEach(input -> elements.add(new Element.Load("input " + input.name(), IsolationPlan.at(unit, input.name()),
                IsolationPlan.at(unit, unit.common()), LOAD_OHMS, 0)));
        plan.relays().forEach(relay -> {
            elements.add(new Element.Load(relay.name() + " coil", relay.coil().get(0), relay.coil().get(1), LOAD_OHMS, 0));
            elements.add(conductor(relay.name() + " contact", relay.contact().get(0), relay.contact().get(1), closed.contains(relay.name())));
        });
        for (int i = 0; i < wires.size(); i++) {
            elements.add(conductor("wire " + i, wires.get(i).from(), wires.get(i).to(), true));
        }
        return Solution.of(new Circuit(IsolationPlan.at(building, building.common()), HERTZ, elements)).amps(PROBE).magnitude();
    }

    private static Element conductor(String id, String a, String b, boolean closed) {
        return new Element.Conductor(id, a, b, WIRE_OHMS, closed, Double.POSITIVE_INFINITY);
    }
}
