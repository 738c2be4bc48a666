package bricksignal.core.words;

/** Something that a person gave and that cannot be taken; told to them in the words of a catalogue. */
public class Unfit extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final transient Message says;

    /** What is wrong, the value, and what to do. */
    public Unfit(Message says) {
        super(String.valueOf(says));
        this.says = says;
    }

    /** A sentence of the catalogue. */
    public Unfit(String key, Message... parts) {
        this(Message.of(key, parts));
    }

    /** What is wrong, the value, and what to do. */
    public Message says() {
        return says;
    }
}
