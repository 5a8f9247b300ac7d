package yellowrail.core.practice;

/**
 * Every voltage and current of a simulated stage at rest; what no meter shows without its error.
 *
 * @param plate plates to ground, V
 * @param screen screens to ground, V
 * @param grids to ground, V
 * @param cathodes to ground, V
 * @param plateAmps of each tube, A
 * @param screenAmps of each tube, A
 */
public record OperatingPoint(
        double plate, double screen, double[] grids, double[] cathodes, double[] plateAmps, double[] screenAmps) {

    public double cathodeAmps(int tube) {
        return plateAmps[tube] + screenAmps[tube];
    }

    /** Plate dissipation, W. */
    public double watts(int tube) {
        return (plate - cathodes[tube]) * plateAmps[tube];
    }

    public double meanWatts() {
        double sum = 0;
        for (int tube = 0; tube < plateAmps.length; tube++) {
            sum += watts(tube);
        }
        return sum / plateAmps.length;
    }

    public int tubes() {
        return plateAmps.length;
    }
}
