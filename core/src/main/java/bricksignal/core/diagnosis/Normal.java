package bricksignal.core.diagnosis;

/** The normal distribution. */
final class Normal {

    private static final double P = 0.3275911;
    private static final double[] A = {0.254829592, -0.284496736, 1.421413741, -1.453152027, 1.061405429};

    private Normal() {
    }

    /**
     * The probability that a standard normal variable is at most this.
     *
     * @param z any number of standard deviations
     * @return 0 to 1, within 1e-7: Abramowitz and Stegun, Handbook of Mathematical Functions (1964), 7.1.26
     */
    static double below(double z) {
        double x = Math.abs(z) / Math.sqrt(2);
        double t = 1 / (1 + P * x);
        double tail = ((((A[4] * t + A[3]) * t + A[2]) * t + A[1]) * t + A[0]) * t * Math.exp(-x * x) / 2;
        return z < 0 ? tail : 1 - tail;
    }
}
