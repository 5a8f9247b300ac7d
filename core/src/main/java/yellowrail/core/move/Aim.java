package yellowrail.core.move;

import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.Target;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.supply.Mains;
import yellowrail.core.supply.ReadingSet;

/** What a tube is to be brought to by the school of the sheet, at the mains as read. */
final class Aim {

    private final AmpSheet sheet;
    private final double rating;
    private final ReadingSet newest;
    private final Mains mains;

    Aim(StageIdle stage, ReadingSet newest, Mains mains) {
        this.sheet = stage.sheet();
        this.rating = stage.rating().plateWatts();
        this.newest = newest;
        this.mains = mains;
    }

    /** The window's aim as cathode current, A, of a tube whose plate will stand at {@code volts} to its cathode. */
    double current(int tube, double volts, double share) {
        return current(target().aim(), tube, volts, share);
    }

    /** The same for the most the window allows. */
    double ceiling(int tube, double volts, double share) {
        return current(target().high(), tube, volts, share);
    }

    private double current(double figure, int tube, double volts, double share) {
        double most = watts(1) / (volts * (1 - share));
        double wanted = switch (target().school().basis()) {
            case PERCENT -> watts(figure) / (volts * (1 - share));
            case MILLIAMPS -> mains.convertCurrent(figure, 1, newest.mainsRatio());
            case TEST_POINT -> mains.convertCurrent(newest.cathode(tube) * figure / newest.values(tube).problem().senseReading(), 1, newest.mainsRatio());
        };
        return Math.min(wanted, most);
    }

    /** A share of the rating, as the watts that become it when converted from the mains as read to the reference. */
    private double watts(double ratio) {
        return mains.convertDissipation(ratio * rating, 1, newest.mainsRatio());
    }

    private Target target() {
        return sheet.target();
    }
}
