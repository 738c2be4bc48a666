package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A coil behind a fuse that is shorted, and the test that takes it out of the question: its wires off, and a new fuse in. */
final class Shorts {

    private static final double SHORTED_WEIGHT = 0.8;
    /** Of a coil whose turns have burnt together (from memory). */
    private static final double SHORTED_OHMS = 1;
    private static final double APART_MINUTES = 2.5;

    private static final Set<Device> COILS = Set.of(Device.GAS_VALVE, Device.CONTACTOR_COIL, Device.SOLENOID, Device.DAMPER_ACTUATOR, Device.RELAY);

    private final Gathered gathered;
    private final UnitModel model;

    Shorts(Gathered gathered) {
        this.gathered = gathered;
        this.model = gathered.declaredModel();
    }

    void gather() {
        for (Element element : model.machine().circuit().elements()) {
            Optional<Part> part = model.partWith(element.id());
            if (element instanceof Element.Load load && part.isPresent() && COILS.contains(model.dangers().devices().get(load.id()))) {
                shorted(load, part.get());
            }
        }
    }

    private void shorted(Element.Load load, Part part) {
        Effect effect = new Effect.OnElement(load.id(), Effect.Mode.SHORTED, SHORTED_OHMS);
        boolean declared = model.faults().stream().anyMatch(fault -> Gathered.only(fault, Effect.Mode.SHORTED).equals(Optional.of(load.id())));
        String id = "shorted." + load.id();
        if (!declared && gathered.felt(id, () -> gathered.blowsAFuse(effect))) {
            gathered.add(id, Message.of("failure.coil-shorted", gathered.element(load.id())), part.id(), SHORTED_WEIGHT, 0, effect, "failure.remedy.coil-shorted");
            declared = true;
        }
        if (declared) {
            gathered.energised(load.id()).ifPresent(moment -> apart(load, moment));
        }
    }

    private void apart(Element.Load load, Moment moment) {
        Map<String, Double> tells = new LinkedHashMap<>();
        gathered.faults().stream().filter(fault -> Gathered.only(fault, Effect.Mode.SHORTED).equals(Optional.of(load.id())))
                .forEach(fault -> tells.put(fault.id(), Gathered.LOOK_SEES));
        gathered.check(new Test.Check("apart." + load.id(), Message.of("test.apart", gathered.element(load.id())), Test.Sense.TRY, moment.id(), null, tells,
                Gathered.BY_CHANCE, APART_MINUTES, "", new Change(Change.Kind.WIRE_OFF, load.id(), Message.of("change.apart", gathered.element(load.id())))));
    }
}
