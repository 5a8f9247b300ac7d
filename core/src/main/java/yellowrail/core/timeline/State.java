package yellowrail.core.timeline;

import java.util.List;
import java.util.Optional;
import yellowrail.core.amp.AmpSheet;

/**
 * The bench between two changes.
 *
 * @param begunBy the change it began with; empty for the first
 * @param sheet the sheet in force
 * @param occupants the tube in each socket, in the order of the sheet
 * @param hardware grows with each change of hardware, from 0
 * @param on whether the amp is on by the log; empty where nobody said
 */
public record State(
        Optional<Change> begunBy, AmpSheet sheet, List<Occupant> occupants, int hardware, Optional<Boolean> on) {

    public State {
        occupants = List.copyOf(occupants);
    }
}
