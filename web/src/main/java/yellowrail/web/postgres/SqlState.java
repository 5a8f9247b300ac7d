package yellowrail.web.postgres;

import java.sql.SQLException;

/**
 * What a failure of the database is about, by the first characters of the standard's five, or by all of PostgreSQL's.
 */
public enum SqlState {
    /** There is no connection, or none any more. */
    CONNECTION("08"),
    /** The user or the password is not taken. */
    NOT_LET_IN("28"),
    NO_SUCH_DATABASE("3D000"),
    /** A character that no text holds: NUL. */
    NO_CHARACTER("22021"),
    /** No room on the disk, no memory, no more connections. */
    RESOURCES("53"),
    /** Somebody stops the server, or it is not up yet. */
    STOPPED("57P"),
    /** It is starting or ending. */
    NOT_YET("57P03");

    private final String begins;

    SqlState(String begins) {
        this.begins = begins;
    }

    /** A failure without a code is of none. */
    public boolean isOf(SQLException e) {
        return e.getSQLState() != null && e.getSQLState().startsWith(begins);
    }
}
