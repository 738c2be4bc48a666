package bricksignal.core.board;

import org.jspecify.annotations.Nullable;

/** What moves a conductor or lights a flame. An element without a rule stays as it is declared. */
public sealed interface Rule {

    /** Closed (or lit) exactly while the condition holds: a relay contact, a thermostat, a door switch. */
    record Follows(Expr closed) implements Rule {
    }

    /**
     * Opens and closes at different values: a limit, a pressure switch. Without a way to close it is reset by hand.
     *
     * @param opens opens when this holds
     * @param closes closes when this holds, or null for manual reset
     */
    record Latches(Expr opens, @Nullable Expr closes) implements Rule {
    }
}
