package yellowrail.core.move;

/** The supply cannot bring the tubes to the target; the message says how far it goes. */
public final class NoLandingException extends RuntimeException {

    NoLandingException(String message) {
        super(message);
    }
}
