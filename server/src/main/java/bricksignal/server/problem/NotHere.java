package bricksignal.server.problem;

/** What was asked for does not exist, or is another person's. */
public final class NotHere extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NotHere(String message) {
        super(message);
    }
}
