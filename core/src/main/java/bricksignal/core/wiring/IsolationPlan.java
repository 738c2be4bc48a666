package bricksignal.core.wiring;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How a building's relays call a unit without one conductor of either supply touching the other: for each function a relay, its coil on the building's output
 * and common, its contact between the unit's own 24 V and the unit's input. Common practice; the figures are marked where they stand.
 *
 * @param relays in the order of the building's terminals
 * @param wires conductor by conductor
 * @param loads what each transformer carries with everything called
 * @param coilVolts at the coil of the longest run with everything called
 * @param pullsIn whether a relay still pulls in with that
 * @param alone functions that only one of the two has
 */
public record IsolationPlan(Control building, Control unit, List<Relay> relays, List<Wire> wires, List<Load> loads, double coilVolts,
        boolean pullsIn, List<Alone> alone) {

    /** What a control circuit is made for. */
    public static final double VOLTS = 24;
    /** A relay pulls in from 85 % of its rated volts (common practice). */
    public static final double PULLS_IN = 0.85;
    private static final String BLUE = "blue";
    private static final String RED = "red";

    /**
     * One isolation relay.
     *
     * @param name K1, K2 and so on
     * @param va of its coil
     */
    public record Relay(String name, Function function, String output, String input, double va) {

        /** The two terminals of its coil, of the building's supply. */
        List<String> coil() {
            return List.of(name + " A1", name + " A2");
        }

        /** The two terminals of its contact, of the unit's supply. */
        List<String> contact() {
            return List.of(name + " 11", name + " 14");
        }
    }

    /**
     * What a transformer carries.
     *
     * @param side whose it is
     * @param va with everything called
     * @param ratedVa of the transformer
     * @param fits whether that is within its rating
     * @param classTwo whether the transformer is within class 2
     * @param fuseAmps the fuse for it, amperes; 0 where none of the usual ones carries the load within the rating
     */
    public record Load(Wire.Side side, double va, double ratedVa, boolean fits, boolean classTwo, double fuseAmps) {
    }

    /** A function that the other side does not have. */
    public record Alone(Wire.Side side, Function function, String terminal) {
    }

    public IsolationPlan {
        relays = List.copyOf(relays);
        wires = List.copyOf(wires);
        loads = List.copyOf(loads);
        alone = List.copyOf(alone);
    }

    /**
     * The plan.
     *
     * @param coilVa of an isolation relay, above 0
     * @param cable between the building's control and the relays, which sit at the unit
     */
    public static IsolationPlan of(Control building, Control unit, double coilVa, Cable cable) {
        if (!(coilVa > 0)) {
            throw new IllegalArgumentException("the coil of a relay takes " + coilVa + " VA; it must be more than 0");
        }
        List<Relay> relays = new ArrayList<>();
        List<Wire> wires = new ArrayList<>();
        List<Alone> alone = new ArrayList<>();
        double inputs = 0;
        for (Control.Terminal output : building.terminals()) {
            Optional<Control.Terminal> input = unit.terminals().stream().filter(t -> t.function() == output.function()).findFirst();
            if (input.isEmpty()) {
                alone.add(new Alone(Wire.Side.BUILDING, output.function(), output.name()));
                continue;
            }
            Relay relay = new Relay("K" + (relays.size() + 1), output.function(), output.name(), input.get().name(), coilVa);
            relays.add(relay);
            inputs += input.get().va();
            String colour = output.function().colour();
            wires.add(new Wire(at(building, output.name()), relay.coil().get(0), Wire.Side.BUILDING, colour));
            wires.add(new Wire(at(building, building.common()), relay.coil().get(1), Wire.Side.BUILDING, BLUE));
            wires.add(new Wire(at(unit, unit.hot()), relay.contact().get(0), Wire.Side.UNIT, RED));
            wires.add(new Wire(relay.contact().get(1), at(unit, input.get().name()), Wire.Side.UNIT, colour));
        }
        unit.terminals().stream().filter(input -> relays.stream().noneMatch(relay -> relay.function() == input.function()))
                .forEach(input -> alone.add(new Alone(Wire.Side.UNIT, input.function(), input.name())));
        double coils = coilVa * relays.size();
        double coil = VOLTS - coils / VOLTS * cable.loopOhms();
        return new IsolationPlan(building, unit, relays, wires, List.of(load(Wire.Side.BUILDING, building, coils), load(Wire.Side.UNIT, unit, inputs)),
                coil, coil >= PULLS_IN * VOLTS, alone);
    }

    /** The same plan with one conductor landed elsewhere. */
    public IsolationPlan with(Wire instead, Wire of) {
        return new IsolationPlan(building, unit, relays, wires.stream().map(w -> w.equals(of) ? instead : w).toList(), loads, coilVolts, pullsIn, alone);
    }

    /** Every terminal on which a conductor can land, as the wiring list names it, and whose supply it is of. */
    public Map<String, Wire.Side> terminals() {
        Map<String, Wire.Side> terminals = new LinkedHashMap<>();
        all(building).forEach(terminal -> terminals.put(terminal, Wire.Side.BUILDING));
        all(unit).forEach(terminal -> terminals.put(terminal, Wire.Side.UNIT));
        relays.forEach(relay -> {
            relay.coil().forEach(terminal -> terminals.put(terminal, Wire.Side.BUILDING));
            relay.contact().forEach(terminal -> terminals.put(terminal, Wire.Side.UNIT));
        });
        return terminals;
    }

    private static Stream<String> all(Control control) {
        return Stream.concat(Stream.of(control.hot(), control.common()), control.terminals().stream().map(Control.Terminal::name))
                .map(name -> at(control, name));
    }

    /** A terminal of a control, as the wiring list names it. */
    public static String at(Control control, String terminal) {
        return control.label() + " " + terminal;
    }

    private static Load load(Wire.Side side, Control control, double added) {
        double va = control.ownVa() + added;
        double fuse = ControlFuse.amps(control.ratedVa(), VOLTS);
        return new Load(side, va, control.ratedVa(), va <= control.ratedVa(), control.ratedVa() <= ControlFuse.CLASS_2_VA, fuse >= va / VOLTS ? fuse : 0);
    }
}
