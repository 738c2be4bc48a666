package bricksignal.core.board;

/** Something a board senses, with hysteresis: it turns on at or above one value and off at or below a lower one. */
public sealed interface Input {

    String id();

    /** The value at or above which the input turns on, in its own unit. */
    double on();

    /** The value at or below which it turns off, below {@link #on()}. */
    double off();

    /** An input by alternating voltage between two nets, volts RMS. */
    record Voltage(String id, String plus, String minus, double on, double off) implements Input {
        public Voltage {
            check(id, on, off);
        }
    }

    /** A flame sense input by direct current through an element, amperes. */
    record FlameCurrent(String id, String element, double on, double off) implements Input {
        public FlameCurrent {
            check(id, on, off);
        }
    }

    private static void check(String id, double on, double off) {
        if (!(on > off)) {
            throw new IllegalArgumentException("input '" + id + "': 'on' is " + on + " and 'off' is " + off
                    + "; 'on' must be above 'off'");
        }
    }
}
