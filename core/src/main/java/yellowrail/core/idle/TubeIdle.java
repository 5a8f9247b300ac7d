package yellowrail.core.idle;

import java.util.Optional;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Freshness;
import yellowrail.core.timeline.Occupant;

/**
 * One socket's idle at a moment.
 *
 * @param occupant the tube in the socket
 * @param figures what was computed; empty when something is missing
 * @param judgement the verdict with its notes or reasons
 * @param current the current reading it rests on
 * @param plate the plate voltage it rests on
 * @param bias grid bias as logged; shown, never judged
 * @param freshness whether the readings still speak of what is on the bench
 */
public record TubeIdle(
        Occupant occupant,
        Optional<IdleFigures> figures,
        Judgement judgement,
        Optional<Reading> current,
        Optional<Reading> plate,
        Optional<Reading> bias,
        Freshness freshness) {

    public Socket socket() {
        return occupant.socket();
    }

    /** Whether it was judged by readings of the present setting. */
    public boolean isFresh() {
        return freshness.isFresh() && figures.isPresent();
    }

    TubeIdle with(Freshness other, Judgement judged) {
        return new TubeIdle(occupant, figures, judged, current, plate, bias, other);
    }
}
