package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Pins and wires that break, and that make bad contact. */
final class Conductors {

    private static final double PIN_WEIGHT = 0.4;
    private static final double WIRE_WEIGHT = 0.1;
    private static final double PIN_INTERMITTENT = 0.2;

    private final Gathered gathered;
    private final UnitModel model;

    Conductors(Gathered gathered) {
        this.gathered = gathered;
        this.model = gathered.declaredModel();
    }

    void gather() {
        for (UnitModel.Connector connector : model.connectors()) {
            for (String id : connector.conductors()) {
                model.plainConductor(id).ifPresent(pin -> failing(pin, Message.said(connector.label()), partOf(connector), connector));
            }
        }
        model.machine().circuit().elements().forEach(element -> model.plainConductor(element.id()).filter(gathered::isWire).ifPresent(wire -> failing(
                wire, gathered.element(wire.id()), model.partWith(wire.id()).map(Part::id).orElse(CommonFailures.WIRING), null)));
    }

    private String partOf(UnitModel.Connector connector) {
        return model.faults().stream().filter(fault -> connector.conductors().stream().anyMatch(pin -> Gathered.touches(fault, pin)))
                .map(fault -> fault.part()).findFirst().orElse(CommonFailures.WIRING);
    }

    private void failing(Element.Conductor c, Message label, String part, UnitModel.@Nullable Connector connector) {
        double ohms = gathered.halving(c);
        if (ohms <= 0) {
            return;
        }
        Message from = gathered.point(c.a());
        Message to = gathered.point(c.b());
        double weight = connector == null ? WIRE_WEIGHT : PIN_WEIGHT;
        double intermittent = connector == null ? 0 : PIN_INTERMITTENT;
        gathered.add("open." + c.id(), Message.of("failure.conductor-open", label, from, to), part, weight, intermittent,
                new Effect.OnElement(c.id(), Effect.Mode.OPEN, 0), "failure.remedy.conductor");
        Effect half = new Effect.OnElement(c.id(), Effect.Mode.RESISTIVE, ohms);
        String resistive = "resistive." + c.id();
        if (!feedsACapacitor(c) && gathered.felt(resistive, () -> gathered.settles(List.of(half)))) {
            gathered.add(resistive, Message.of("failure.conductor-resistive", label, from, to), part, weight, intermittent, half,
                    "failure.remedy.conductor");
        }
        if (connector != null) {
            gathered.wiggled(connector).ifPresent(check -> gathered.faults().stream().filter(f -> f.id().endsWith("." + c.id()))
                    .forEach(f -> gathered.tells(check.id(), f.id(), Gathered.TOUCH_MOVES)));
        }
    }

    /** A bad contact in front of a capacitor changes next to nothing: what it takes lies square to what the capacitor takes. */
    private boolean feedsACapacitor(Element.Conductor c) {
        return c.nets().stream().anyMatch(net -> model.machine().circuit().elements().stream().filter(e -> e.nets().contains(net)
                && !e.id().equals(c.id())).allMatch(Element.Capacitor.class::isInstance));
    }
}
