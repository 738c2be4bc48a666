package bricksignal.core.tuning;

/** From where to where a number may be; both ends belong to it. */
public record Bounds(double least, double most) {

    public Bounds {
        if (!(least <= most)) {
            throw new IllegalArgumentException("from " + least + " to " + most + " is no range");
        }
    }

    /** True for a number within. */
    boolean hold(double value) {
        return value >= least && value <= most;
    }
}
