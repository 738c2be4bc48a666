package bricksignal.server.problem;

import bricksignal.core.words.Message;

/** Somebody wants to change what the company's rule leaves to others. */
public class NotTheirs extends Spoken {

    private static final long serialVersionUID = 1L;

    public NotTheirs(String message) {
        super(message);
    }

    public NotTheirs(Message says) {
        super(says);
    }
}
