package bricksignal.server.problem;

import bricksignal.core.words.Message;

/** What was asked for does not go with how things stand. */
public final class Conflict extends Spoken {

    private static final long serialVersionUID = 1L;

    public Conflict(String message) {
        super(message);
    }

    public Conflict(Message says) {
        super(says);
    }
}
