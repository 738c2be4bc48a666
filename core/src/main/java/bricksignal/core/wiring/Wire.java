package bricksignal.core.wiring;

/**
 * One conductor of a wiring list.
 *
 * @param from terminal, as "relay board Y" or "K1 coil A1"
 * @param to terminal
 * @param supply whose conductor it is
 * @param colour of its insulation
 */
public record Wire(String from, String to, Side supply, String colour) {

    /** Whose supply a conductor belongs to. */
    public enum Side {
        BUILDING, UNIT
    }

    /** The same conductor with its far end on another terminal. */
    public Wire landing(String other) {
        return new Wire(from, other, supply, colour);
    }
}
