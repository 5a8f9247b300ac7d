package yellowrail.core.move;

import java.util.List;
import java.util.Optional;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.supply.ReadingSet;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;

/**
 * How a tube follows when its neighbours move the supply: the relative change of its cathode current for a relative
 * change of plate and screen voltage, its grid standing still. From the type's model at the present current, else by
 * custom.
 */
final class Coupling {

    /** A power tube at its idle: half of what its screen would drive is held back by the grid. */
    private static final double USUAL = 2.5;

    private static final double STEP = 0.01;
    private static final double SCREEN_BELOW = 5;

    private final double[] follow;

    Coupling(StageIdle stage, List<ReadingSet> sets) {
        ReadingSet newest = sets.get(sets.size() - 1);
        follow = new double[newest.tubes().size()];
        for (int i = 0; i < follow.length; i++) {
            Optional<TubeModel> model = stage.type(i)
                    .flatMap(type -> TubeModels.published().of(type))
                    .map(known -> known.model());
            double amps = newest.cathode(i);
            double plate = newest.values(i).plateVolts();
            follow[i] = model.map(tube -> of(tube, amps, plate)).orElse(USUAL);
        }
    }

    private static double of(TubeModel tube, double amps, double plate) {
        double screen = Math.max(1, plate - SCREEN_BELOW);
        double grid = tube.gridFor(amps, plate, screen);
        double here = tube.cathodeCurrent(plate, screen, grid);
        return (tube.cathodeCurrent(plate * (1 + STEP), screen * (1 + STEP), grid) / here - 1) / STEP;
    }

    /** A tube's current where the plates have gone from one voltage to another. */
    double at(int tube, double amps, double fromVolts, double toVolts) {
        return amps * Math.max(0.2, 1 + follow[tube] * (toVolts / fromVolts - 1));
    }
}
