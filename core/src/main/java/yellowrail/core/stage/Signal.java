package yellowrail.core.stage;

import yellowrail.core.root.FallingRoot;
import yellowrail.core.tube.model.TubeModel;

/**
 * The stage from moment to moment while the slow quantities stand: finds the winding's voltage at a drive.
 *
 * <pre>
 * push-pull     v = (Raa + Rl)/4 ((i1 + u s1) - (i2 + u s2)),   plates at V - v - d1 and V + v - d2
 * single-ended  v = (R + Rl) ((i + u s) - its mean),            plate at V - v - d
 * </pre>
 *
 * with {@code i, s} plate and screen current of a side, {@code u} the screens' tap, {@code d} the drop in the copper.
 * The right side falls as v rises, so there is one v.
 */
final class Signal {

    private final OutputStage stage;
    private final TubeModel model;
    private final Slow slow;
    private final double tolerance;
    /** The last answers, from which the next search begins: the drive moves on in small steps. */
    private double guess;

    private double dropGuess;

    /**
     * What changes only with the mean of the signal.
     *
     * @param plateSupply supply at the primary to the cathodes, V
     * @param screenSupply the screens' own supply to the cathodes, V
     * @param grid grids to the cathodes without signal, V
     * @param meanAmps mean of what magnetises the core, single-ended, A
     */
    record Slow(double plateSupply, double screenSupply, double grid, double meanAmps) {}

    /** @param tolerance of the voltages, V */
    Signal(OutputStage stage, Slow slow, double tolerance) {
        this.tolerance = tolerance;
        this.stage = stage;
        this.model = stage.model();
        this.slow = slow;
    }

    /** Both tubes of a push-pull stage at a drive of 0 or more: the raised one and the lowered one. */
    Sample[] pair(double drive) {
        double perAmp = (stage.loadOhms() + stage.lossOhms()) / 4;
        guess = drive == 0
                ? 0
                : FallingRoot.find(
                        winding -> perAmp * (magnetising(tube(drive, winding)) - magnetising(tube(-drive, -winding)))
                                - winding,
                        0,
                        farthest(2),
                        guess,
                        tolerance);
        return new Sample[] {tube(drive, guess), tube(-drive, -guess)};
    }

    /** The tube of a single-ended stage at a drive. */
    Sample single(double drive) {
        double perAmp = stage.loadOhms() + stage.lossOhms();
        guess = FallingRoot.find(
                winding -> perAmp * (magnetising(tube(drive, winding)) - slow.meanAmps()) - winding,
                -perAmp * slow.meanAmps() - 1,
                farthest(1),
                guess,
                tolerance);
        return tube(drive, guess);
    }

    /** Where neither plate nor screen of the raised tube has a voltage left, V. */
    private double farthest(double supplies) {
        return slow.plateSupply() * (stage.tap() > 0 ? Math.max(supplies, 1 / stage.tap()) : supplies);
    }

    /** What a side adds to the core, A. */
    double magnetising(Sample tube) {
        return stage.tubesPerSide() * (tube.plateAmps() + stage.tap() * tube.screenAmps());
    }

    private Sample tube(double drive, double winding) {
        double most = Math.max(slow.plateSupply() - (stage.tap() > 0 && winding > 0 ? stage.tap() : 1) * winding, 0);
        if (stage.primaryOhms() == 0 || most == 0) {
            return at(drive, winding, 0);
        }
        double ohms = stage.primaryOhms() * stage.tubesPerSide();
        dropGuess = FallingRoot.find(
                drop -> {
                    Sample tube = at(drive, winding, drop);
                    return ohms * (tube.plateAmps() + (stage.tap() > 0 ? tube.screenAmps() : 0)) - drop;
                },
                0,
                most,
                dropGuess,
                tolerance);
        return at(drive, winding, dropGuess);
    }

    private Sample at(double drive, double winding, double drop) {
        double plate = slow.plateSupply() - winding - drop;
        double screen = stage.tap() > 0 ? slow.plateSupply() - stage.tap() * winding - drop : slow.screenSupply();
        double grid = slow.grid() + drive;
        TubeModel.Currents currents = model.currents(plate, screen, grid);
        return new Sample(drive, winding, plate, screen, currents.plate(), currents.screen());
    }
}
