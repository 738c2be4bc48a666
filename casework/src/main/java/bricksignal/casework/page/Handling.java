package bricksignal.casework.page;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Expr;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.Thermistor;
import bricksignal.core.unit.UnitModel;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What to know of the parts that somebody has in hand for a test. */
final class Handling {

    /** More is not read at the unit. */
    private static final int MOST = 3;

    private Handling() {
    }

    /** Of the part that is measured by itself, renewed, or that the look is of; nothing for a test at terminals that many parts share. */
    static List<String> of(UnitModel model, Test test) {
        return parts(model, test).flatMap(part -> part.handling().stream()).distinct().limit(MOST).toList();
    }

    /** The parts whose papers are wanted at a test, by id: those in hand, or those that have the terminal that the red probe is on. */
    static List<String> about(UnitModel model, Test test) {
        List<String> handled = parts(model, test).map(Part::id).distinct().toList();
        return !handled.isEmpty() || !(test instanceof Test.Reading reading && reading.place() instanceof Place.Across across) ? handled
                : model.machine().circuit().elements().stream().filter(element -> element.nets().contains(across.red())).flatMap(element -> holding(model, Set.of(element.id()))).map(Part::id)
                .distinct().toList();
    }

    private static Stream<Part> parts(UnitModel model, Test test) {
        if (test instanceof Test.Reading reading) {
            return measured(model, reading);
        }
        if (test instanceof Test.Check check) {
            Expr when = check.when();
            Set<String> looked = when == null ? Set.of() : when.names();
            Set<String> told = model.faults().stream().filter(fault -> check.tells().containsKey(fault.id()) || sets(fault, looked)).map(Fault::part).collect(Collectors.toSet());
            return Stream.concat(check.renews().stream().flatMap(element -> holding(model, Set.of(element))), told.size() == 1 ? told.stream().map(model::part) : Stream.of());
        }
        return Stream.of();
    }

    private static Stream<Part> measured(UnitModel model, Test.Reading reading) {
        if (reading.place() instanceof Place.Through through) {
            return holding(model, Set.of(through.element()));
        }
        if (reading.place() instanceof Place.Gauge gauge) {
            Thermistor sensor = gauge.thermistor();
            return sensor == null ? Stream.of() : model.faults().stream().filter(fault -> sets(fault, Set.of(sensor.factor()))).map(Fault::part).distinct().map(model::part);
        }
        return reading.place() instanceof Place.Across across && reading.setup().powerOff() ? holding(model, between(model, across)) : Stream.of();
    }

    private static boolean sets(Fault fault, Set<String> parameters) {
        return fault.effects().stream().anyMatch(effect -> effect instanceof Effect.OnParameter on && parameters.contains(on.parameter()));
    }

    private static Stream<Part> holding(UnitModel model, Set<String> elements) {
        return elements.stream().flatMap(element -> model.partWith(element).stream());
    }

    /** The elements that lie between two probes and nothing else. */
    private static Set<String> between(UnitModel model, Place.Across across) {
        Circuit circuit = model.machine().circuit();
        Set<String> probed = Set.of(across.black(), across.red());
        return circuit.elements().stream().filter(element -> Set.copyOf(element.nets()).equals(probed)).map(Element::id).collect(Collectors.toSet());
    }
}
