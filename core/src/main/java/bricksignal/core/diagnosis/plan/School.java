package bricksignal.core.diagnosis.plan;

/** How much must stand in the log before a part is condemned: two schools of the trade, set by company policy. */
public enum School {

    /**
     * What the trade usually asks of a board: told everything (no cause that lacks it is alive any more), sends nothing at its moment,
     * its plug wiggled, the load not shorted or run directly.
     */
    USUAL,

    /** Everything measured: supply and each input at the board's own pins, every plug on the way, and every rival told away. */
    STRICT
}
