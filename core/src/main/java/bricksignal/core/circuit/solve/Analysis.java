package bricksignal.core.circuit.solve;

import bricksignal.core.circuit.Circuit;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** One solved analysis: voltages of nets, currents of branches, and the impedance between two nets. */
final class Analysis {

    private final Circuit circuit;
    private final int[] branchOf;
    private final Supplier<ComplexLu> factoring;
    private @Nullable ComplexLu factors;
    private final double[] solution;
    private final boolean regularised;
    private final boolean singular;
    private volatile boolean brief;

    /**
     * Solves.
     *
     * @param made the factors of the matrix
     * @param factoring makes them again where they were let go and are needed
     */
    Analysis(Circuit circuit, int[] branchOf, ComplexLu made, Supplier<ComplexLu> factoring, double[] rightHandSide, boolean regularised) {
        this.circuit = circuit;
        this.branchOf = branchOf;
        this.factoring = factoring;
        this.factors = made;
        this.singular = made.singular();
        this.solution = singular ? rightHandSide : made.solve(rightHandSide);
        this.regularised = regularised;
    }

    boolean singular() {
        return singular;
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
        double[] x = factors().solve(unit);
        return at(x, i).minus(at(x, j));
    }

    /** Lets the factors go: voltages and currents stay, each impedance takes a factorisation anew and leaves nothing behind. */
    void letGo() {
        brief = true;
        factors = null;
    }

    private ComplexLu factors() {
        ComplexLu known = factors;
        if (known == null) {
            known = factoring.get();
            factors = brief ? null : known;
        }
        return known;
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
