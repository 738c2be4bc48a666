package bricksignal.core.diagnosis.proof;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Quantity;
import bricksignal.core.circuit.ConductorSearch;
import bricksignal.core.circuit.Element;
import bricksignal.core.diagnosis.CompiledPack;
import bricksignal.core.diagnosis.ErrorModel;
import bricksignal.core.diagnosis.Prediction;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Place;
import bricksignal.core.unit.Test;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Which tests are made at the part itself, derived from what the fault does. A load is measured on its own (dead and
 * disconnected), has its current clamped, or has its power proven at its own plug. A conductor is measured at its ends; where no
 * probe reaches an end, at the nearest point that hangs together with it. A blocked vent or a shut cock is looked at or gauged.
 * Common practice of careful technicians; no published source.
 */
final class PartEvidence {

    private final CompiledPack pack;
    private final Fault fault;
    private final List<Element> elements = new ArrayList<>();
    private final List<Element> loads;
    /** A joint of a board behind a plug: only touching and looking tell it from the terminal before it. */
    private final boolean joint;
    private final Set<String> causes = new LinkedHashSet<>();

    PartEvidence(CompiledPack pack, Fault fault) {
        this.pack = pack;
        this.fault = fault;
        for (Effect effect : fault.effects()) {
            if (effect instanceof Effect.OnElement on && (fault.effects().size() == 1 || !ofAnotherPart(on.element()))) {
                elements.add(pack.model().machine().circuit().element(on.element()));
            } else if (effect instanceof Effect.OnParameter on) {
                causes.add(on.parameter());
            } else if (effect instanceof Effect.OnAction on) {
                causes.add("action." + on.action());
            }
        }
        Part part = pack.model().parts().stream().filter(p -> p.id().equals(fault.part())).findFirst().orElseThrow();
        this.joint = part.kind() == Part.Kind.BOARD && !BoardProof.isInside(fault, part);
        this.loads = (elements.isEmpty() ? elementsOf(fault.part()) : elements).stream().filter(PartEvidence::consumes).toList();
    }

    private List<Element> elementsOf(String part) {
        return pack.model().part(part).elements().stream().map(pack.model().machine().circuit()::element).toList();
    }

    /** A fault of one part may upset another: what is measured there says nothing of the cause. */
    private boolean ofAnotherPart(String element) {
        return pack.model().parts().stream().anyMatch(part -> !part.id().equals(fault.part()) && part.elements().contains(element));
    }

    /** True if the test is made at the part. */
    boolean isAtThePart(Test test) {
        if (joint) {
            return test instanceof Test.Check check && check.tells().containsKey(fault.id()) && check.sense() != Test.Sense.RESEAT;
        }
        if (test instanceof Test.Check check) {
            return check.tells().containsKey(fault.id()) && check.sense() != Test.Sense.SUBSTITUTE
                    || check.when() != null && check.when().names().stream().anyMatch(causes::contains)
                    || elements.isEmpty() && causes.isEmpty();
        }
        if (!(test instanceof Test.Reading reading)) {
            return elements.isEmpty() && causes.isEmpty();
        }
        if (elements.isEmpty() && causes.isEmpty() || provesSupply(reading)) {
            return true;
        }
        return elements.stream().anyMatch(element -> isAt(reading, element))
                || reading.place() instanceof Place.Gauge gauge && (gauge.thermistor() == null ? moves(gauge.quantity())
                : causes.contains(gauge.thermistor().factor()));
    }

    /** True for a voltage at the plug of a load, which is there although the load does nothing. */
    boolean provesSupply(Test test) {
        return test instanceof Test.Reading reading && Log.volts(reading) && loads.stream().anyMatch(load -> hot(reading, load))
                && ErrorModel.due((Prediction.Number) pack.predictions().nominal(reading));
    }

    private boolean isAt(Test.Reading reading, Element element) {
        if (reading.place() instanceof Place.Through through) {
            return through.element().equals(element.id());
        }
        if (consumes(element)) {
            return reading.mode().dead() && across(reading, element);
        }
        return reading.place() instanceof Place.Across across && element.nets().stream().flatMap(net -> points(net).stream())
                .anyMatch(net -> net.equals(across.red()) || net.equals(across.black()));
    }

    /** The net itself where a probe reaches it, or else the nearest points that hang together with it. */
    private Set<String> points(String net) {
        if (pack.model().isProbed(net)) {
            return Set.of(net);
        }
        Set<String> points = new LinkedHashSet<>(ConductorSearch.from(pack.model().machine().circuit(), net, Element.Conductor::closed,
                n -> true).nets());
        points.removeIf(n -> !pack.model().isProbed(n));
        return points;
    }

    /** A process value that the fault's cause moves. */
    private boolean moves(String quantity) {
        return causes.contains(quantity) || pack.model().machine().process().stream().filter(q -> q.id().equals(quantity))
                .flatMap(q -> q.moves().stream()).anyMatch(this::named);
    }

    private boolean named(Quantity.Move move) {
        return move.when().names().stream().anyMatch(causes::contains) || move.target().names().stream().anyMatch(causes::contains);
    }

    private static boolean consumes(Element element) {
        return element instanceof Element.Load || element instanceof Element.Capacitor;
    }

    private static boolean across(Test.Reading reading, Element element) {
        return reading.place() instanceof Place.Across across && element.nets().contains(across.red())
                && element.nets().contains(across.black());
    }

    private static boolean hot(Test.Reading reading, Element element) {
        return reading.place() instanceof Place.Across across && (across.red().equals(element.nets().get(0))
                || across.black().equals(element.nets().get(0)));
    }
}
