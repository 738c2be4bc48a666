package bricksignal.server.problem;

import bricksignal.core.words.Message;

/** What was asked for does not exist, or is another person's. */
public final class NotHere extends Spoken {

    private static final long serialVersionUID = 1L;

    public NotHere(String message) {
        super(message);
    }

    public NotHere(Message says) {
        super(says);
    }
}
