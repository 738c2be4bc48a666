package bricksignal.core.circuit.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sparse factorisation against the equations it solves, and against a dense elimination written here. */
class ComplexLuTest {

    /** Nearly empty, as circuits are: some entries a row, values over twelve powers of ten. */
    private static double[][] sparse(int n, Random random) {
        double[][] matrix = new double[n][2 * n];
        for (int i = 0; i < n; i++) {
            set(matrix, i, (i * 7 + 3) % n == i ? i : (i + 1) % n, random);
            set(matrix, i, i, random);
            for (int k = 0; k < 3; k++) {
                set(matrix, i, random.nextInt(n), random);
            }
        }
        return matrix;
    }

    private static void set(double[][] matrix, int i, int j, Random random) {
        double size = Math.pow(10, random.nextInt(7) - 3);
        matrix[i][2 * j] = size * random.nextGaussian();
        matrix[i][2 * j + 1] = random.nextBoolean() ? 0 : size * random.nextGaussian();
    }

    private static double[][] copy(double[][] matrix) {
        double[][] copy = new double[matrix.length][];
        for (int i = 0; i < copy.length; i++) {
            copy[i] = matrix[i].clone();
        }
        return copy;
    }

    /** Gaussian elimination with full row pivoting on a dense copy (Golub and Van Loan, algorithm 3.4.1). */
    private static double[] dense(double[][] matrix, double[] rhs) {
        int n = matrix.length;
        Phasor[][] a = new Phasor[n][n + 1];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                a[i][j] = new Phasor(matrix[i][2 * j], matrix[i][2 * j + 1]);
            }
            a[i][n] = new Phasor(rhs[2 * i], rhs[2 * i + 1]);
        }
        for (int k = 0; k < n; k++) {
            int p = k;
            for (int i = k; i < n; i++) {
                p = a[i][k].magnitude() > a[p][k].magnitude() ? i : p;
            }
            Phasor[] row = a[k];
            a[k] = a[p];
            a[p] = row;
            for (int i = k + 1; i < n; i++) {
                Phasor factor = a[i][k].over(a[k][k]);
                for (int j = k; j <= n; j++) {
                    a[i][j] = a[i][j].minus(factor.times(a[k][j]));
                }
            }
        }
        Phasor[] x = new Phasor[n];
        for (int k = n - 1; k >= 0; k--) {
            Phasor sum = a[k][n];
            for (int j = k + 1; j < n; j++) {
                sum = sum.minus(a[k][j].times(x[j]));
            }
            x[k] = sum.over(a[k][k]);
        }
        double[] flat = new double[2 * n];
        for (int k = 0; k < n; k++) {
            flat[2 * k] = x[k].re();
            flat[2 * k + 1] = x[k].im();
        }
        return flat;
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "2, 2", "5, 3", "17, 4", "40, 5", "63, 6", "64, 7", "65, 8", "90, 9", "130, 10"})
    void solvesWhatADenseEliminationSolves(int n, long seed) {
        Random random = new Random(seed);
        for (int run = 0; run < 20; run++) {
            double[][] matrix = sparse(n, random);
            double[] rhs = new double[2 * n];
            for (int i = 0; i < rhs.length; i++) {
                rhs[i] = random.nextGaussian();
            }
            ComplexLu lu = ComplexLu.factor(copy(matrix));
            if (lu.singular()) {
                continue;
            }
            double[] untouched = rhs.clone();
            double[] x = lu.solve(rhs);
            double[] reference = dense(matrix, rhs);
            double size = 0;
            for (double value : reference) {
                size = Math.max(size, Math.abs(value));
            }
            for (int i = 0; i < x.length; i++) {
                assertThat(x[i]).isCloseTo(reference[i], within(1e-6 * size + 1e-9));
            }
            assertThat(rhs).isEqualTo(untouched);
        }
    }

    @Test
    void singularMatrixIsSaidToBe() {
        assertThat(ComplexLu.factor(new double[][] {{1, 0, 2, 0}, {2, 0, 4, 0}}).singular()).isTrue();
        assertThat(ComplexLu.factor(new double[][] {{0, 0, 1, 0}, {0, 0, 2, 0}}).singular()).isTrue();
        assertThat(ComplexLu.factor(new double[][] {{0, 0, 1, 0}, {1, 0, 0, 0}}).singular()).isFalse();
        assertThat(ComplexLu.factor(new double[0][]).singular()).isFalse();
    }

    @Test
    void smallPivotsAreNotTakenForTheirEmptyRow() {
        // the emptiest row of column 0 holds 1e-12 there; taking it would lose the second equation
        double[] x = ComplexLu.factor(new double[][] {{1e-12, 0, 1, 0}, {1, 0, 1, 0}}).solve(new double[] {1, 0, 2, 0});
        assertThat(x[0]).isCloseTo(1, within(1e-9));
        assertThat(x[2]).isCloseTo(1, within(1e-9));
    }
}
