package bricksignal.core.diagnosis.plan;

/**
 * What a test tells, in numbers.
 *
 * @param totals chance of each outcome; 0 where it is negligible
 * @param after expected cost of stopping once the outcome is known
 * @param bits mutual information between test and hypothesis, bits; 0 or more
 */
record Weighing(double[] totals, double after, double bits) {

    /** An outcome that is less likely than this is not gone into. Ours: it changes no expected cost by a cent. */
    static final double NEGLIGIBLE = 1e-4;

    /**
     * Weighs a test.
     *
     * @param chances of each outcome by hypothesis
     * @param outcomes how many there are
     * @param belief of each hypothesis; sums to one
     * @param stop what it costs to stop
     */
    static Weighing of(double[][] chances, int outcomes, double[] belief, Decision.StopCost stop) {
        double[] totals = new double[outcomes];
        double[] weights = new double[belief.length];
        double after = 0;
        double bits = 0;
        for (int k = 0; k < outcomes; k++) {
            double total = 0;
            for (int h = 0; h < weights.length; h++) {
                weights[h] = belief[h] * chances[h][k];
                total += weights[h];
            }
            if (total > NEGLIGIBLE) {
                after += stop.expectedCost(weights, total);
                bits += gain(weights, total, belief);
                totals[k] = total;
            }
        }
        return new Weighing(totals, after, Math.max(0, bits));
    }

    /** This outcome's share of the mutual information. */
    private static double gain(double[] weights, double total, double[] belief) {
        double bits = 0;
        for (int h = 0; h < weights.length; h++) {
            if (weights[h] > 0) {
                bits += weights[h] * Math.log(weights[h] / (total * belief[h])) / Math.log(2);
            }
        }
        return bits;
    }
}
