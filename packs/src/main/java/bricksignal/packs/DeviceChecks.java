package bricksignal.packs;

import bricksignal.core.board.Rule;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import bricksignal.core.circuit.solve.Solution;
import bricksignal.core.unit.Change;
import bricksignal.core.unit.Device;
import bricksignal.core.unit.UnitModel;
import bricksignal.core.unit.VirtualUnit;
import java.util.List;
import java.util.Set;

/**
 * What a thing is decides what may be done to it, so everything that makes or takes current says what it is, and the circuit must agree:
 * a compressor is fed by no 24 V, a sensor closes no contact, a supply is a source.
 */
final class DeviceChecks {

    /** A compressor, an igniter of the hot surface, a heater of a unit: never on control voltage. Battery units are below it too. */
    private static final double CONTROL_VOLTS = 30;
    /** What stands for something that a unit in good order does not feed at all. */
    private static final double NOTHING_VOLTS = 1;
    /** A coil, a valve or an actuator on more than this is none of the trade's; contactors of 240 V are. */
    private static final double MOST_COIL_VOLTS = 260;
    /** Sensors and detectors have a small voltage. */
    private static final double MOST_SENSOR_VOLTS = 60;

    private static final Set<Device> LINE = Set.of(Device.COMPRESSOR, Device.HOT_SURFACE_IGNITER, Device.THREE_PHASE_MOTOR);
    private static final Set<Device> COILS = Set.of(Device.CONTACTOR_COIL, Device.SOLENOID, Device.DAMPER_ACTUATOR, Device.GAS_VALVE, Device.RELAY,
            Device.RELAY_ON_BOARD);
    private static final Set<Device> SENSORS = Set.of(Device.ELECTRONIC_SENSOR, Device.THERMISTOR, Device.DETECTOR, Device.THERMOCOUPLE);

    private final Section root;
    private final UnitModel model;
    private final List<Solution> all;

    private DeviceChecks(Section root, UnitModel model) {
        this.root = root;
        this.model = model;
        VirtualUnit nominal = VirtualUnit.of(model, model.machine());
        this.all = model.scenarios().stream().flatMap(run -> nominal.run(run.id()).intervals().stream())
                .map(interval -> interval.unit().solution()).distinct().toList();
    }

    /** Notes what is not declared, and what the circuit contradicts. */
    static void run(Section root, UnitModel model) {
        DeviceChecks checks = new DeviceChecks(root, model);
        model.machine().circuit().elements().stream().filter(DeviceChecks::says).forEach(checks::element);
        checks.changes();
    }

    private static boolean says(Element e) {
        return !(e instanceof Element.Conductor) && !(e instanceof Element.Capacitor);
    }

    private void element(Element e) {
        Section section = root.at("circuit").at(e.id());
        Device device = model.dangers().devices().get(e.id());
        if (device == null) {
            section.note("'" + e.id() + "' does not say what it is, and that decides what may be done to it", "Give 'device', such as gas-valve "
                    + "or control-board; docs/safety.md lists them");
            return;
        }
        boolean source = e instanceof Element.Source || e instanceof Element.DirectSource;
        if ((device == Device.TRANSFORMER) != e instanceof Element.Transformer || device == Device.SUPPLY && !source
                || device == Device.BATTERY && !(e instanceof Element.DirectSource)) {
            section.note("'" + e.id() + "' is a " + device.text() + " by its device kind, and something else by its circuit", "Correct the one or the other");
        } else if (e instanceof Element.FlamePath && device != Device.FLAME_ROD) {
            section.note("'" + e.id() + "' conducts through a flame and is said to be a " + device.text(), "Give 'device: flame-rod'");
        } else if (e instanceof Element.Load load) {
            voltage(section, load, device);
        }
        boolean moves = model.machine().rules().entrySet().stream().anyMatch(rule -> rule.getValue() instanceof Rule.Follows follows
                && follows.closed().names().contains("amps." + e.id()) && model.partWith(rule.getKey()).isPresent()
                && !model.partWith(rule.getKey()).equals(model.partWith(e.id())));
        if (SENSORS.contains(device) && moves) {
            section.note("'" + e.id() + "' is a " + device.text() + ", and its current closes a contact", "A coil closes contacts: correct the kind");
        }
    }

    private void voltage(Section section, Element.Load load, Device device) {
        double most = most(load);
        if (LINE.contains(device) && most > NOTHING_VOLTS && most < CONTROL_VOLTS) {
            section.note("a " + device.text() + " is fed by no more than " + Math.round(most) + " V", "Correct its kind or what feeds it");
        } else if (COILS.contains(device) && most > MOST_COIL_VOLTS || SENSORS.contains(device) && most > MOST_SENSOR_VOLTS) {
            section.note("a " + device.text() + " is fed by " + Math.round(most) + " V", "Correct its kind or what feeds it");
        }
    }

    /** The most volts that it ever has in a unit in good order. */
    private double most(Element.Load load) {
        return all.stream().mapToDouble(solution -> solution.rms(load.a(), load.b())).max().orElse(0);
    }

    /** A jumper and a bridge are elements of the circuit, so that what they join is known. */
    private void changes() {
        Circuit circuit = model.machine().circuit();
        model.checks().forEach(check -> {
            boolean joins = check.change().kind() == Change.Kind.CALL_JUMPER
                    || check.change().kind() == Change.Kind.BRIDGE;
            if (joins && circuit.elements().stream().noneMatch(e -> e.id().equals(check.change().at()) && e instanceof Element.Conductor)) {
                root.at("checks").at(check.id()).note("its change joins two terminals and does not say by which element", "Give 'at' with a switch or contact of the circuit");
            }
        });
    }
}
