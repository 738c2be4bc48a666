package bricksignal.core.tuning;

import bricksignal.core.words.Message;

/** A number or an option that a calculator cannot take. */
public final class Misfit extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final String input;
    private final transient Message label;

    /**
     * A misfit.
     *
     * @param input which it is, by id
     * @param why the value and what it must be
     */
    Misfit(String input, String why) {
        this(input, why, Message.NOTHING);
    }

    private Misfit(String input, String why, Message label) {
        super(why);
        this.input = input;
        this.label = label;
    }

    /** The same with the input as people call it. */
    Misfit called(Message name) {
        return new Misfit(input, String.valueOf(getMessage()), name);
    }

    public String input() {
        return input;
    }

    /** The input as people call it. */
    public Message label() {
        return label;
    }
}
