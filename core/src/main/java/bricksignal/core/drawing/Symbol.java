package bricksignal.core.drawing;

import bricksignal.core.board.Expr;
import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Element;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.UnitModel;

/** How something of a circuit is drawn. */
public enum Symbol {
    WIRE, PIN,
    /** Moved by a hand, by heat, by pressure. */
    SWITCH,
    /** Moved by a coil or by a board. */
    CONTACT,
    FUSE,
    /** Relay, contactor, valve. */
    COIL,
    MOTOR, HEATER, SENSOR, CAPACITOR, FLAME, SOURCE,
    /** One side of a transformer. */
    WINDING,
    /** A board's own electronics: its supply, an input. */
    ELECTRONICS,
    LOAD;

    static Symbol of(UnitModel model, Element element) {
        if (element instanceof Element.Conductor conductor) {
            return ofConductor(model, conductor);
        } else if (element instanceof Element.Load) {
            return model.dangers().device(element.id()).map(Symbol::of).orElse(LOAD);
        } else if (element instanceof Element.Transformer) {
            return WINDING;
        } else if (element instanceof Element.FlamePath) {
            return FLAME;
        }
        return element instanceof Element.Capacitor ? CAPACITOR : SOURCE;
    }

    private static Symbol ofConductor(UnitModel model, Element.Conductor conductor) {
        Rule rule = model.machine().rules().get(conductor.id());
        if (conductor.fuseAmps() < Double.POSITIVE_INFINITY) {
            return FUSE;
        } else if (rule instanceof Rule.Follows follows && follows.closed().names().stream().map(Expr.Name::of).map(Expr.Name::kind)
                .anyMatch(kind -> kind == Expr.Kind.OUT || kind == Expr.Kind.AMPS || kind == Expr.Kind.STATE || kind == Expr.Kind.POWERED)) {
            return CONTACT;
        }
        boolean standsStill = staysAsSet(model, conductor) && model.partWith(conductor.id()).isEmpty() && !model.dangers().guards().containsKey(conductor.id());
        return rule != null && !standsStill ? SWITCH : model.isPin(conductor.id()) ? PIN : WIRE;
    }

    /** True for what moves only as parameters stand, and nobody moves those while the unit runs. */
    static boolean staysAsSet(UnitModel model, Element.Conductor conductor) {
        return model.machine().rules().get(conductor.id()) instanceof Rule.Follows follows && model.machine().parameters().keySet().containsAll(follows.closed().names());
    }

    private static Symbol of(Device device) {
        return switch (device) {
            case CONTACTOR_COIL, RELAY, RELAY_ON_BOARD, SOLENOID, GAS_VALVE, DAMPER_ACTUATOR, STEPPER -> COIL;
            case MOTOR, BRUSH_MOTOR, THREE_PHASE_MOTOR, ELECTRONIC_MOTOR, COMPRESSOR -> MOTOR;
            case HEATER, HOT_SURFACE_IGNITER -> HEATER;
            case ELECTRONIC_SENSOR, THERMISTOR, DETECTOR, THERMOCOUPLE -> SENSOR;
            case CONTROL_BOARD, INVERTER -> ELECTRONICS;
            default -> LOAD;
        };
    }
}
