package yellowrail.core.stage;

import yellowrail.core.root.FallingRoot;
import yellowrail.core.tube.model.TubeModel;

/**
 * The tubes at one end of the primary from moment to moment: finds the drops in the copper and in the screen stopper.
 * Both grow with what is left for the tube, so there is one of each. A grid that the drive would lift above its cathode
 * stays there: what drives it gives no current.
 */
final class Side {

    private final OutputStage stage;
    private final TubeModel model;
    private final double gridOffset;
    private final double tolerance;
    /** The last drops, from which the next search begins. */
    private double copper;
    /** What the search for the drop in the copper saw last: the answer when it ends. */
    private Sample seen;

    private double stopped;

    private Side(OutputStage stage, TubeModel model, double gridOffset, double tolerance) {
        this.stage = stage;
        this.model = model;
        this.gridOffset = gridOffset;
        this.tolerance = tolerance;
    }

    /** @param tolerance of the voltages, V */
    static Side upper(OutputStage stage, double tolerance) {
        return new Side(stage, stage.model(), 0, tolerance);
    }

    static Side lower(OutputStage stage, double tolerance) {
        return stage.otherSide()
                .map(other -> new Side(stage, other.model(), other.gridOffset(), tolerance))
                .orElseGet(() -> upper(stage, tolerance));
    }

    /**
     * @param drive added to the grid, V
     * @param winding what the signal takes from the plate, V
     */
    Sample at(Signal.Slow slow, double drive, double winding) {
        double tap = stage.tap();
        double most = Math.max(slow.plateSupply() - (tap > 0 && winding > 0 ? tap : 1) * winding, 0);
        if (stage.losses().primary() == 0 || most == 0) {
            return at(slow, drive, winding, 0);
        }
        double ohms = stage.losses().primary() * stage.tubesPerSide();
        copper = FallingRoot.find(
                drop -> {
                    seen = at(slow, drive, winding, drop);
                    return ohms * stage.throughPrimary(seen) - drop;
                },
                0,
                most,
                copper,
                tolerance);
        return seen;
    }

    private Sample at(Signal.Slow slow, double drive, double winding, double drop) {
        double plate = slow.plateSupply() - winding - drop;
        double node = stage.isTapped() ? slow.plateSupply() - stage.tap() * winding - drop : slow.screenSupply();
        double grid = Math.min(0, slow.grid() + gridOffset + drive);
        double screen = node - stopped(plate, node, grid);
        TubeModel.Currents currents = model.currents(plate, screen, grid);
        return new Sample(drive, winding, plate, screen, currents.plate(), currents.screen());
    }

    /** What the stopper takes of a screen’s voltage. */
    private double stopped(double plate, double node, double grid) {
        if (stage.losses().stopper() == 0 || node <= 0) {
            return 0;
        }
        stopped = FallingRoot.find(
                drop -> stage.losses().stopper() * model.screenCurrent(plate, node - drop, grid) - drop,
                0,
                node,
                stopped,
                tolerance);
        return stopped;
    }

    /**
     * At rest with the plate, and a screen of its own supply, at the volts they were read at: what the supplies give
     * follows.
     */
    Sample atRest(double grid) {
        double plate = stage.plateVolts();
        double screen = stage.screenVolts() - (stage.isTapped() ? stopped(plate, stage.screenVolts(), grid) : 0);
        TubeModel.Currents currents = model.currents(plate, screen, grid);
        return new Sample(0, 0, plate, screen, currents.plate(), currents.screen());
    }
}
