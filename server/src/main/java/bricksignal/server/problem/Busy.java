package bricksignal.server.problem;

/** Too many ask at once; a little later it goes. */
public final class Busy extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public Busy() {
        super("Too many ask at once.");
    }
}
