package bricksignal.core.unit;

import bricksignal.core.circuit.solve.MeterMode;
import java.util.List;

/**
 * A place that a probe can touch.
 *
 * @param net the net of the circuit, also the point's name
 * @param label what stands on the board or the part
 * @param where where to find it
 * @param colour conductor colour as the pack names it, or empty
 * @param seconds to reach it, at least 0
 * @param against the net that a voltage here is usually measured against
 * @param mode how a voltage here is measured
 * @param moments the moments at which a voltage here is worth proposing
 * @param side what it belongs to, as drawn: line, supply, board, chain, load, wall
 * @param tolerance relative spread of a voltage here in good order, one sigma; 0 takes that of the meter and the supply
 */
public record Point(String net, String label, String where, String colour, double seconds, String against,
        MeterMode mode, List<String> moments, String side, double tolerance) {

    public Point {
        moments = List.copyOf(moments);
        if (!(seconds >= 0) || !(tolerance >= 0)) {
            throw new IllegalArgumentException("point '" + net + "': seconds is " + seconds + " and tolerance " + tolerance
                    + "; both must be at least 0");
        }
    }
}
