package yellowrail.web;

import java.sql.SQLException;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.boot.web.server.PortInUseException;
import yellowrail.web.postgres.CannotStartException;
import yellowrail.web.postgres.SqlState;

/** What keeps the application from starting, as one line for the terminal, where it is something known. */
final class StartTrouble {

    private StartTrouble() {}

    static Optional<String> of(Throwable failure) {
        return Stream.iterate(failure, cause -> cause != null, Throwable::getCause)
                .flatMap(cause -> told(cause).stream())
                .findFirst();
    }

    private static Optional<String> told(Throwable cause) {
        if (cause instanceof CannotStartException) {
            return Optional.of(cause.getMessage());
        }
        if (cause instanceof PortInUseException port) {
            return Optional.of(portInUse(port.getPort()));
        }
        return cause instanceof SQLException e && (SqlState.CONNECTION.isOf(e) || SqlState.NOT_LET_IN.isOf(e))
                ? Optional.of(
                        "The database does not take us: %s Look at SPRING_DATASOURCE_URL, and whether that server runs."
                                .formatted(oneLine(e)))
                : Optional.empty();
    }

    private static String oneLine(SQLException e) {
        return String.valueOf(e.getMessage()).replaceAll("\\s+", " ").strip();
    }

    static String portOfRoot(int port) {
        return "Port %d is one of those that only root may open. Choose one from 1024 up: --port 8080".formatted(port);
    }

    static String portInUse(int port) {
        return "Port %d is in use by another program. Stop that one, or choose another port: --port %d"
                .formatted(port, port < 65_535 ? port + 1 : port - 1);
    }
}
