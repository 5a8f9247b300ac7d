package yellowrail.core.part.stress;

import yellowrail.core.part.ScreenStopper;
import yellowrail.core.standard.StandardValues;

/** Whether a screen stopper stands an overdriven stage. */
public final class StopperReview {

    private StopperReview() {}

    public static PartRemark of(ScreenStopper stopper, ScreenCurrents flows) {
        if (stopper.ohms() == 0) {
            return new PartRemark.NoStopper();
        }
        double burns = stopper.watts(Math.max(flows.drive(), flows.overdriven()));
        return burns > stopper.ratedWatts()
                ? new PartRemark.StopperOver(burns, stopper.ratedWatts(), StandardValues.wattsFor(burns))
                : new PartRemark.StopperHolds(burns, stopper.ratedWatts());
    }
}
