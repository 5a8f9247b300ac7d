package yellowrail.core.tube.model;

import yellowrail.core.root.Root;

/**
 * Power of a single-ended stage as its sheet drives it, from the currents at five drives along its load line, which
 * passes through the supply at the mean current.
 *
 * <pre>
 * mean        = (i(1) + i(-1) + 2 (i(1/2) + i(-1/2))) / 6
 * fundamental = (i(1) + i(1/2) - i(-1/2) - i(-1)) / 3
 * second      = (i(1) - 2 i(0) + i(-1)) / 4
 * third       = (i(1) - 2 i(1/2) + 2 i(-1/2) - i(-1)) / 6
 * fourth      = (i(1) - 4 i(1/2) + 6 i(0) - 4 i(-1/2) + i(-1)) / 12
 * </pre>
 *
 * Source: the textbooks’ selected-ordinate analysis; right as long as nothing beyond the fourth harmonic counts.
 */
final class FiveOrdinates {

    private static final double[] DRIVES = {1, 0.5, 0, -0.5, -1};
    private static final double TOLERANCE = 1e-7;
    private static final int ROUNDS = 6;
    /** The plate swings no higher than this times the supply. */
    private static final double MOST_SWING = 3;

    private static final double LEAST_PART = 0.2;
    private static final double PART_TOLERANCE = 1e-5;

    /** Power at the grid’s edge, or where the sheet goes by distortion at that, if it comes first. */
    static double watts(TubeModel model, PublishedOperation operation) {
        FiveOrdinates edge = new FiveOrdinates(model, operation, 1);
        if (operation.isToTheEdge() || edge.distortion() <= operation.distortion()) {
            return edge.watts();
        }
        double part = Root.between(
                drive -> new FiveOrdinates(model, operation, drive).distortion() - operation.distortion(),
                LEAST_PART,
                1,
                PART_TOLERANCE);
        return new FiveOrdinates(model, operation, part).watts();
    }

    private final double loadOhms;
    private final double[] amps = new double[DRIVES.length];

    /** @param part of the drive that brings the grid to its edge */
    private FiveOrdinates(TubeModel model, PublishedOperation operation, double part) {
        this.loadOhms = operation.loadOhms();
        double mean = model.plateCurrent(operation.plateVolts(), operation.screenVolts(), operation.gridVolts());
        for (int round = 0; round < ROUNDS; round++) {
            double rest = mean;
            for (int i = 0; i < DRIVES.length; i++) {
                double grid = operation.gridVolts() * (1 - part * DRIVES[i]);
                double plate = Root.between(
                        volts -> model.plateCurrent(volts, operation.screenVolts(), grid)
                                - rest
                                + (volts - operation.plateVolts()) / loadOhms,
                        0,
                        MOST_SWING * operation.plateVolts(),
                        TOLERANCE);
                amps[i] = rest - (plate - operation.plateVolts()) / loadOhms;
            }
            mean = (amps[0] + amps[4] + 2 * (amps[1] + amps[3])) / 6;
        }
    }

    private double fundamental() {
        return (amps[0] + amps[1] - amps[3] - amps[4]) / 3;
    }

    private double watts() {
        return fundamental() * fundamental() * loadOhms / 2;
    }

    private double distortion() {
        double second = (amps[0] - 2 * amps[2] + amps[4]) / 4;
        double third = (amps[0] - 2 * amps[1] + 2 * amps[3] - amps[4]) / 6;
        double fourth = (amps[0] - 4 * amps[1] + 6 * amps[2] - 4 * amps[3] + amps[4]) / 12;
        return Math.sqrt(second * second + third * third + fourth * fourth) / fundamental();
    }
}
