package bricksignal.core.circuit.solve;

import bricksignal.core.Known;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The voltages and currents of a circuit in one state of its switches. Alternating values are RMS phasors at line
 * frequency. The direct-current analysis is made when it is first asked for. Currents enter an element at its first net.
 */
public final class Solution {

    /** How the answer was reached. */
    public enum Status {
        /** The equations had one solution. */
        SOLVED,
        /** Ideal sources or wires formed a loop; each got a microohm so that the answer is defined. */
        REGULARISED
    }

    private final Circuit circuit;
    private final Analysis alternating;
    private final boolean hasDirect;
    private volatile @Nullable Analysis direct;
    private volatile boolean brief;

    private Solution(Circuit circuit) {
        this.circuit = circuit;
        this.alternating = Network.alternating(circuit);
        this.hasDirect = circuit.elements().stream().anyMatch(Element.DirectSource.class::isInstance);
    }

    /** Solves the circuit as it stands. */
    public static Solution of(Circuit circuit) {
        return new Solution(circuit);
    }

    public Status status() {
        return alternating.regularised() ? Status.REGULARISED : Status.SOLVED;
    }

    public Circuit circuit() {
        return circuit;
    }

    /** Alternating voltage of a net against the reference. */
    public Phasor volts(String net) {
        return alternating.volts(net);
    }

    /** Alternating voltage from {@code minus} to {@code plus}. */
    public Phasor volts(String plus, String minus) {
        return alternating.volts(plus).minus(alternating.volts(minus));
    }

    /** Voltage between two nets as a relay or a lamp feels it: alternating and direct together, V RMS. */
    public double rms(String plus, String minus) {
        double alternatingVolts = volts(plus, minus).magnitude();
        return hasDirect ? Math.hypot(alternatingVolts, directVolts(plus, minus)) : alternatingVolts;
    }

    /** Current through an element as a coil or a fuse feels it: alternating and direct together, A RMS. */
    public double rms(String elementId) {
        double alternatingAmps = amps(elementId).magnitude();
        return hasDirect ? Math.hypot(alternatingAmps, directAmps(elementId)) : alternatingAmps;
    }

    /** Direct voltage from {@code minus} to {@code plus}. */
    public double directVolts(String plus, String minus) {
        return direct().volts(plus).minus(direct().volts(minus)).re();
    }

    /** Alternating current through an element, A RMS. */
    public Phasor amps(String elementId) {
        Element element = circuit.element(elementId);
        if (element instanceof Element.Load load) {
            return load.ohms() < Double.POSITIVE_INFINITY
                    ? volts(load.a(), load.b()).over(new Phasor(load.ohms(), load.reactanceOhms())) : Phasor.ZERO;
        }
        if (element instanceof Element.Capacitor c) {
            return volts(c.a(), c.b()).times(new Phasor(0, 2 * Math.PI * circuit.hertz() * c.farads()));
        }
        if (element instanceof Element.FlamePath flame) {
            return flame.lit() ? volts(flame.rod(), flame.burner()).over(new Phasor(flame.ohms(), 0)) : Phasor.ZERO;
        }
        return alternating.branchAmps(elementId);
    }

    /** Direct current through an element, A. A transformer gives that of its secondary winding. */
    public double directAmps(String elementId) {
        Element element = circuit.element(elementId);
        if (element instanceof Element.Load load) {
            return load.ohms() < Double.POSITIVE_INFINITY ? directVolts(load.a(), load.b()) / load.ohms() : 0;
        }
        if (element instanceof Element.FlamePath flame) {
            return flame.lit() ? directVolts(flame.rod(), flame.burner()) / flame.ohms()
                    + Element.FlamePath.HALF_WAVE_MEAN * Known.in(flameVolts(), flame.id()) / flame.ohms() : 0;
        }
        if (element instanceof Element.Transformer t) {
            return t.open() ? 0 : directVolts(t.s1(), t.s2()) / t.ohms();
        }
        return direct().branchAmps(elementId).re();
    }

    /** Impedance at line frequency seen between two nets, sources at zero, ohms. */
    public Phasor impedance(String a, String b) {
        return alternating.impedance(a, b);
    }

    /** Resistance to direct current seen between two nets, sources at zero, ohms. */
    public double resistance(String a, String b) {
        return direct().impedance(a, b).re();
    }

    /** Lets go what only an impedance needs; asked for one, it is made anew and not kept. */
    public void letFactorsGo() {
        brief = true;
        alternating.letGo();
        Analysis known = direct;
        if (known != null) {
            known.letGo();
        }
    }

    private Analysis direct() {
        Analysis known = direct;
        if (known == null) {
            known = Network.direct(circuit, flameVolts());
            if (brief) {
                known.letGo();
            }
            direct = known;
        }
        return known;
    }

    private Map<String, Double> flameVolts() {
        Map<String, Double> volts = new LinkedHashMap<>();
        for (Element element : circuit.elements()) {
            if (element instanceof Element.FlamePath flame && flame.lit()) {
                volts.put(flame.id(), volts(flame.rod(), flame.burner()).magnitude());
            }
        }
        return volts;
    }
}
