package yellowrail.web.keeping;

import yellowrail.web.postgres.CannotStartException;

/** A backup cannot be made, or not be brought back. The message says why, and what to do. */
final class BackupException extends CannotStartException {

    BackupException(String message) {
        super(message);
    }

    BackupException(String message, Throwable cause) {
        super(message, cause);
    }
}
