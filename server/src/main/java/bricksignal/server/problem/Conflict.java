package bricksignal.server.problem;

/** What was asked for does not go with how things stand. */
public final class Conflict extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public Conflict(String message) {
        super(message);
    }
}
