package yellowrail.web.seat;

import java.time.Instant;
import java.time.OffsetDateTime;

/**
 * A tube in a socket.
 *
 * @param amp the amp's name
 * @param until when it was taken out; null while it is in
 */
public record Seat(
        long id,
        long tubeId,
        String type,
        String label,
        long ampId,
        String amp,
        String socket,
        OffsetDateTime since,
        OffsetDateTime until) {

    public boolean isDuring(Instant at) {
        return !at.isBefore(since.toInstant()) && (until == null || at.isBefore(until.toInstant()));
    }
}
