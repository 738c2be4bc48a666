package bricksignal.core.board;

import java.util.List;

/**
 * A process value that moves by first-order physics: draft, flame, temperature, airflow. Between two events it approaches
 * its target as {@code target + (now - target) exp(-t / tau)}.
 *
 * @param id its name
 * @param unit as shown
 * @param start value at the start of a run
 * @param moves the first whose condition holds gives target and time constant
 */
public record Quantity(String id, String unit, double start, List<Move> moves) {

    public Quantity {
        moves = List.copyOf(moves);
        if (moves.isEmpty()) {
            throw new IllegalArgumentException("process value '" + id + "' has no move; declare at least one");
        }
    }

    /**
     * Where the value goes.
     *
     * @param when condition
     * @param target what it approaches, in the quantity's unit
     * @param tau time constant, seconds, above 0
     */
    public record Move(Expr when, Expr target, Expr tau) {
    }
}
