package yellowrail.core.trace;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;

/** What is to be said of the point that was read last. */
public final class PointDoubt {

    /** So many times what is expected, or so little of it, no tube of a type draws. */
    private static final double FAR = 1.8;
    /** Near cut-off every tube is far from its type. */
    private static final double SMALL = 0.008;

    private PointDoubt() {}

    /** @param typical of the type; empty where nothing is known of it */
    public static List<TraceFinding> of(TracedPoint point, TubeType type, Optional<TubeModel> typical) {
        List<TraceFinding> says = new ArrayList<>();
        double rated = type.customaryRating().plateWatts();
        if (point.watts() > rated) {
            says.add(new TraceFinding.OverRating(point.watts(), rated));
        }
        typical.map(point::by)
                .filter(expected -> Math.max(expected, point.amps()) > SMALL)
                .filter(expected -> point.amps() > FAR * expected || point.amps() < expected / FAR)
                .ifPresent(expected -> says.add(new TraceFinding.FarFromExpected(point.amps(), expected)));
        return says;
    }
}
