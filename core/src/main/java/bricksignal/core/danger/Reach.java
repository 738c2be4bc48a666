package bricksignal.core.danger;

import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Point;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * Where hands come to at a test, and what is within their reach there: a compartment is what stands at one place of the unit, and all
 * voltages that a unit in good order has there at any moment with its power on count, for nobody knows which relay is welded.
 */
final class Reach {

    private static final String BOARD = "board";

    private final UnitModel model;
    private final Circuit circuit;
    private final Map<String, Double> most = new LinkedHashMap<>();
    private final double mostAnywhere;
    private final Set<String> ofCompressors;

    Reach(UnitModel model, VirtualUnit nominal, Function<Moment, Double> seconds) {
        this.model = model;
        this.circuit = model.machine().circuit();
        this.ofCompressors = ofCompressors();
        List<Solution> live = model.moments().stream().filter(moment -> moment.role() != Moment.Role.POWER_OFF)
                .map(moment -> nominal.run(moment.scenario()).at(seconds.apply(moment)).unit().solution()).distinct().toList();
        Map<String, Set<String>> compartments = new LinkedHashMap<>();
        model.points().forEach(point -> compartments.computeIfAbsent(compartment(point), place -> new LinkedHashSet<>()).add(point.net()));
        compartments.forEach((place, nets) -> most.put(place, live.stream().mapToDouble(solution -> volts(solution, nets)).max().orElse(0)));
        this.mostAnywhere = most.values().stream().mapToDouble(Double::doubleValue).max().orElse(0);
    }

    private static double volts(Solution solution, Set<String> nets) {
        double most = 0;
        for (String one : nets) {
            most = Math.max(most, solution.rms(one, solution.circuit().reference()));
            for (String other : nets) {
                most = Math.max(most, solution.rms(one, other));
            }
        }
        return most;
    }

    /** Everything on a board is within reach of who works at it; otherwise what stands at the same place. */
    private static String compartment(Point point) {
        int board = point.where().indexOf(BOARD);
        return board < 0 ? point.where() : point.where().substring(0, board + BOARD.length());
    }

    /** The most volts within reach, from one conductor to another or to ground; where nobody knows the place, those of the whole unit. */
    double volts(Test test) {
        Set<String> nets = nets(test);
        Set<String> places = new LinkedHashSet<>();
        model.points().stream().filter(point -> nets.contains(point.net())).forEach(point -> places.add(compartment(point)));
        return places.isEmpty() ? mostAnywhere : places.stream().mapToDouble(place -> most.getOrDefault(place, mostAnywhere)).max().orElse(mostAnywhere);
    }

    /** The nets that a test touches. */
    Set<String> nets(Test test) {
        Set<String> nets = new LinkedHashSet<>();
        if (test instanceof Test.Reading reading) {
            if (reading.place() instanceof Place.Across across) {
                nets.addAll(List.of(across.black(), across.red()));
            } else if (reading.place() instanceof Place.Through through) {
                nets.addAll(circuit.element(through.element()).nets());
            }
            reading.setup().unplugged().forEach(plug -> nets.addAll(netsOf(model.connector(plug))));
        } else if (test instanceof Test.Check check) {
            model.connectors().stream().filter(c -> c.id().equals(check.connector()) || c.id().equals(check.change().at()))
                    .forEach(plug -> nets.addAll(netsOf(plug)));
            model.parts().stream().filter(part -> part.id().equals(check.change().at())).forEach(part -> part.elements()
                    .forEach(element -> nets.addAll(circuit.element(element).nets())));
            circuit.elements().stream().filter(e -> e.id().equals(check.change().at())).forEach(e -> nets.addAll(e.nets()));
        }
        return nets;
    }

    private Set<String> netsOf(UnitModel.Connector plug) {
        Set<String> nets = new LinkedHashSet<>();
        plug.conductors().forEach(pin -> nets.addAll(circuit.element(pin).nets()));
        return nets;
    }

    /** The kinds of what a test touches: of the elements at its nets, of what it goes through, of the part it changes. */
    Set<Device> devices(Test test) {
        Set<Device> devices = new LinkedHashSet<>();
        Set<String> nets = nets(test);
        circuit.elements().stream().filter(e -> e.nets().stream().anyMatch(nets::contains)).forEach(e -> model.dangers().device(e.id())
                .ifPresent(devices::add));
        if (test instanceof Test.Check check) {
            model.parts().stream().filter(part -> part.id().equals(check.change().at())).map(model::devices).forEach(devices::addAll);
        }
        return devices;
    }

    /** True where a capacitor that holds its charge hangs on what is touched. */
    boolean charged(Test test) {
        Set<String> nets = nets(test);
        return circuit.elements().stream().anyMatch(e -> e instanceof Element.Capacitor c && !c.stray() && e.nets().stream().anyMatch(nets::contains));
    }

    /**
     * True for a net that can only be touched under the cover of a compressor: what ends there belongs to it, or is the plug at it.
     * Where a contactor, a capacitor or a board stands at the same net, that is the place to touch.
     */
    boolean underACompressorsCover(String net) {
        List<Element> here = circuit.elements().stream().filter(e -> e.nets().contains(net)).toList();
        return here.stream().anyMatch(e -> ofCompressors.contains(e.id())) && here.stream().allMatch(e -> ofCompressors.contains(e.id()) || isAPinOrInside(e));
    }

    private Set<String> ofCompressors() {
        Set<String> ofThem = new LinkedHashSet<>();
        model.parts().stream().filter(part -> model.devices(part).contains(Device.COMPRESSOR)).forEach(part -> ofThem.addAll(part.elements()));
        circuit.elements().stream().filter(e -> model.dangers().device(e.id()).filter(Device.COMPRESSOR::equals).isPresent()).forEach(e -> ofThem.add(e.id()));
        return ofThem;
    }

    private boolean isAPinOrInside(Element e) {
        boolean switched = e instanceof Element.Conductor && model.machine().rules().containsKey(e.id()) && model.partWith(e.id()).isEmpty();
        return model.isPin(e.id()) || switched || e instanceof Element.Capacitor c && c.stray();
    }
}
