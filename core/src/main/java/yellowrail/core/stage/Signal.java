package yellowrail.core.stage;

import yellowrail.core.root.FallingRoot;

/**
 * The stage from moment to moment while the slow quantities stand: finds the winding’s voltage at a drive.
 *
 * <pre>
 * push-pull     v = (Raa + Rl)/4 ((i1 + u s1) - (i2 + u s2) - their mean),   plates at V - v - d1 and V + v - d2
 * single-ended  v = (R + Rl) ((i + u s) - its mean),                         plate at V - v - d
 * </pre>
 *
 * with {@code i, s} plate and screen current of a side, {@code u} the screens’ tap, {@code d} the drop in the copper.
 * The right side falls as v rises, so there is one v. Where both sides are alike, the mean is 0.
 */
final class Signal {

    private final OutputStage stage;
    private final Side upper;
    private final Side lower;
    private final Slow slow;
    private final double tolerance;
    private final double perAmp;
    /** The last answer, from which the next search begins: the drive moves on in small steps. */
    private double guess;
    /** What the search saw last: the answer when it ends. */
    private Sample raised;

    private Sample lowered;

    /**
     * What changes only with the mean of the signal.
     *
     * @param plateSupply supply at the primary to the cathodes, V
     * @param screenSupply the screens’ own supply to the cathodes, V
     * @param grid grids of the upper side to the cathodes without signal, V
     * @param meanAmps mean of what magnetises the core, A
     */
    record Slow(double plateSupply, double screenSupply, double grid, double meanAmps) {}

    /** @param tolerance of the voltages, V */
    Signal(OutputStage stage, Slow slow, double tolerance) {
        this.stage = stage;
        this.slow = slow;
        this.tolerance = tolerance;
        this.upper = Side.upper(stage, tolerance);
        this.lower = stage.otherSide().isPresent() ? Side.lower(stage, tolerance) : upper;
        this.perAmp = stage.totalOhms() / stage.perSideOhm();
    }

    /** A tube of each side of a push-pull stage: the one that the drive raises, and the other. */
    Sample[] pair(double drive) {
        if (drive == 0 && stage.otherSide().isEmpty()) {
            guess = 0;
            raised = upper.at(slow, 0, 0);
            lowered = raised;
            return new Sample[] {raised, lowered};
        }
        double far = farthest(2) + perAmp * Math.abs(slow.meanAmps());
        guess = FallingRoot.find(
                winding -> {
                    raised = upper.at(slow, drive, winding);
                    lowered = lower.at(slow, -drive, -winding);
                    double amps = stage.magnetising(raised) - stage.magnetising(lowered) - slow.meanAmps();
                    return perAmp * amps - winding;
                },
                stage.otherSide().isEmpty() && drive >= 0 ? 0 : -far,
                far,
                guess,
                tolerance);
        return new Sample[] {raised, lowered};
    }

    /** The tube of a single-ended stage at a drive. */
    Sample single(double drive) {
        guess = FallingRoot.find(
                winding -> {
                    raised = upper.at(slow, drive, winding);
                    return perAmp * (stage.magnetising(raised) - slow.meanAmps()) - winding;
                },
                -perAmp * slow.meanAmps() - 1,
                farthest(1),
                guess,
                tolerance);
        return raised;
    }

    /** Where neither plate nor screen of the raised tube has a voltage left, V. */
    private double farthest(double supplies) {
        return slow.plateSupply() * (stage.isTapped() ? Math.max(supplies, 1 / stage.tap()) : supplies);
    }
}
