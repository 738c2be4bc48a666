package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
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
    /** So much of what a coil takes must it carry to be called energised. */
    private static final double ENERGISED = 0.5;

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
        if (!declared && gathered.felt(id, () -> blowsAFuse(effect))) {
            gathered.add(id, Message.of("failure.coil-shorted", gathered.element(load.id())), part.id(), SHORTED_WEIGHT, 0, effect, "failure.remedy.coil-shorted");
            declared = true;
        }
        if (declared) {
            energised(load).ifPresent(moment -> apart(load, moment));
        }
    }

    private void apart(Element.Load load, Moment moment) {
        Map<String, Double> tells = new LinkedHashMap<>();
        gathered.faults().stream().filter(fault -> Gathered.only(fault, Effect.Mode.SHORTED).equals(Optional.of(load.id())))
                .forEach(fault -> tells.put(fault.id(), Gathered.LOOK_SEES));
        gathered.check(new Test.Check("apart." + load.id(), Message.of("test.apart", gathered.element(load.id())), Test.Sense.TRY, moment.id(), null, tells,
                Gathered.BY_CHANCE, APART_MINUTES, "", new Change(Change.Kind.WIRE_OFF, load.id(), Message.of("change.apart", gathered.element(load.id())))));
    }

    /** The first moment at which the coil has its voltage in the unit in good order. */
    private Optional<Moment> energised(Element.Load load) {
        double most = gathered.carries(load.id());
        return model.moments().stream().filter(moment -> most > 0 && gathered.unit().run(moment.scenario()).at(gathered.unit().secondsOf(moment)).unit().solution()
                .amps(load.id()).magnitude() >= ENERGISED * most).findFirst();
    }

    private boolean blowsAFuse(Effect effect) {
        VirtualUnit failed = gathered.with(effect);
        return model.machine().circuit().elements().stream().anyMatch(element -> element instanceof Element.Conductor fuse && Double.isFinite(fuse.fuseAmps())
                && model.watchedScenarios().stream().anyMatch(run -> !closedAtTheEnd(failed, run.id(), fuse.id()) && closedAtTheEnd(gathered.unit(), run.id(), fuse.id())));
    }

    private static boolean closedAtTheEnd(VirtualUnit unit, String run, String fuse) {
        var intervals = unit.run(run).intervals();
        return ((Element.Conductor) intervals.get(intervals.size() - 1).unit().solution().circuit().element(fuse)).closed();
    }
}
