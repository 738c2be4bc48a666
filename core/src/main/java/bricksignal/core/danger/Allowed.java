package bricksignal.core.danger;

import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Dangers;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The temporary changes that a unit's circuit allows, chosen and never typed: a plug off, a wire off, a call placed by a jumper, a door
 * switch held. Nothing is among them that bridges a switch which keeps people or the unit safe.
 */
final class Allowed {

    private Allowed() {
    }

    /** The changes by id, in the order of the circuit. */
    static Map<String, Change> of(UnitModel model, Safety safety) {
        Map<String, Change> changes = new LinkedHashMap<>();
        calls(model, safety).forEach(change -> changes.put("call." + change.at(), change));
        model.dangers().guards().forEach((element, guard) -> {
            if (guard == Dangers.Guard.DOOR) {
                changes.put("held." + element, new Change(Change.Kind.HELD, element, Message.of("change.held", Message.said(model.elementLabel(element)))));
            }
        });
        model.connectors().forEach(plug -> changes.put("off." + plug.id(), new Change(Change.Kind.PLUG_OFF, plug.id(), Message.of("change.plug-off",
                Message.said(plug.label())))));
        model.machine().circuit().elements().stream().filter(e -> isAWire(model, e)).forEach(e -> changes.put("wire." + e.id(), new Change(
                Change.Kind.WIRE_OFF, e.id(), Message.of("change.wire-off", Message.said(model.pointLabel(e.nets().get(0))),
                Message.said(model.pointLabel(e.nets().get(1)))))));
        return Collections.unmodifiableMap(changes);
    }

    /** A call is jumped between the terminals between which a thermostat or the building calls, and where that bridges no safety. */
    private static List<Change> calls(UnitModel model, Safety safety) {
        return safety.calls().stream().map(call -> new Change(Change.Kind.CALL_JUMPER, call.from() + "." + call.to(), Message.of("change.call", Message.said(
                model.pointLabel(call.from())), Message.said(model.pointLabel(call.to()))))).toList();
    }

    /** A conductor in the field that can be taken off: both ends can be probed, and it is no pin, no switch, no fuse. */
    private static boolean isAWire(UnitModel model, Element e) {
        return !model.isPin(e.id()) && !model.dangers().guards().containsKey(e.id()) && model.plainConductor(e.id()).isPresent() && e.nets().stream().allMatch(model::isProbed);
    }
}
