package bricksignal.core.board;

/** What an expression can ask of a unit at one instant. Truth is 1, falsehood 0. */
public interface Env {

    /**
     * The value of a name now.
     *
     * @throws IllegalArgumentException if the name is unknown
     */
    double value(String name);

    /** The same of a name that was read once: quicker where many are asked for. */
    default double value(Expr.Name name) {
        return value(name.name());
    }

    /** Seconds from now until the named value passes the target; infinite if it never does or stands still. */
    double secondsUntil(String name, double target);
}
