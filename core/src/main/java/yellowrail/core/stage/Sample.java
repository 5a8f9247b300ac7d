package yellowrail.core.stage;

/**
 * A stage at one moment of the drive; currents of one tube, voltages to its cathode. SI. In push-pull the tube is the
 * one whose grid the drive raises; the other is found at the opposite drive.
 *
 * @param drive added to the grid, V
 * @param winding voltage across the half primary, single-ended the primary, that the signal makes, V; positive lowers
 *     the plate
 * @param plateVolts V
 * @param screenVolts V
 * @param plateAmps A
 * @param screenAmps A
 */
public record Sample(
        double drive, double winding, double plateVolts, double screenVolts, double plateAmps, double screenAmps) {

    /** What the plate turns to heat at this moment, W. */
    public double plateWatts() {
        return Math.max(0, plateVolts) * plateAmps;
    }

    public double screenWatts() {
        return screenVolts * screenAmps;
    }
}
