package yellowrail.web.run;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;

/**
 * A bench run on an amp.
 *
 * @param closedAt null while it is open
 * @param sheetVersion the version of the sheet it was closed with; null while it is open and follows the newest
 * @param clockOffset how far this run's clock is ahead of the wall's, s; other than 0 on a practice bench
 * @param isPractice whether it is on a practice amp
 */
public record Run(
        long id,
        long ampId,
        OffsetDateTime begunAt,
        OffsetDateTime closedAt,
        Integer sheetVersion,
        double clockOffset,
        boolean isPractice) {

    public boolean isOpen() {
        return closedAt == null;
    }

    /** The clock this run goes by. */
    public Clock clock(Clock wall) {
        return Clock.offset(wall, Duration.ofMillis(Math.round(1000 * clockOffset)));
    }
}
