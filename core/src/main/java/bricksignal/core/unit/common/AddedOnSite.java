package bricksignal.core.unit.common;

import bricksignal.core.board.Effect;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Fault;
import bricksignal.core.unit.Moment;
import bricksignal.core.unit.Part;
import bricksignal.core.unit.Test;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.words.Message;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What people add on site and no drawing knows: in a conductor of the field a float switch, a relay, a second thermostat that has opened; across two of them
 * the coil of an air cleaner or a humidifier that is shorted. Found by following the wire, and by taking the wires off one after the other.
 */
final class AddedOnSite {

    static final String FAR_OFF = "far-off.";
    static final String SEE = "see-added.";

    private static final double IN_LINE_WEIGHT = 0.3;
    private static final double ACROSS_WEIGHT = 0.4;
    private static final double LOOK_FINDS = 0.9;
    /** Something is wired there too that is not at fault. */
    private static final double IS_THERE_ANYWAY = 0.15;
    /** A bad contact that a meter finds under its own small current, so often. */
    private static final double MEASURED_BAD = 0.3;
    private static final double FOLLOW_MINUTES = 4;
    private static final double LENGTHS_MINUTES = 6;
    private static final double SEE_MINUTES = 1;
    private static final double OFF_MINUTES = 2;

    private final Gathered gathered;
    private final UnitModel model;

    AddedOnSite(Gathered gathered) {
        this.gathered = gathered;
        this.model = gathered.declaredModel();
    }

    void gather() {
        for (Part cable : model.parts()) {
            if (cable.field()) {
                cable.elements().forEach(id -> model.plainConductor(id).filter(wire -> gathered.halving(wire) > 0).ifPresent(this::inLine));
                model.faults().stream().filter(fault -> fault.part().equals(cable.id())).forEach(fault -> Gathered.only(fault, Effect.Mode.CLOSED)
                        .map(model.machine().circuit()::element).filter(Element.Conductor.class::isInstance).map(Element.Conductor.class::cast)
                        .ifPresent(between -> across(fault, between)));
            }
        }
    }

    private void inLine(Element.Conductor wire) {
        Message from = gathered.point(wire.a());
        Message to = gathered.point(wire.b());
        String id = "added." + wire.id();
        gathered.fault(id, Message.of("failure.added-in-line", from, to), CommonFailures.ADDED, IN_LINE_WEIGHT, 0,
                List.of(new Effect.OnElement(wire.id(), Effect.Mode.OPEN, 0)), "failure.remedy.added-in-line");
        gathered.check("follow." + wire.id(), Message.of("test.follow", from, to), Test.Sense.LOOK, gathered.found(), Map.of(id, LOOK_FINDS), FOLLOW_MINUTES);
        Map<String, Double> sound = new LinkedHashMap<>();
        gathered.faults().stream().filter(fault -> Gathered.touches(fault, wire.id()) && isWithin(fault)).forEach(fault -> sound.put(fault.id(),
                Gathered.only(fault, Effect.Mode.RESISTIVE).isPresent() ? MEASURED_BAD : 1 - Gathered.LOOK_SEES));
        gathered.check(new Test.Check("lengths." + wire.id(), Message.of("test.lengths", from, to), Test.Sense.TRY, model.powerOff().stream().map(Moment::id).findFirst()
                .orElse(gathered.found()), null, sound, Gathered.LOOK_SEES, LENGTHS_MINUTES, "", new Change(Change.Kind.WIRE_OFF, wire.id(), Message.of("change.lengths", from, to))));
    }

    /** True for what is wrong with the conductor itself: not what sits in it, not that it is off, no joint of a board. */
    private boolean isWithin(Fault fault) {
        return !fault.part().equals(CommonFailures.ADDED) && !fault.part().equals(CommonFailures.LEFT) && model.parts().stream()
                .noneMatch(part -> part.id().equals(fault.part()) && part.kind() == Part.Kind.BOARD);
    }

    private void across(Fault inTheCable, Element.Conductor between) {
        Message one = gathered.point(between.a());
        Message other = gathered.point(between.b());
        String id = "added." + inTheCable.id();
        gathered.fault(id, Message.of("failure.added-across", one, other), CommonFailures.ADDED, ACROSS_WEIGHT, 0, inTheCable.effects(), "failure.remedy.added-across");
        gathered.tellsAlike(inTheCable.id(), id);
        Map<String, Double> lifted = new LinkedHashMap<>();
        lifted.put(inTheCable.id(), Gathered.LOOK_SEES);
        lifted.put(id, Gathered.LOOK_SEES);
        check("lift." + inTheCable.id(), Message.of("test.lift", one, other), lifted, Message.of("change.lift", one, other));
        check(FAR_OFF + inTheCable.id(), Message.of("test.far-off", one, other), Map.of(id, Gathered.LOOK_SEES), Message.of("change.far-off", one, other));
        gathered.check(new Test.Check(SEE + inTheCable.id(), Message.of("test.see-added", one, other), Test.Sense.LOOK, gathered.found(), null,
                Map.of(id, LOOK_FINDS), IS_THERE_ANYWAY, SEE_MINUTES, "", Change.NONE));
    }

    private void check(String id, Message label, Map<String, Double> tells, Message says) {
        gathered.check(new Test.Check(id, label, Test.Sense.TRY, gathered.found(), null, tells, Gathered.BY_CHANCE, OFF_MINUTES, "",
                new Change(Change.Kind.WIRE_OFF, "", says)));
    }
}
