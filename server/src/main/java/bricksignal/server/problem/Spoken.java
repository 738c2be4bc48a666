package bricksignal.server.problem;

import bricksignal.core.words.Message;
import bricksignal.server.words.Words;
import org.jspecify.annotations.Nullable;

/** Something that a person is told: by a message of the catalogue, or in plain English where only a program could have done it. */
abstract class Spoken extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient @Nullable Message says;

    Spoken(String text) {
        super(text);
        this.says = null;
    }

    Spoken(Message says) {
        super(says.toString());
        this.says = says;
    }

    /** As a sentence in the language of the request at hand. */
    String in(Words words) {
        return says == null ? String.valueOf(getMessage()) : words.sentence(says);
    }
}
