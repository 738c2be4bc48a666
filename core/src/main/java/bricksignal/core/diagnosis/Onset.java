package bricksignal.core.diagnosis;

/**
 * When something that comes with running comes: a logarithmic normal about what the pack says, wide, since heat, weather and people make it, and now and then at
 * any time. Spreads are from memory.
 */
final class Onset {

    /** Of the logarithm: two in three come within a third and three times what the pack says. */
    private static final double SIGMA = 1;
    /** Of those that have an onset so many trip at any time all the same. */
    private static final double AT_RANDOM = 0.3;

    private Onset() {
    }

    /**
     * The density of coming after some minutes of running, per minute.
     *
     * @param about minutes by the pack, above 0; otherwise it has no clock
     * @param watched how long anybody watches for it, minutes, above 0
     */
    static double density(double minutes, double about, double watched) {
        if (!(about > 0)) {
            return 1 / watched;
        }
        double z = Math.log(minutes / about) / SIGMA;
        return (1 - AT_RANDOM) * Math.exp(-z * z / 2) / (minutes * SIGMA * Math.sqrt(2 * Math.PI)) + AT_RANDOM / watched;
    }

    /** Probability that its time comes within some minutes of running; 1 for what has no clock. */
    static double within(double minutes, double about) {
        return about > 0 ? (1 - AT_RANDOM) * Normal.below(Math.log(minutes / about) / SIGMA) + AT_RANDOM : 1;
    }
}
