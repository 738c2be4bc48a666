package bricksignal.server.problem;

import java.sql.SQLException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientException;

/** Tells whether something failed because the database is away, whatever it is wrapped in. */
final class DatabaseAway {

    static final String MESSAGE = "The database is away. Nothing is lost: what you entered stays on this screen and is "
            + "sent again.";

    private static final int DEEPEST = 20;

    private DatabaseAway() {
    }

    /**
     * True if the connection was refused, lost or cut: SQL states of class 08 (connection), 57P (shut down, starting up), 53
     * (no room), none at all (the pool's own word that a connection is closed), and whatever the driver calls transient or
     * recoverable.
     */
    static boolean is(Throwable failure) {
        Throwable at = failure;
        for (int i = 0; at != null && i < DEEPEST; i++) {
            if (at instanceof SQLTransientException || at instanceof SQLRecoverableException
                    || at instanceof SQLException sql && away(sql.getSQLState())
                    || at.getClass().getName().equals("org.hibernate.exception.JDBCConnectionException")) {
                return true;
            }
            at = at.getCause();
        }
        return false;
    }

    private static boolean away(@org.jspecify.annotations.Nullable String state) {
        return state == null || state.startsWith("08") || state.startsWith("57P") || state.startsWith("53");
    }
}
