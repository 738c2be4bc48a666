package bricksignal.core.circuit.solve;

/**
 * LU factors of a complex matrix with partial pivoting (Golub and Van Loan, Matrix Computations, algorithm 3.4.1). Rows are
 * kept as one array each, real and imaginary parts interleaved; zeros are skipped, which is what makes it quick on circuits.
 */
final class ComplexLu {

    private final double[][] rows;
    private final int[] pivots;
    private final boolean singular;

    private ComplexLu(double[][] rows, int[] pivots, boolean singular) {
        this.rows = rows;
        this.pivots = pivots;
        this.singular = singular;
    }

    /** Factors the matrix in place; the caller gives it away. */
    static ComplexLu factor(double[][] matrix) {
        int n = matrix.length;
        int[] pivots = new int[n];
        for (int k = 0; k < n; k++) {
            int best = pivotRow(matrix, k);
            pivots[k] = best;
            double[] pivot = matrix[best];
            matrix[best] = matrix[k];
            matrix[k] = pivot;
            if (!(square(pivot, k) > 1e-40)) {
                return new ComplexLu(matrix, pivots, true);
            }
            eliminateBelow(matrix, k);
        }
        return new ComplexLu(matrix, pivots, false);
    }

    boolean singular() {
        return singular;
    }

    /** Solves for one right-hand side, interleaved, which is left untouched. */
    double[] solve(double[] rightHandSide) {
        int n = rows.length;
        double[] x = rightHandSide.clone();
        for (int k = 0; k < n; k++) {
            swap(x, k, pivots[k]);
        }
        for (int k = 0; k < n; k++) {
            double re = x[2 * k];
            double im = x[2 * k + 1];
            if (re != 0 || im != 0) {
                for (int i = k + 1; i < n; i++) {
                    subtract(x, i, rows[i][2 * k], rows[i][2 * k + 1], re, im);
                }
            }
        }
        for (int k = n - 1; k >= 0; k--) {
            double[] row = rows[k];
            double re = x[2 * k];
            double im = x[2 * k + 1];
            for (int j = k + 1; j < n; j++) {
                re -= row[2 * j] * x[2 * j] - row[2 * j + 1] * x[2 * j + 1];
                im -= row[2 * j] * x[2 * j + 1] + row[2 * j + 1] * x[2 * j];
            }
            double norm = square(row, k);
            x[2 * k] = (re * row[2 * k] + im * row[2 * k + 1]) / norm;
            x[2 * k + 1] = (im * row[2 * k] - re * row[2 * k + 1]) / norm;
        }
        return x;
    }

    private static int pivotRow(double[][] matrix, int k) {
        int best = k;
        double largest = square(matrix[k], k);
        for (int i = k + 1; i < matrix.length; i++) {
            double size = square(matrix[i], k);
            if (size > largest) {
                largest = size;
                best = i;
            }
        }
        return best;
    }

    /** Multipliers are stored where they eliminate; later swaps carry them along, so solve permutes first. */
    private static void eliminateBelow(double[][] matrix, int k) {
        double[] pivot = matrix[k];
        int n = matrix.length;
        double pr = pivot[2 * k];
        double pi = pivot[2 * k + 1];
        double norm = pr * pr + pi * pi;
        int[] columns = new int[n - k - 1];
        int count = 0;
        for (int j = k + 1; j < n; j++) {
            if (pivot[2 * j] != 0 || pivot[2 * j + 1] != 0) {
                columns[count++] = j;
            }
        }
        for (int i = k + 1; i < n; i++) {
            double[] row = matrix[i];
            double re = row[2 * k];
            double im = row[2 * k + 1];
            if (re == 0 && im == 0) {
                continue;
            }
            double fr = (re * pr + im * pi) / norm;
            double fi = (im * pr - re * pi) / norm;
            row[2 * k] = fr;
            row[2 * k + 1] = fi;
            for (int c = 0; c < count; c++) {
                int j = columns[c];
                row[2 * j] -= fr * pivot[2 * j] - fi * pivot[2 * j + 1];
                row[2 * j + 1] -= fr * pivot[2 * j + 1] + fi * pivot[2 * j];
            }
        }
    }

    private static void subtract(double[] x, int i, double fr, double fi, double re, double im) {
        x[2 * i] -= fr * re - fi * im;
        x[2 * i + 1] -= fr * im + fi * re;
    }

    private static void swap(double[] x, int i, int j) {
        double re = x[2 * i];
        double im = x[2 * i + 1];
        x[2 * i] = x[2 * j];
        x[2 * i + 1] = x[2 * j + 1];
        x[2 * j] = re;
        x[2 * j + 1] = im;
    }

    private static double square(double[] row, int k) {
        return row[2 * k] * row[2 * k] + row[2 * k + 1] * row[2 * k + 1];
    }
}
