package yellowrail.core.part.stress;

/** The root of the mean of the squares. */
final class Rms {

    private Rms() {}

    /** Of half a cycle from trough to peak at equal steps of phase: the ends count half. */
    static double ofHalfCycle(double[] values) {
        int last = values.length - 1;
        double sum = (values[0] * values[0] + values[last] * values[last]) / 2;
        for (int i = 1; i < last; i++) {
            sum += values[i] * values[i];
        }
        return Math.sqrt(sum / last);
    }
}
