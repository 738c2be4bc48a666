package bricksignal.core.circuit.solve;

/**
 * LU factors of a complex matrix (Golub and Van Loan, Matrix Computations, algorithm 3.4.1) in the order that
 * {@link Elimination} found. Only entries that are not zero are kept, real and imaginary parts interleaved: a unit has
 * thousands of solved states.
 */
final class ComplexLu {

    private final Step[] steps;

    /**
     * One step of the elimination.
     *
     * @param row the pivot's row
     * @param column the pivot's column
     * @param pivot its value, real and imaginary part
     * @param below rows from which a multiple of the pivot's row was taken
     * @param multipliers how much
     * @param beside columns of the other entries of the pivot's row
     * @param values those entries
     */
    record Step(int row, int column, double[] pivot, int[] below, double[] multipliers, int[] beside, double[] values) {
    }

    ComplexLu(Step[] steps) {
        this.steps = steps;
    }

    /** Factors the matrix; the caller gives it away. */
    static ComplexLu factor(double[][] matrix) {
        return new Elimination(matrix).run();
    }

    /** True if some column had no pivot; such factors solve nothing. */
    boolean singular() {
        return steps.length > 0 && steps[steps.length - 1] == null;
    }

    /** Solves for one right-hand side, interleaved, which is left untouched. */
    double[] solve(double[] rightHandSide) {
        double[] y = rightHandSide.clone();
        for (Step step : steps) {
            double re = y[2 * step.row];
            double im = y[2 * step.row + 1];
            if (re != 0 || im != 0) {
                for (int k = 0; k < step.below.length; k++) {
                    double fr = step.multipliers[2 * k];
                    double fi = step.multipliers[2 * k + 1];
                    y[2 * step.below[k]] -= fr * re - fi * im;
                    y[2 * step.below[k] + 1] -= fr * im + fi * re;
                }
            }
        }
        double[] x = new double[y.length];
        for (int s = steps.length - 1; s >= 0; s--) {
            back(steps[s], y, x);
        }
        return x;
    }

    private static void back(Step step, double[] y, double[] x) {
        double re = y[2 * step.row];
        double im = y[2 * step.row + 1];
        for (int k = 0; k < step.beside.length; k++) {
            int j = step.beside[k];
            re -= step.values[2 * k] * x[2 * j] - step.values[2 * k + 1] * x[2 * j + 1];
            im -= step.values[2 * k] * x[2 * j + 1] + step.values[2 * k + 1] * x[2 * j];
        }
        double pr = step.pivot[0];
        double pi = step.pivot[1];
        double norm = pr * pr + pi * pi;
        x[2 * step.column] = (re * pr + im * pi) / norm;
        x[2 * step.column + 1] = (im * pr - re * pi) / norm;
    }
}
