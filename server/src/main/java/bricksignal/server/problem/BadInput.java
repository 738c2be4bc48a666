package bricksignal.server.problem;

import bricksignal.core.words.Message;

/** Something that was sent cannot be used: what, the value, and what to do. */
public final class BadInput extends Spoken {

    private static final long serialVersionUID = 1L;

    private final String field;

    public BadInput(String field, String message) {
        super(message);
        this.field = field;
    }

    public BadInput(String field, Message says) {
        super(says);
        this.field = field;
    }

    /** The field of the request that the message stands beside. */
    public String field() {
        return field;
    }
}
