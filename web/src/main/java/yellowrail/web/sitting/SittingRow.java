package yellowrail.web.sitting;

import java.time.OffsetDateTime;
import yellowrail.web.seat.Seat;

/** A sitting as it is stored, with its seat; {@code crept} is a list of {@link CreptDocument}s. */
record SittingRow(
        long id,
        long tubeId,
        String type,
        String label,
        long ampId,
        String amp,
        String socket,
        OffsetDateTime since,
        OffsetDateTime until,
        long runId,
        double onSeconds,
        String crept) {

    Seat seat() {
        return new Seat(id, tubeId, type, label, ampId, amp, socket, since, until);
    }
}
