package yellowrail.web.sitting;

import yellowrail.core.drawer.Sitting;
import yellowrail.web.seat.Seat;

/** One stay of a tube in an amp during one run, and what the run told of it. */
public record Sat(Seat seat, long runId, Sitting sitting) {

    public boolean isSuspect() {
        return !sitting.findings().isEmpty();
    }
}
