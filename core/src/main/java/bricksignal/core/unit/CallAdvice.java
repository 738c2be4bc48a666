package bricksignal.core.unit;

/**
 * How a call is placed on this board, and what must come out again.
 *
 * @param label what is put in, such as a jumper from R to W at the board
 * @param from net of one end of the jumper, or empty where there is none
 * @param to net of the other end, or empty
 * @param order power or call first
 * @param why why in this order
 * @param hold what must be held meanwhile, such as the door switch, or empty
 */
public record CallAdvice(String label, String from, String to, Order order, String why, String hold) {

    /** What comes first. */
    public enum Order { POWER_THEN_CALL, CALL_THEN_POWER }
}
