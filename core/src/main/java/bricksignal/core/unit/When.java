package bricksignal.core.unit;

/** When something was so, and how sure it is that what is the matter now was the matter then (from memory). */
public enum When {
    /** On this visit, before the power was cycled. */
    BEFORE_RESET(0.97),
    /** In the same spell of trouble. */
    LAST_NIGHT(0.9),
    /** On a visit some days or weeks ago. */
    EARLIER_VISIT(0.6);

    private final double there;

    When(double there) {
        this.there = there;
    }

    /** Probability that a lasting fault of now was there then, 0 to 1. */
    public double there() {
        return there;
    }
}
