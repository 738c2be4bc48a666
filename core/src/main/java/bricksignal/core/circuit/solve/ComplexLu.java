package bricksignal.core.circuit.solve;

/**
 * LU factors of a complex matrix (Golub and Van Loan, Matrix Computations, algorithm 3.4.1), ordered for circuits, whose
 * matrices are nearly empty: the column with the fewest entries is eliminated next, by the emptiest row whose entry is large
 * enough (Markowitz, The elimination form of the inverse, 1957, with threshold pivoting). Rows are kept as one array each, real
 * and imaginary parts interleaved; where their entries lie is kept in bit sets, so that nothing is searched for among zeros.
 */
final class ComplexLu {

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
    private final int[] rowOf;
    private final int[] columnOf;
    private final int[][] pivotColumns;
    private final int[][] eliminated;
    private boolean singular;

    private ComplexLu(double[][] matrix) {
        this.rows = matrix;
        this.n = matrix.length;
        this.entriesOfRow = new long[n][(n + 63) / 64];
        this.entriesOfColumn = new long[n][(n + 63) / 64];
        this.open = new int[n];
        this.inRow = new int[n];
        this.inColumn = new int[n];
        this.rowOf = new int[n];
        this.columnOf = new int[n];
        this.pivotColumns = new int[n][];
        this.eliminated = new int[n][];
        for (int i = 0; i < n; i++) {
            open[i] = i;
        }
    }

    /** Factors the matrix in place; the caller gives it away. */
    static ComplexLu factor(double[][] matrix) {
        ComplexLu lu = new ComplexLu(matrix);
        lu.findEntries();
        for (int k = 0; k < lu.n && !lu.singular; k++) {
            lu.step(k);
        }
        return lu;
    }

    boolean singular() {
        return singular;
    }

    /** Solves for one right-hand side, interleaved, which is left untouched. */
    double[] solve(double[] rightHandSide) {
        double[] y = rightHandSide.clone();
        for (int k = 0; k < n; k++) {
            double re = y[2 * rowOf[k]];
            double im = y[2 * rowOf[k] + 1];
            if (re != 0 || im != 0) {
                for (int i : eliminated[k]) {
                    double fr = rows[i][2 * columnOf[k]];
                    double fi = rows[i][2 * columnOf[k] + 1];
                    y[2 * i] -= fr * re - fi * im;
                    y[2 * i + 1] -= fr * im + fi * re;
                }
            }
        }
        double[] x = new double[2 * n];
        for (int k = n - 1; k >= 0; k--) {
            double[] row = rows[rowOf[k]];
            double re = y[2 * rowOf[k]];
            double im = y[2 * rowOf[k] + 1];
            for (int j : pivotColumns[k]) {
                re -= row[2 * j] * x[2 * j] - row[2 * j + 1] * x[2 * j + 1];
                im -= row[2 * j] * x[2 * j + 1] + row[2 * j + 1] * x[2 * j];
            }
            int j = columnOf[k];
            double norm = square(row, j);
            x[2 * j] = (re * row[2 * j] + im * row[2 * j + 1]) / norm;
            x[2 * j + 1] = (im * row[2 * j] - re * row[2 * j + 1]) / norm;
        }
        return x;
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

    private void step(int k) {
        int column = takeEmptiestColumn(n - k);
        int row = pivotRow(members(entriesOfColumn[column], inColumn[column]), column);
        if (row < 0) {
            singular = true;
            return;
        }
        rowOf[k] = row;
        columnOf[k] = column;
        clear(entriesOfRow[row], column);
        pivotColumns[k] = members(entriesOfRow[row], inRow[row] - 1);
        for (int j : pivotColumns[k]) {
            clear(entriesOfColumn[j], row);
            inColumn[j]--;
        }
        clear(entriesOfColumn[column], row);
        eliminated[k] = members(entriesOfColumn[column], inColumn[column] - 1);
        for (int i : eliminated[k]) {
            eliminate(i, rows[row], column, pivotColumns[k]);
        }
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

    /** The multiplier is stored where it eliminates. */
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
