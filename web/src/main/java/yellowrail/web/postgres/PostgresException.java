package yellowrail.web.postgres;

/** The database server is missing or will not run. */
public final class PostgresException extends CannotStartException {

    PostgresException(String message) {
        super(message);
    }

    PostgresException(String message, Throwable cause) {
        super(message, cause);
    }
}
