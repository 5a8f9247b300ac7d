package yellowrail.web.postgres;

/**
 * The application cannot start, for a reason outside it. The message is for the terminal: the reason and the remedy.
 */
public class CannotStartException extends RuntimeException {

    public CannotStartException(String message) {
        super(message);
    }

    public CannotStartException(String message, Throwable cause) {
        super(message, cause);
    }
}
