package bricksignal.core.circuit.solve;

import bricksignal.core.circuit.Circuit;

/** One solved analysis: voltages of nets, currents of branches, and the impedance between two nets. */
final class Analysis {

    private final Circuit circuit;
    private final int[] branchOf;
    private final ComplexLu factors;
    private final double[] solution;
    private final boolean regularised;

    Analysis(Circuit circuit, int[] branchOf, ComplexLu factors, double[] rightHandSide, boolean regularised) {
        this.circuit = circuit;
        this.branchOf = branchOf;
        this.factors = factors;
        this.solution = factors.singular() ? rightHandSide : factors.solve(rightHandSide);
        this.regularised = regularised;
    }

    boolean singular() {
        return factors.singular();
    }

    boolean regularised() {
        return regularised;
    }

    Phasor volts(String net) {
        return at(solution, index(net));
    }

    /** Current of a branch, entering at its first net (a transformer: at s1); zero for what is open. */
    Phasor branchAmps(String id) {
        return at(solution, branchOf[circuit.position(id)]);
    }

    /** Impedance seen between two nets with all sources at zero (Thevenin). */
    Phasor impedance(String a, String b) {
        double[] unit = new double[solution.length];
        int i = index(a);
        int j = index(b);
        if (i >= 0) {
            unit[2 * i] += 1;
        }
        if (j >= 0) {
            unit[2 * j] -= 1;
        }
        double[] x = factors.solve(unit);
        return at(x, i).minus(at(x, j));
    }

    private int index(String net) {
        Integer i = circuit.netNumbers().get(net);
        if (i == null) {
            throw new IllegalArgumentException("no net '" + net + "' in the circuit");
        }
        return i;
    }

    private static Phasor at(double[] x, int i) {
        return i < 0 ? Phasor.ZERO : new Phasor(x[2 * i], x[2 * i + 1]);
    }
}
