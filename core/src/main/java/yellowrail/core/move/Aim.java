package yellowrail.core.move;

import yellowrail.core.amp.Target;
import yellowrail.core.idle.Goal;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;

/** What a tube is to be brought to by its goal, at the mains as read. */
final class Aim {

    private final StageIdle stage;
    private final ReadingSet newest;
    private final Mains mains;

    Aim(StageIdle stage, ReadingSet newest, Mains mains) {
        this.stage = stage;
        this.newest = newest;
        this.mains = mains;
    }

    /** The window's aim as cathode current, A, of a tube whose plate will stand at {@code volts} to its cathode. */
    double current(int tube, double volts, double share) {
        return current(goal(tube).at(volts).aim(), tube, volts, share);
    }

    /** The same for the most the window allows. */
    double ceiling(int tube, double volts, double share) {
        return current(goal(tube).at(volts).high(), tube, volts, share);
    }

    /** Never over the rating, neither at the mains as read nor at the sheet's. */
    private double current(double figure, int tube, double volts, double share) {
        Goal goal = goal(tube);
        Target window = goal.window();
        double rated = goal.mostRatio() * goal.rating().plateWatts();
        double most = Math.min(rated, watts(goal, goal.mostRatio())) / (volts * (1 - share));
        double wanted = switch (window.school().basis()) {
            case PERCENT -> watts(goal, figure) / (volts * (1 - share));
            case MILLIAMPS -> mains.convertCurrent(figure, 1, newest.mainsRatio());
            case TEST_POINT ->
                mains.convertCurrent(
                        newest.cathode(tube)
                                * figure
                                / newest.values(tube).problem().senseReading(),
                        1,
                        newest.mainsRatio());
        };
        return Math.min(wanted, most);
    }

    /** A share of the rating, as the watts that become it when converted from the mains as read to the reference. */
    private double watts(Goal goal, double ratio) {
        return mains.convertDissipation(ratio * goal.rating().plateWatts(), 1, newest.mainsRatio());
    }

    private Goal goal(int tube) {
        return stage.goal(tube).orElseThrow();
    }
}
