package bricksignal.server.problem;

/** Somebody wants to change what the company's rule leaves to others. */
public class NotTheirs extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NotTheirs(String message) {
        super(message);
    }
}
