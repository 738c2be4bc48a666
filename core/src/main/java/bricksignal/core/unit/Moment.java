package bricksignal.core.unit;

import bricksignal.core.board.Expr;
import org.jspecify.annotations.Nullable;

/**
 * An instant of a run at which something is measured or watched.
 *
 * @param id its name
 * @param label as told to a person
 * @param scenario the run
 * @param during the stretch of the healthy run it lies in, or null where {@code offset} is the time itself
 * @param offset seconds after the start of that stretch, or of the run
 * @param span seconds that a person may come along in; a check is then true for its share of that time; 0 for an instant
 */
public record Moment(String id, String label, String scenario, @Nullable Expr during, double offset, double span) {

    public Moment {
        if (!(offset >= 0) || !(span >= 0)) {
            throw new IllegalArgumentException("moment '" + id + "': offset is " + offset + " s and span " + span
                    + " s; both must be at least 0");
        }
    }
}
