package bricksignal.core.unit;

import bricksignal.core.board.Expr;
import org.jspecify.annotations.Nullable;

/**
 * An instant of a run at which something is measured or watched.
 *
 * @param id its name
 * @param label as told to a person
 * @param scenario the run
 * @param during the stretch of the nominal run it lies in, or null where {@code offset} is the time itself
 * @param offset seconds after the start of that stretch, or of the run
 * @param span seconds that a person may come along in; a check is then true for its share of that time; 0 for an instant
 * @param role what it is for
 */
public record Moment(String id, String label, String scenario, @Nullable Expr during, double offset, double span,
        Role role) {

    /** What a moment is for. */
    public enum Role {
        /** The unit as somebody finds it. */
        AS_FOUND,
        /** The call has ended and the unit has come to rest. */
        AFTER_CALL,
        /** Power off and proven off. */
        POWER_OFF,
        /** Any other. */
        OTHER
    }

    public Moment {
        if (!(offset >= 0) || !(span >= 0)) {
            throw new IllegalArgumentException("moment '" + id + "': offset is " + offset + " s and span " + span
                    + " s; both must be at least 0");
        }
    }
}
