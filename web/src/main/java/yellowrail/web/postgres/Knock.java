package yellowrail.web.postgres;

import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;

/** Tries whether a server answers, and how. */
final class Knock {

    /** What a server says to somebody at its door. */
    enum Answer {
        /** It takes connections to our database. */
        ACCEPTS,
        /** It takes connections and has no database of ours yet. */
        EMPTY,
        /** It is recovering, or about to end. */
        NOT_YET,
        /** Nobody listens, or nobody answers. */
        SILENT
    }

    private static final String PATIENCE_SECONDS = "2";

    private final ClusterFolder folder;

    Knock(ClusterFolder folder) {
        this.folder = folder;
    }

    /** @throws PostgresException if it refuses us for good: a password that is not its own */
    Answer at(int port) {
        try (Connection connection = connect(port, PrivatePostgres.DATABASE)) {
            return connection.isValid(2) ? Answer.ACCEPTS : Answer.SILENT;
        } catch (SQLException e) {
            return answer(e);
        } catch (IOException e) {
            throw new PostgresException(
                    "The database password in %s cannot be read: %s".formatted(folder.passwordFile(), e.getMessage()));
        }
    }

    private static Answer answer(SQLException e) {
        if (SqlState.NO_SUCH_DATABASE.isOf(e)) {
            return Answer.EMPTY;
        }
        if (SqlState.NOT_YET.isOf(e)) {
            return Answer.NOT_YET;
        }
        if (SqlState.CONNECTION.isOf(e) || e.getSQLState() == null) {
            return Answer.SILENT;
        }
        throw new PostgresException("The database refuses its own application: " + e.getMessage(), e);
    }

    Connection connect(int port, String database) throws SQLException, IOException {
        Properties how = new Properties();
        how.setProperty("user", ClusterMaker.USER);
        how.setProperty("password", folder.password());
        how.setProperty("connectTimeout", PATIENCE_SECONDS);
        how.setProperty("loginTimeout", PATIENCE_SECONDS);
        how.setProperty("socketTimeout", PATIENCE_SECONDS);
        return DriverManager.getConnection("jdbc:postgresql://127.0.0.1:" + port + "/" + database, how);
    }
}
