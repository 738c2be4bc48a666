package bricksignal.casework.entry;

import bricksignal.core.words.Message;
import bricksignal.core.words.Unfit;
import java.util.function.Supplier;

/** An entry that makes no sense for the unit, or that the rules of the job do not let pass. */
public final class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final transient Message says;

    /**
     * Refuses.
     *
     * @param field what of the entry it is about; empty for the whole
     * @param says what is wrong, the value, and what to do
     */
    public Refused(String field, Message says) {
        super(field + ": " + says);
        this.field = field;
        this.says = says;
    }

    /** Does something; what a part of the model refuses is told beside a field. */
    public static <T> T beside(String field, Supplier<T> action) {
        try {
            return action.get();
        } catch (Unfit unfit) {
            throw new Refused(field, unfit.says());
        } catch (IllegalArgumentException refused) {
            throw new Refused(field, Message.of("entry.refused", Message.said(String.valueOf(refused.getMessage()))));
        }
    }

    public String field() {
        return field;
    }

    public Message says() {
        return says;
    }
}
