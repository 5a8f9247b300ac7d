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

    private static final String NO_SUCH_DATABASE = "3D000";
    private static final String CANNOT_CONNECT_NOW = "57P03";
    private static final String CONNECTION_TROUBLE = "08";
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
        String state = e.getSQLState() == null ? CONNECTION_TROUBLE : e.getSQLState();
        if (state.equals(NO_SUCH_DATABASE)) {
            return Answer.EMPTY;
        }
        if (state.equals(CANNOT_CONNECT_NOW)) {
            return Answer.NOT_YET;
        }
        if (state.startsWith(CONNECTION_TROUBLE)) {
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
