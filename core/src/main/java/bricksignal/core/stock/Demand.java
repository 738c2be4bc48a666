package bricksignal.core.stock;

/**
 * How often a part is wanted, as far as is known: the rate has a gamma law, and the number wanted over some weeks a negative binomial
 * one. Gamma and Poisson are conjugate (Gelman and others, Bayesian Data Analysis, section 2.6).
 *
 * @param wanted how many times it was wanted, what the prior is worth counted; above 0
 * @param weeks over how many weeks, above 0
 */
public record Demand(double wanted, double weeks) {

    public Demand {
        if (!(wanted > 0) || !(weeks > 0) || Double.isInfinite(wanted) || Double.isInfinite(weeks)) {
            throw new IllegalArgumentException("a demand of " + wanted + " in " + weeks + " weeks; both must be above 0");
        }
    }

    /** The same after it was wanted so many times more in so many weeks, both at least 0. */
    public Demand after(int times, double moreWeeks) {
        if (times < 0 || !(moreWeeks >= 0)) {
            throw new IllegalArgumentException("wanted " + times + " times in " + moreWeeks + " weeks; both must be at least 0");
        }
        return new Demand(wanted + times, weeks + moreWeeks);
    }

    /** How many are expected to be wanted over some weeks. */
    public double expected(double over) {
        return wanted / weeks * over;
    }

    /** Probability that exactly so many are wanted over some weeks, above 0. */
    public double probability(int times, double over) {
        double share = weeks / (weeks + over);
        double probability = Math.pow(share, wanted);
        for (int k = 1; k <= times; k++) {
            probability *= (wanted + k - 1) / k * (1 - share);
        }
        return times < 0 ? 0 : probability;
    }

    /** Probability that at most so many are wanted over some weeks. */
    public double atMost(int times, double over) {
        double sum = 0;
        for (int k = 0; k <= times; k++) {
            sum += probability(k, over);
        }
        return Math.min(1, sum);
    }
}
