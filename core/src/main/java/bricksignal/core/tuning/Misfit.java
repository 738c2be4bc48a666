package bricksignal.core.tuning;

import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;

/** A number or an option that a calculator cannot take. */
public final class Misfit extends Unfit {

    private static final long serialVersionUID = 1;

    private final String input;
    private final transient Message why;

    /**
     * A misfit.
     *
     * @param input which it is, by id
     * @param why what is the matter with it, {@code tuning.misfit.WHY}
     * @param parts the value and what it must be
     */
    Misfit(String input, String why, Message... parts) {
        this(input, Message.of("tuning.misfit." + why, parts), Message.NOTHING);
    }

    private Misfit(String input, Message why, Message label) {
        super(Message.of("tuning.misfit", label, why));
        this.input = input;
        this.why = why;
    }

    /** The same with the input as people call it. */
    Misfit called(Message name) {
        return new Misfit(input, why, name);
    }

    public String input() {
        return input;
    }

}
