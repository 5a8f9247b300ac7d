package yellowrail.web.live;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.List;
import java.util.Properties;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.springframework.stereotype.Component;

/** Hears what the database tells of changes ({@code LISTEN}), on a connection of its own that no request waits for. */
@Component
class Ear {

    private static final String LISTEN = "LISTEN changed";
    private static final int LONGEST_SILENCE_MILLIS = 1000;

    private final DataSource database;
    private Connection connection;

    /**
     * Something was stored.
     *
     * @param ofAmp whether of an amp, and not of a run
     * @param id of either
     * @param transaction the number of the one that stored it
     */
    record Change(boolean ofAmp, long id, long transaction) {

        static Change of(String told) {
            String[] words = told.split(" ");
            return new Change(words[0].equals("amp"), Long.parseLong(words[1]), Long.parseLong(words[2]));
        }
    }

    Ear(DataSource database) {
        this.database = database;
    }

    /** @return whether it was opened just now: whatever was told before was not heard */
    synchronized boolean opened() throws SQLException {
        if (connection != null) {
            return false;
        }
        HikariDataSource pool = database.unwrap(HikariDataSource.class);
        Properties how = new Properties();
        how.putAll(pool.getDataSourceProperties());
        how.setProperty("user", pool.getUsername());
        how.setProperty("password", pool.getPassword());
        connection = DriverManager.getConnection(pool.getJdbcUrl(), how);
        try (Statement statement = connection.createStatement()) {
            statement.execute(LISTEN);
        }
        return true;
    }

    /** What was told since; waits a moment for the first word. */
    List<Change> hear() throws SQLException {
        PGNotification[] told = connection.unwrap(PGConnection.class).getNotifications(LONGEST_SILENCE_MILLIS);
        return told == null
                ? List.of()
                : Arrays.stream(told)
                        .map(PGNotification::getParameter)
                        .map(Change::of)
                        .distinct()
                        .toList();
    }

    synchronized void close() {
        if (connection != null) {
            try {
                connection.close();
            } catch (SQLException gone) {
                // it is what was wanted
            }
            connection = null;
        }
    }
}
