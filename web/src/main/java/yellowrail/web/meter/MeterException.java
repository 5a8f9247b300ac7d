package yellowrail.web.meter;

/** The meter gave no reading; the message says why and what to do. */
public final class MeterException extends RuntimeException {

    MeterException(String message) {
        super(message);
    }
}
