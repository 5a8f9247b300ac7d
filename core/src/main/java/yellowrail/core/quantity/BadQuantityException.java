package yellowrail.core.quantity;

/** What was typed is not a number with a unit that fits; the message says what would be. */
public class BadQuantityException extends IllegalArgumentException {

    public BadQuantityException(String message) {
        super(message);
    }
}
