package yellowrail.core.reading;

/** A line that cannot be read; the message says what was wrong and what to type. */
public class BadEntryException extends IllegalArgumentException {

    public BadEntryException(String message) {
        super(message);
    }
}
