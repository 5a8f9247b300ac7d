package yellowrail.core.drift;

import java.util.OptionalDouble;
import java.util.Set;

/**
 * What was found of a test point.
 *
 * @param label the test point
 * @param state what it does
 * @param rate of the drift, or at the end of a runaway, %/min; NaN where there are too few readings
 * @param rateLow lower end of its 95 % interval
 * @param rateHigh upper end
 * @param toLimit min from the last reading until the limit is reached; empty where it is not on its way there
 * @param toLimitSoonest the same at the upper end of the rate
 * @param toLimitLatest at the lower end; infinite where that never reaches it
 * @param askAgain when the next reading tells more, min since the setting
 * @param stepAt when it jumped, min since the setting; empty where it did not
 * @param stepPercent by how much it jumped then; 0 where it did not
 * @param trace the fitted curve; empty where there is none
 * @param notes what had to be done to the readings
 */
public record PointDrift(
        String label,
        DriftState state,
        double rate,
        double rateLow,
        double rateHigh,
        OptionalDouble toLimit,
        OptionalDouble toLimitSoonest,
        OptionalDouble toLimitLatest,
        OptionalDouble askAgain,
        OptionalDouble stepAt,
        double stepPercent,
        Trace trace,
        Set<SeriesNote> notes) {

    public PointDrift {
        notes = Set.copyOf(notes);
    }
}
