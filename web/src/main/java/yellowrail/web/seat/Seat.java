package yellowrail.web.seat;

import java.time.OffsetDateTime;

/**
 * A tube in a socket.
 *
 * @param until when it was taken out; null while it is in
 */
public record Seat(
        long tubeId,
        String type,
        String label,
        long ampId,
        String socket,
        OffsetDateTime since,
        OffsetDateTime until) {}
