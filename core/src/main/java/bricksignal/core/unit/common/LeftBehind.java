package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.board.Input;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What others left: a jumper across a switch, a call jumper or a test cord in, a wire off its terminal. */
final class LeftBehind {

    static final String ACROSS = "see-left.";
    static final String GONE = "gone.";

    private static final double LEFT_WEIGHT = 0.4;
    /** A test cord is taken along when its owner goes; a jumper stays. */
    private static final double CORD_WEIGHT = 0.1;
    private static final double LOOK_BROKEN = 0.1;
    private static final double LOOK_MINUTES = 0.1;
    private static final double GONE_MINUTES = 1.5;

    private final Gathered gathered;
    private final UnitModel model;

    LeftBehind(Gathered gathered) {
        this.gathered = gathered;
        this.model = gathered.declaredModel();
    }

    void gather() {
        model.machine().circuit().elements().forEach(element -> {
            if (element instanceof Element.Conductor c) {
                Rule rule = model.machine().rules().get(c.id());
                Message label = gathered.element(c.id());
                if (rule instanceof Rule.Latches && !c.closed()) {
                    jumper(c, LEFT_WEIGHT, Message.of("failure.left-across", label), Message.of("test.see-across", label));
                } else if (rule instanceof Rule.Latches) {
                    gathered.check(ACROSS + c.id(), Message.of("test.see-across", label), Test.Sense.LOOK, gathered.found(), Map.of(), LOOK_MINUTES);
                } else if (model.isTestGear(c.id())) {
                    Message from = gathered.point(c.a());
                    Message to = gathered.point(c.b());
                    jumper(c, placesACall(c) ? LEFT_WEIGHT : CORD_WEIGHT, Message.of("failure.left-in", from, to), Message.of("test.see-left", from, to));
                }
            }
        });
        model.machine().circuit().elements().forEach(element -> model.plainConductor(element.id()).filter(gathered::isWire)
                .filter(this::atATerminal).ifPresent(this::wireOff));
    }

    private boolean placesACall(Element.Conductor c) {
        return model.calls().stream().anyMatch(call -> c.nets().containsAll(List.of(call.from(), call.to())));
    }

    private void jumper(Element.Conductor c, double weight, Message label, Message look) {
        String id = "left." + c.id();
        gathered.fault(id, label, CommonFailures.LEFT, weight, 0, List.of(new Effect.OnElement(c.id(), Effect.Mode.CLOSED, 0)), "failure.remedy.left");
        gathered.check(ACROSS + c.id(), look, Test.Sense.LOOK, gathered.found(), Map.of(id, Gathered.LOOK_SEES), LOOK_MINUTES);
        gathered.check(new Test.Check(GONE + id, Message.of("test.gone-left"), Test.Sense.TRY, gathered.found(), null, Map.of(id, Gathered.LOOK_SEES),
                Gathered.BY_CHANCE, GONE_MINUTES, "", new Change(Change.Kind.TAKEN_OUT, c.id(), Message.NOTHING)));
    }

    private void wireOff(Element.Conductor wire) {
        String id = "off." + wire.id();
        Message label = gathered.point(wire.a());
        Message other = gathered.point(wire.b());
        gathered.fault(id, Message.of("failure.wire-off", label, other), CommonFailures.LEFT, LEFT_WEIGHT, 0,
                List.of(new Effect.OnElement(wire.id(), Effect.Mode.OPEN, 0)), "failure.remedy.wire-off");
        Map<String, Double> tells = new LinkedHashMap<>(Map.of(id, Gathered.LOOK_SEES));
        gathered.faults().stream().filter(fault -> !fault.id().equals(id) && Gathered.touches(fault, wire.id())).forEach(f -> tells.put(f.id(), LOOK_BROKEN));
        gathered.check("see-off." + wire.id(), Message.of("test.see-off", label, other), Test.Sense.LOOK, gathered.found(), tells, LOOK_MINUTES);
        gathered.check(GONE + id, Message.of("test.gone-off"), Test.Sense.TRY, gathered.found(), Map.of(id, Gathered.LOOK_SEES), GONE_MINUTES);
    }

    /** True for a wire that ends on a terminal where a board senses a call, and that carries current. */
    private boolean atATerminal(Element.Conductor wire) {
        return gathered.halving(wire) > 0 && model.machine().boards().stream().flatMap(board -> board.inputs().stream())
                .anyMatch(input -> input instanceof Input.Voltage v && wire.nets().contains(v.plus()));
    }
}
