package bricksignal.server.problem;

import java.io.IOException;

/** A body that is larger than is read at its address. */
final class TooLarge extends IOException {

    private static final long serialVersionUID = 1L;

    TooLarge(long most) {
        super(message(most));
    }

    static String message(long most) {
        return "What was sent is too large: at most " + most / 1024 + " kB are read here. Send less.";
    }
}
