package bricksignal.core.circuit.solve;

import bricksignal.core.Known;
import bricksignal.core.circuit.Circuit;
import bricksignal.core.circuit.Element;
import java.util.Map;
import java.util.function.Predicate;

/**
 * The matrix of one analysis by modified nodal analysis (Ho, Ruehli and Brennan, 1975): one row for each net but the
 * reference, one for the current of each branch that is not an admittance. Conductors are branches with a current of their
 * own, because as conductances they leave a floating net wrong by millivolts.
 */
final class Network {

    /** Every net leaks this much to the reference, in siemens, so that a floating net has a defined voltage. */
    static final double LEAK_SIEMENS = 1e-9;

    private static final double REGULAR_OHMS = 1e-6;

    private final Circuit circuit;
    private final Map<String, Integer> netIndex;
    private final int[] branchOf;
    private final double[][] matrix;
    private final double[] rightHandSide;
    private final double extraOhms;

    private Network(Circuit circuit, Predicate<Element> isBranch, double extraOhms) {
        this.circuit = circuit;
        this.netIndex = circuit.netNumbers();
        this.branchOf = new int[circuit.elements().size()];
        int next = netIndex.size() - 1;
        for (int i = 0; i < branchOf.length; i++) {
            branchOf[i] = isBranch.test(circuit.elements().get(i)) ? next++ : -1;
        }
        this.extraOhms = extraOhms;
        matrix = new double[next][2 * next];
        rightHandSide = new double[2 * next];
        for (int net = 0; net < netIndex.size() - 1; net++) {
            add(net, net, LEAK_SIEMENS, 0);
        }
    }

    /** Phasors at line frequency. */
    static Analysis alternating(Circuit circuit) {
        return analyse(circuit, Network::isBranch, (network, element) -> network.stampAlternating(element, circuit.hertz()));
    }

    /** Direct current; {@code flameVolts} gives for each lit flame the RMS voltage across it. */
    static Analysis direct(Circuit circuit, Map<String, Double> flameVolts) {
        return analyse(circuit, element -> isBranch(element) && !(element instanceof Element.Transformer),
                (network, element) -> network.stampDirect(element, flameVolts));
    }

    private interface Stamp {
        void on(Network network, Element element);
    }

    private static Analysis analyse(Circuit circuit, Predicate<Element> isBranch, Stamp stamp) {
        Analysis exact = attempt(circuit, isBranch, stamp, 0);
        return exact.singular() ? attempt(circuit, isBranch, stamp, REGULAR_OHMS) : exact;
    }

    private static Analysis attempt(Circuit circuit, Predicate<Element> isBranch, Stamp stamp, double extraOhms) {
        Network network = stamped(circuit, isBranch, stamp, extraOhms);
        return new Analysis(circuit, network.branchOf, ComplexLu.factor(network.matrix), () -> ComplexLu.factor(stamped(circuit, isBranch, stamp, extraOhms).matrix),
                network.rightHandSide, extraOhms > 0);
    }

    private static Network stamped(Circuit circuit, Predicate<Element> isBranch, Stamp stamp, double extraOhms) {
        Network network = new Network(circuit, isBranch, extraOhms);
        circuit.elements().forEach(element -> stamp.on(network, element));
        return network;
    }

    private static boolean isBranch(Element element) {
        return element instanceof Element.Source || element instanceof Element.DirectSource
                || element instanceof Element.Conductor conductor && conductor.closed()
                || element instanceof Element.Transformer transformer && !transformer.open();
    }

    private void stampAlternating(Element element, double hertz) {
        if (element instanceof Element.Source source) {
            double angle = Math.toRadians(source.degrees());
            branch(source.id(), source.plus(), source.minus(), source.ohms(), source.volts() * Math.cos(angle),
                    source.volts() * Math.sin(angle));
        } else if (element instanceof Element.DirectSource source) {
            branch(source.id(), source.plus(), source.minus(), source.ohms(), 0, 0);
        } else if (element instanceof Element.Conductor wire && wire.closed()) {
            branch(wire.id(), wire.a(), wire.b(), wire.ohms(), 0, 0);
        } else if (element instanceof Element.Load load && load.ohms() < Double.POSITIVE_INFINITY) {
            Phasor y = new Phasor(1, 0).over(new Phasor(load.ohms(), load.reactanceOhms()));
            admittance(load.a(), load.b(), y.re(), y.im());
        } else if (element instanceof Element.Capacitor capacitor) {
            admittance(capacitor.a(), capacitor.b(), 0, 2 * Math.PI * hertz * capacitor.farads());
        } else if (element instanceof Element.FlamePath flame && flame.lit()) {
            admittance(flame.rod(), flame.burner(), 1 / flame.ohms(), 0);
        } else if (element instanceof Element.Transformer transformer && !transformer.open()) {
            transformer(transformer);
        }
    }

    private void stampDirect(Element element, Map<String, Double> flameVolts) {
        if (element instanceof Element.Source source) {
            branch(source.id(), source.plus(), source.minus(), source.ohms(), 0, 0);
        } else if (element instanceof Element.DirectSource source) {
            branch(source.id(), source.plus(), source.minus(), source.ohms(), source.volts(), 0);
        } else if (element instanceof Element.Conductor wire && wire.closed()) {
            branch(wire.id(), wire.a(), wire.b(), wire.ohms(), 0, 0);
        } else if (element instanceof Element.Load load && load.ohms() < Double.POSITIVE_INFINITY) {
            admittance(load.a(), load.b(), 1 / load.ohms(), 0);
        } else if (element instanceof Element.FlamePath flame && flame.lit()) {
            admittance(flame.rod(), flame.burner(), 1 / flame.ohms(), 0);
            double amps = Element.FlamePath.HALF_WAVE_MEAN * flameVolts.getOrDefault(flame.id(), 0.0) / flame.ohms();
            inject(flame.rod(), -amps);
            inject(flame.burner(), amps);
        } else if (element instanceof Element.Transformer transformer && !transformer.open()) {
            admittance(transformer.p1(), transformer.p2(), 1 / transformer.primaryOhms(), 0);
            admittance(transformer.s1(), transformer.s2(), 1 / transformer.ohms(), 0);
        }
    }

    /** Row: v(a) - v(b) - ohms i = volts; the current i enters the element at a. */
    private void branch(String id, String a, String b, double ohms, double volts, double imaginaryVolts) {
        int i = branchOf[circuit.position(id)];
        couple(Known.in(netIndex, a), i, 1);
        couple(Known.in(netIndex, b), i, -1);
        add(i, i, -(ohms + extraOhms), 0);
        rightHandSide[2 * i] = volts;
        rightHandSide[2 * i + 1] = imaginaryVolts;
    }

    /** Row: v(s1) - v(s2) - (v(p1) - v(p2)) / ratio - ohms i = 0; i enters at s1 and leaves p1 divided by the ratio. */
    private void transformer(Element.Transformer t) {
        int i = branchOf[circuit.position(t.id())];
        couple(Known.in(netIndex, t.s1()), i, 1);
        couple(Known.in(netIndex, t.s2()), i, -1);
        couple(Known.in(netIndex, t.p1()), i, -1 / t.ratio());
        couple(Known.in(netIndex, t.p2()), i, 1 / t.ratio());
        add(i, i, -(t.ohms() + extraOhms), 0);
    }

    private void admittance(String a, String b, double re, double im) {
        int i = Known.in(netIndex, a);
        int j = Known.in(netIndex, b);
        add(i, i, re, im);
        add(j, j, re, im);
        add(i, j, -re, -im);
        add(j, i, -re, -im);
    }

    private void inject(String net, double amps) {
        int i = Known.in(netIndex, net);
        if (i >= 0) {
            rightHandSide[2 * i] += amps;
        }
    }

    private void couple(int net, int branch, double weight) {
        add(net, branch, weight, 0);
        add(branch, net, weight, 0);
    }

    private void add(int row, int column, double re, double im) {
        if (row >= 0 && column >= 0) {
            matrix[row][2 * column] += re;
            matrix[row][2 * column + 1] += im;
        }
    }
}
