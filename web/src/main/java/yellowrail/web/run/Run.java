package yellowrail.web.run;

import java.time.OffsetDateTime;

/**
 * A bench run on an amp.
 *
 * @param closedAt     null while it is open
 * @param sheetVersion the version of the sheet it was closed with; null while it is open and follows the newest
 */
public record Run(long id, long ampId, OffsetDateTime begunAt, OffsetDateTime closedAt, Integer sheetVersion) {

    public boolean isOpen() {
        return closedAt == null;
    }
}
