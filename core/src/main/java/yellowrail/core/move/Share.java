package yellowrail.core.move;

import java.util.List;
import yellowrail.core.supply.ReadingSet;

/**
 * A tube's share of screen current as a function of its cathode current: what was taken off in the newest setting, and,
 * where two settings were measured, a straight line through both.
 */
record Share(double at, double share, double slope) {

    private static final double APART = 0.03;

    static Share of(int tube, List<ReadingSet> sets) {
        ReadingSet newest = sets.get(sets.size() - 1);
        double amps = newest.cathode(tube);
        double share = share(tube, newest);
        for (int i = sets.size() - 2; i >= 0; i--) {
            double before = sets.get(i).cathode(tube);
            if (Math.abs(before - amps) > APART * amps) {
                return new Share(amps, share, (share - share(tube, sets.get(i))) / (amps - before));
            }
        }
        return new Share(amps, share, 0);
    }

    private static double share(int tube, ReadingSet set) {
        return set.values(tube).screen() / set.cathode(tube);
    }

    /** The share at another current, kept between none and half. */
    double at(double amps) {
        return Math.max(0, Math.min(0.5, share + slope * (amps - at)));
    }
}
