package bricksignal.core.danger;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A load put on a cord of its own: with what off, so that the circuit says that nothing else is fed.
 *
 * @param plug the connector that is pulled, by id; empty where all wires of the part come off
 * @param circuit the unit as it then stands, the cord on it
 */
public record Feed(String plug, Circuit circuit) {

    /** The cord, an element of the circuit. */
    public static final String CORD = "cord";

    /** A cord with its fuse. Common practice, from memory. */
    private static final double CORD_OHMS = 0.3;
    /** No terminal beside the cord's own way carries more of its voltage than this share. Ours: what a meter takes for nothing. */
    private static final double MOST_SHARE = 0.01;
    /** No conductor beside the cord's own way carries more, amperes. Ours: what nobody feels and nothing moves by. */
    private static final double MOST_AMPS = 1e-3;

    /**
     * How a load may be fed directly; empty where it may not, by its kind or by the circuit.
     *
     * @param off the unit with its power off
     * @param volts of the load's own, above 0
     * @param direct whether that is direct voltage
     */
    public static Optional<Feed> of(UnitModel model, Circuit off, Part part, Element.Load load, double volts, boolean direct) {
        List<Device> kinds = model.devices(part);
        if (!model.saysWhatItIs(part) || kinds.isEmpty() || kinds.stream().anyMatch(kind -> kind.feed() == Device.Feed.NEVER)) {
            return Optional.empty();
        }
        Element cord = direct ? new Element.DirectSource(CORD, load.a(), load.b(), volts, CORD_OHMS)
                : new Element.Source(CORD, load.a(), load.b(), volts, 0, CORD_OHMS);
        Set<String> own = own(off, part);
        if (kinds.stream().noneMatch(kind -> kind.feed() == Device.Feed.WIRES_OFF)) {
            for (UnitModel.Connector plug : model.connectors()) {
                if (inSeries(off, plug, load)) {
                    Circuit fed = with(off, new LinkedHashSet<>(plug.conductors()), Set.of(), cord);
                    if (feedsNothingElse(fed, own, volts)) {
                        return Optional.of(new Feed(plug.id(), fed));
                    }
                }
            }
        }
        Circuit alone = with(off, others(off, own, load, part), own, cord);
        return feedsNothingElse(alone, own, volts) ? Optional.of(new Feed("", alone)) : Optional.empty();
    }

    /** True if a pin of the plug is in series with the load: it ends at one of its nets. */
    private static boolean inSeries(Circuit circuit, UnitModel.Connector plug, Element.Load load) {
        return plug.conductors().stream().anyMatch(pin -> circuit.element(pin).nets().stream().anyMatch(load.nets()::contains));
    }

    /** The elements that hang on the cord by right: those of the part, a capacitor that is wired with them, and its leads. */
    private static Set<String> own(Circuit circuit, Part part) {
        Set<String> own = new LinkedHashSet<>(part.elements());
        Set<String> nets = nets(circuit, part);
        List<Element> capacitors = circuit.elements().stream().filter(e -> e instanceof Element.Capacitor c && !c.stray()
                && (e.nets().stream().anyMatch(nets::contains) || e.nets().stream().allMatch(net -> leadsTo(circuit, net, nets)))).toList();
        capacitors.forEach(e -> {
            own.add(e.id());
            nets.addAll(e.nets());
        });
        circuit.elements().stream().filter(e -> e instanceof Element.Conductor && !capacitors.isEmpty() && nets.containsAll(e.nets())
                && e.nets().stream().anyMatch(net -> capacitors.stream().anyMatch(c -> c.nets().contains(net)))).forEach(e -> own.add(e.id()));
        return own;
    }

    /** True if one conductor leads from a net to one of some others. */
    private static boolean leadsTo(Circuit circuit, String net, Set<String> nets) {
        return circuit.elements().stream().anyMatch(e -> e instanceof Element.Conductor && e.nets().contains(net)
                && e.nets().stream().anyMatch(nets::contains));
    }

    private static Set<String> nets(Circuit circuit, Part part) {
        Set<String> nets = new LinkedHashSet<>();
        part.elements().forEach(id -> nets.addAll(circuit.element(id).nets()));
        return nets;
    }

    /** Everything beside the part that ends at one of its terminals: taken off. */
    private static Set<String> others(Circuit circuit, Set<String> own, Element.Load load, Part part) {
        Set<String> nets = new LinkedHashSet<>(load.nets());
        nets.addAll(nets(circuit, part));
        Set<String> off = new LinkedHashSet<>();
        circuit.elements().stream().filter(e -> !own.contains(e.id()) && e.nets().stream().anyMatch(nets::contains)).forEach(e -> off.add(e.id()));
        return off;
    }

    /** The circuit with some elements off: conductors open, loads away; stray capacitances away, and every source but the cord at nothing. */
    private static Circuit with(Circuit circuit, Set<String> off, Set<String> own, Element cord) {
        List<Element> elements = new ArrayList<>();
        for (Element e : circuit.elements()) {
            boolean away = off.contains(e.id()) && !own.contains(e.id());
            if (e instanceof Element.Conductor c) {
                elements.add(away ? c.closed(false) : c);
            } else if (e instanceof Element.Capacitor c && (away || c.stray())) {
                elements.add(new Element.Capacitor(c.id(), c.a(), c.b(), 0));
            } else if (e instanceof Element.Load l && away) {
                elements.add(new Element.Load(l.id(), l.a(), l.b(), Double.POSITIVE_INFINITY, l.reactanceOhms()));
            } else if (e instanceof Element.Transformer t && away) {
                elements.add(new Element.Transformer(t.id(), t.p1(), t.p2(), t.s1(), t.s2(), t.ratio(), t.ohms(), t.primaryOhms(), true));
            } else if (e instanceof Element.Source s) {
                elements.add(new Element.Source(s.id(), s.plus(), s.minus(), 0, s.degrees(), s.ohms()));
            } else if (e instanceof Element.DirectSource s) {
                elements.add(new Element.DirectSource(s.id(), s.plus(), s.minus(), 0, s.ohms()));
            } else {
                elements.add(e);
            }
        }
        elements.add(cord);
        return new Circuit(circuit.reference(), circuit.hertz(), elements);
    }

    /** Computed, not named: nothing beside the cord's own way has a voltage across it or a current in it that the cord makes. */
    private static boolean feedsNothingElse(Circuit fed, Set<String> own, double volts) {
        Solution solution = Solution.of(fed);
        for (Element e : fed.elements()) {
            if (own.contains(e.id()) || e.id().equals(CORD) || e instanceof Element.FlamePath) {
                continue;
            }
            boolean isOpen = e instanceof Element.Conductor c && !c.closed() || e instanceof Element.Load l && Double.isInfinite(l.ohms())
                    || e instanceof Element.Transformer t && t.open();
            double across = isOpen ? 0 : e instanceof Element.Transformer wound ? Math.max(solution.rms(wound.p1(), wound.p2()), solution.rms(wound.s1(), wound.s2()))
                    : solution.rms(e.nets().get(0), e.nets().get(1));
            double amps = isOpen || e instanceof Element.Capacitor ? 0 : solution.rms(e.id());
            if (across > MOST_SHARE * volts || amps > MOST_AMPS) {
                return false;
            }
        }
        return true;
    }
}
