package yellowrail.web.once;

/** What was sent again had been stored the first time. */
public final class StoredAlreadyException extends RuntimeException {

    StoredAlreadyException() {
        super("stored already");
    }
}
