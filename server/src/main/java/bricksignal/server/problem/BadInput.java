package bricksignal.server.problem;

/** Something that was sent cannot be used: what, the value, and what to do. */
public final class BadInput extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;

    public BadInput(String field, String message) {
        super(message);
        this.field = field;
    }

    /** The field of the request that the message stands beside. */
    public String field() {
        return field;
    }
}
