package yellowrail.web.outage;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.transaction.TransactionSystemException;
import yellowrail.web.postgres.SqlState;

/** Trouble with the database that is not of what was asked. */
public enum Outage {
    /** It has stopped, is starting, or does not answer. */
    AWAY("page.outage.away"),
    /** There is no room to store anything. */
    FULL("page.outage.full");

    /** A filter that met one forwards here. */
    public static final String PAGE = "/outage";
    /** What it met, as an attribute of the request. */
    public static final String MET = Outage.class.getName();

    private final String says;

    Outage(String says) {
        this.says = says;
    }

    /** Key of the words. */
    String says() {
        return says;
    }

    public static Optional<Outage> of(Throwable failure) {
        if (failure instanceof TransactionSystemException ending) {
            return ofEnding(ending);
        }
        return Stream.iterate(failure, cause -> cause != null, Throwable::getCause)
                .filter(SQLException.class::isInstance)
                .map(SQLException.class::cast)
                .flatMap(cause -> of(cause).stream())
                .findFirst();
    }

    /** On a connection that is gone nothing can be rolled back; what came before tells more, where that is known. */
    private static Optional<Outage> ofEnding(TransactionSystemException ending) {
        return ending.getApplicationException() != null
                ? of(ending.getApplicationException())
                : Optional.of(AWAY).filter(away -> ending.getCause() instanceof SQLException);
    }

    private static Optional<Outage> of(SQLException e) {
        if (SqlState.RESOURCES.isOf(e)) {
            return Optional.of(FULL);
        }
        boolean away =
                e instanceof SQLTransientConnectionException || SqlState.CONNECTION.isOf(e) || SqlState.STOPPED.isOf(e);
        return away ? Optional.of(AWAY) : Optional.empty();
    }
}
