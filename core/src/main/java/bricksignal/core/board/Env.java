package bricksignal.core.board;

/** What an expression can ask of a unit at one instant. Truth is 1, falsehood 0. */
public interface Env {

    /**
     * The value of a name now.
     *
     * @throws IllegalArgumentException if the name is unknown
     */
    double value(Expr.Name name);

    /** The same of a name as it is written. */
    default double value(String name) {
        return value(Expr.Name.of(name));
    }

    /** Seconds from now until the named value passes the target; infinite if it never does or stands still. */
    double secondsUntil(Expr.Name name, double target);
}
