package bricksignal.core.lamp;

/** What a lamp does of which nothing is known: its intervals are spread evenly over the logarithm from a twentieth of a second to a minute. */
final class AnyLamp {

    private static final double SHORTEST_SECONDS = 0.05;
    private static final double WIDTH = Math.log(Taps.LONGEST_PAUSE_SECONDS / SHORTEST_SECONDS);
    /** It may do anything, so that it stays dark for long is never out of the question. */
    private static final double LEAST = 0.02;
    private static final double LIT_SECONDS = 0.25;

    private AnyLamp() {
    }

    /** Density of an interval between two flashes, a second. */
    static double interval(double seconds) {
        return 1 / (Math.max(seconds, SHORTEST_SECONDS) * WIDTH);
    }

    /** How likely an interval is longer than the seconds that were watched; certain where nobody told how long that was. */
    static double nothingFor(double seconds) {
        return Double.isNaN(seconds) ? 1 : Math.max(LEAST, Math.min(1, Math.log(Taps.LONGEST_PAUSE_SECONDS / Math.max(seconds, SHORTEST_SECONDS)) / WIDTH));
    }

    /** Logarithm of how likely a flash is as long as it was seen. */
    static double logLit(Sighting.Seen flash) {
        return Double.isNaN(flash.litSeconds()) ? 0 : Math.log(PartLikelihood.logNormal(flash.litSeconds(), LIT_SECONDS, 1));
    }
}
