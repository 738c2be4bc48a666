package bricksignal.core.circuit.solve;

import org.jspecify.annotations.Nullable;

/**
 * Gaussian elimination ordered for circuits, whose matrices are nearly empty: the column with the fewest entries is eliminated
 * next, by the emptiest row whose entry is large enough (Markowitz, The elimination form of the inverse, 1957, with threshold
 * pivoting). Rows are worked on as one array each, real and imaginary parts interleaved; where their entries lie is kept in bit
 * sets, so that nothing is searched for among zeros.
 */
final class Elimination {

    /** A pivot is at least this share of the largest entry of its column. */
    private static final double THRESHOLD = 0.1;
    private static final double SMALLEST_SQUARE = 1e-40;

    private final double[][] rows;
    private final int n;
    private final long[][] entriesOfRow;
    private final long[][] entriesOfColumn;
    private final int[] open;
    private final int[] inRow;
    private final int[] inColumn;

    /** Works in the matrix itself. */
    Elimination(double[][] matrix) {
        this.rows = matrix;
        this.n = matrix.length;
        this.entriesOfRow = new long[n][(n + 63) / 64];
        this.entriesOfColumn = new long[n][(n + 63) / 64];
        this.open = new int[n];
        this.inRow = new int[n];
        this.inColumn = new int[n];
        for (int i = 0; i < n; i++) {
            open[i] = i;
        }
    }

    /** The factors; the last step is null if the matrix is singular. */
    ComplexLu run() {
        findEntries();
        ComplexLu.Step[] steps = new ComplexLu.Step[n];
        for (int k = 0; k < n; k++) {
            steps[k] = step(n - k);
            if (steps[k] == null) {
                break;
            }
        }
        return new ComplexLu(steps);
    }

    private void findEntries() {
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                if (rows[i][2 * j] != 0 || rows[i][2 * j + 1] != 0) {
                    addEntry(i, j);
                }
            }
        }
    }

    private void addEntry(int row, int column) {
        entriesOfRow[row][column >> 6] |= 1L << column;
        entriesOfColumn[column][row >> 6] |= 1L << row;
        inRow[row]++;
        inColumn[column]++;
    }

    /** One step; null where the column has no pivot. */
    private ComplexLu.@Nullable Step step(int count) {
        int column = takeEmptiestColumn(count);
        int row = pivotRow(members(entriesOfColumn[column], inColumn[column]), column);
        if (row < 0) {
            return null;
        }
        clear(entriesOfRow[row], column);
        int[] beside = members(entriesOfRow[row], inRow[row] - 1);
        for (int j : beside) {
            clear(entriesOfColumn[j], row);
            inColumn[j]--;
        }
        clear(entriesOfColumn[column], row);
        int[] below = members(entriesOfColumn[column], inColumn[column] - 1);
        double[] multipliers = new double[2 * below.length];
        for (int k = 0; k < below.length; k++) {
            eliminate(below[k], rows[row], column, beside);
            multipliers[2 * k] = rows[below[k]][2 * column];
            multipliers[2 * k + 1] = rows[below[k]][2 * column + 1];
        }
        double[] values = new double[2 * beside.length];
        for (int k = 0; k < beside.length; k++) {
            values[2 * k] = rows[row][2 * beside[k]];
            values[2 * k + 1] = rows[row][2 * beside[k] + 1];
        }
        return new ComplexLu.Step(row, column, new double[] {rows[row][2 * column], rows[row][2 * column + 1]}, below,
                multipliers, beside, values);
    }

    private int takeEmptiestColumn(int count) {
        int best = 0;
        for (int c = 1; c < count; c++) {
            best = inColumn[open[c]] < inColumn[open[best]] ? c : best;
        }
        int column = open[best];
        open[best] = open[count - 1];
        return column;
    }

    /** The emptiest row with a large enough entry in the column; -1 where every entry is zero. */
    private int pivotRow(int[] candidates, int column) {
        double largest = 0;
        for (int i : candidates) {
            largest = Math.max(largest, square(rows[i], column));
        }
        int best = -1;
        for (int i : candidates) {
            boolean large = largest > SMALLEST_SQUARE && square(rows[i], column) >= THRESHOLD * THRESHOLD * largest;
            best = large && (best < 0 || inRow[i] < inRow[best]) ? i : best;
        }
        return best;
    }

    private static int[] members(long[] bits, int count) {
        int[] members = new int[count];
        int found = 0;
        for (int word = 0; word < bits.length; word++) {
            for (long left = bits[word]; left != 0; left &= left - 1) {
                members[found++] = (word << 6) + Long.numberOfTrailingZeros(left);
            }
        }
        return members;
    }

    private static void clear(long[] bits, int at) {
        bits[at >> 6] &= ~(1L << at);
    }

    /** The multiplier is left where it eliminates. */
    private void eliminate(int i, double[] pivot, int column, int[] columns) {
        double[] row = rows[i];
        double norm = square(pivot, column);
        double fr = (row[2 * column] * pivot[2 * column] + row[2 * column + 1] * pivot[2 * column + 1]) / norm;
        double fi = (row[2 * column + 1] * pivot[2 * column] - row[2 * column] * pivot[2 * column + 1]) / norm;
        row[2 * column] = fr;
        row[2 * column + 1] = fi;
        clear(entriesOfRow[i], column);
        inRow[i]--;
        for (int j : columns) {
            if ((entriesOfRow[i][j >> 6] & 1L << j) == 0) {
                addEntry(i, j);
            }
            row[2 * j] -= fr * pivot[2 * j] - fi * pivot[2 * j + 1];
            row[2 * j + 1] -= fr * pivot[2 * j + 1] + fi * pivot[2 * j];
        }
    }

    private static double square(double[] row, int j) {
        return row[2 * j] * row[2 * j] + row[2 * j + 1] * row[2 * j + 1];
    }
}
