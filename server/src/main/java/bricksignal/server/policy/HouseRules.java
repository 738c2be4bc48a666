package bricksignal.server.policy;

import java.time.ZoneId;

/**
 * Rules of the house that no computation needs.
 *
 * @param zone where the company's day begins and ends
 * @param changers who may change what somebody else made
 */
public record HouseRules(ZoneId zone, Changers changers) {

    /** Who may change a unit that somebody else made, its board, and what was typed in of a board. The lead always may. */
    public enum Changers {
        /** Everybody. */
        EVERYBODY,
        /** Whoever made it, and for a unit whoever has an open visit to it. */
        AT_WORK,
        /** The lead alone. */
        LEAD
    }
}
