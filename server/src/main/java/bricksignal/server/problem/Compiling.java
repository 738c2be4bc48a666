package bricksignal.server.problem;

/** The unit is being made ready; somebody else may have asked for it first. */
public final class Compiling extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final double progress;

    public Compiling(double progress) {
        super("being made ready, " + Math.round(100 * progress) + " %");
        this.progress = progress;
    }

    /** Which share of the work is done, 0 to 1. */
    public double progress() {
        return progress;
    }
}
