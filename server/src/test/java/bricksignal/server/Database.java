package bricksignal.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;

/** Straight into the tests' own database: what an earlier version or a broken one left there. */
final class Database {

    private final Cluster cluster;

    Database(Cluster cluster) {
        this.cluster = cluster;
    }

    /** Changes something. */
    void run(String sql, Object... values) {
        try (Connection connection = DriverManager.getConnection(cluster.url(), "brick", cluster.password());
                PreparedStatement statement = statement(connection, sql, values)) {
            statement.executeUpdate();
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The first column of what is there. */
    List<String> column(String sql, Object... values) {
        try (Connection connection = DriverManager.getConnection(cluster.url(), "brick", cluster.password());
                PreparedStatement statement = statement(connection, sql, values); ResultSet rows = statement.executeQuery()) {
            List<String> column = new ArrayList<>();
            while (rows.next()) {
                column.add(rows.getString(1));
            }
            return column;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static PreparedStatement statement(Connection connection, String sql, Object[] values) throws SQLException {
        PreparedStatement statement = connection.prepareStatement(sql);
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
        return statement;
    }
}
