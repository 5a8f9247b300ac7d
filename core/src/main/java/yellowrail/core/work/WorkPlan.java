package yellowrail.core.work;

import java.util.List;
import yellowrail.core.station.Station;

/**
 * A change at an amp's bias, as work.
 *
 * @param parts what goes in, what comes out, what stays
 * @param outcome what it makes of the amp
 * @param steps in their order
 */
public record WorkPlan(List<PartLine> parts, List<WorkFinding> outcome, List<Step> steps) {

    /** @param station of the run it belongs to */
    public record Step(Station station, WorkFinding says) {}

    public WorkPlan {
        parts = List.copyOf(parts);
        outcome = List.copyOf(outcome);
        steps = List.copyOf(steps);
    }
}
