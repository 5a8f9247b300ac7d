package yellowrail.core.timeline;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Socket;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;

/** The bench at the end of a timeline: what is in the amp, what still speaks of it, and how. */
public final class Snapshot {

    private final State state;
    private final Moment moment;
    private final Staleness staleness;
    private final Map<String, TimelineFinding> gone;

    Snapshot(State state, Moment moment, Staleness staleness, Map<String, TimelineFinding> gone) {
        this.state = state;
        this.moment = moment;
        this.staleness = staleness;
        this.gone = Map.copyOf(gone);
    }

    public AmpSheet sheet() {
        return state.sheet();
    }

    public State state() {
        return state;
    }

    public List<Occupant> occupants() {
        return state.occupants();
    }

    public Occupant occupant(Socket socket) {
        return state.occupants().stream()
                .filter(occupant -> occupant.socket().equals(socket))
                .findFirst()
                .orElseThrow();
    }

    /** The newest readings of each kind and place; none of hardware that is gone. */
    public Moment moment() {
        return moment;
    }

    public Freshness freshness(Reading reading) {
        return staleness.of(reading);
    }

    /** Why the last current of a test point counts no more, while it has not been read again. */
    public Optional<TimelineFinding> gone(String testPoint) {
        return Optional.ofNullable(gone.get(testPoint));
    }

    /** The same where a plate voltage is meant. */
    public Optional<TimelineFinding> gonePlates() {
        return gone(Setting.PLATES);
    }
}
