package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.words.Message;
import java.util.Map;
import java.util.Set;

/** A winding of a motor or compressor, or a heater, that touches its shell, and the measurement that shows it: its leads off, to bare metal; and that what protects
 * the line holds without it. One a part. */
final class Grounds {

    /** From memory: rarer than an open winding. */
    private static final double GROUNDED_WEIGHT = 1;
    /** Of the breakdown (from memory): enough to open what protects the line. */
    private static final double GROUNDED_OHMS = 0.1;
    private static final double LEADS_OFF_MINUTES = 3;

    private static final Set<Device> WOUND = Set.of(Device.MOTOR, Device.THREE_PHASE_MOTOR, Device.COMPRESSOR, Device.HEATER);

    private static final String GROUNDED = "grounded.";

    private final Gathered gathered;

    Grounds(Gathered gathered) {
        this.gathered = gathered;
    }

    void gather() {
        for (Part part : gathered.declaredModel().parts()) {
            part.elements().stream().filter(this::wound).filter(this::opensWhatProtects).findFirst().ifPresent(load -> grounded(load, part));
        }
    }

    private boolean wound(String element) {
        Device device = gathered.declaredModel().dangers().devices().get(element);
        return device != null && WOUND.contains(device) && gathered.declaredModel().machine().circuit().element(element) instanceof Element.Load;
    }

    private boolean opensWhatProtects(String load) {
        return gathered.felt(GROUNDED + load, () -> gathered.blowsAFuse(effect(load)));
    }

    private Effect effect(String load) {
        return new Effect.Grounded(load, gathered.declaredModel().machine().circuit().reference(), GROUNDED_OHMS);
    }

    private void grounded(String load, Part part) {
        String id = GROUNDED + load;
        Message label = Message.said(part.label());
        gathered.add(id, Message.of("failure.grounded", label), part.id(), GROUNDED_WEIGHT, 0, effect(load), "failure.remedy.grounded");
        gathered.atRest().ifPresent(off -> leadsOff("shell.", load, off, label, id));
        gathered.energised(load).ifPresent(moment -> leadsOff("holds.", load, moment, label, id));
    }

    private void leadsOff(String test, String load, Moment moment, Message label, String fault) {
        gathered.check(new Test.Check(test + load, Message.of("test." + test + "leads-off", label), Test.Sense.TRY, moment.id(), null, Map.of(fault, Gathered.LOOK_SEES),
                Gathered.BY_CHANCE, LEADS_OFF_MINUTES, "", new Change(Change.Kind.WIRE_OFF, load, Message.of("change.leads-off", label))));
    }
}
