package yellowrail.core.drift;

import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * One test point on its own: its curve, fitted from its last step on.
 *
 * @param series as it was read
 * @param curve what of it is judged
 * @param drift empty where there are too few readings
 * @param growth empty likewise
 * @param step the last jump, with its time in the curve's minutes
 * @param stepAt when that was
 */
record Judged(
        Series series,
        Curve curve,
        Optional<DriftFit> drift,
        Optional<Growth> growth,
        Optional<Step> step,
        OptionalDouble stepAt) {

    /** With fewer no curve is fitted. */
    static final int FEWEST = 4;

    private static final int MOST_STEPS = 5;
    private static final double OUTLIER = 6;
    private static final double ENOUGH_FOR_OUTLIERS = 8;

    static Judged of(Series series, Curve whole, OptionalDouble noise) {
        double digit = 100 * series.digit() / Math.sqrt(12) / whole.middle();
        Noise.Source scatter = new Noise.Source(noise, digit);
        Curve curve = withoutOutliers(whole, scatter);
        Optional<Step> last = Optional.empty();
        OptionalDouble at = OptionalDouble.empty();
        int turned = curve.turnedAt();
        if (turned > 0) {
            last = Optional.of(new Step(turned, curve.percent()[turned] - curve.percent()[turned - 1]));
            at = OptionalDouble.of(curve.minutes()[turned]);
            curve.notes().add(SeriesNote.STEP);
            curve = curve.from(turned);
        }
        for (int steps = 0; curve.size() >= FEWEST; steps++) {
            DriftFit drift = new DriftFitter(curve, scatter).fit();
            Growth growth = Growth.of(curve, drift, scatter);
            Optional<Step> step = steps < MOST_STEPS ? Step.in(curve, drift, growth, scatter) : Optional.empty();
            if (step.isEmpty()) {
                return new Judged(series, curve, Optional.of(drift), Optional.of(growth), last, at);
            }
            last = step;
            at = OptionalDouble.of(curve.minutes()[step.get().index()]);
            curve.notes().add(SeriesNote.STEP);
            curve = curve.from(step.get().index());
        }
        return new Judged(series, curve, Optional.empty(), Optional.empty(), last, at);
    }

    /** A single reading far off, with neighbours that are not: a lead that slipped. */
    private static Curve withoutOutliers(Curve curve, Noise.Source known) {
        int n = curve.size();
        if (n < ENOUGH_FOR_OUTLIERS) {
            return curve;
        }
        double[] off = new double[n];
        double[] sizes = new double[n - 2];
        for (int i = 1; i < n - 1; i++) {
            double between = curve.at(curve.minutes()[i]) - middle(curve, i);
            off[i] = between;
            sizes[i - 1] = Math.abs(between);
        }
        Arrays.sort(sizes);
        double scatter = Math.max(Math.max(known.said().orElse(0), known.digit()), sizes[sizes.length / 2] / 0.6745);
        boolean[] out = new boolean[n];
        int left = n;
        for (int i = 1; i < n - 1; i++) {
            double neighbours = Math.abs(curve.percent()[i + 1] - curve.percent()[i - 1]);
            if (Math.abs(off[i]) > Math.max(1, OUTLIER * scatter) && neighbours < Math.abs(off[i]) / 3) {
                out[i] = true;
                left--;
            }
        }
        if (left == n) {
            return curve;
        }
        curve.notes().add(SeriesNote.OUTLIER);
        double[] minutes = new double[left];
        double[] percent = new double[left];
        for (int i = 0, to = 0; i < n; i++) {
            if (!out[i]) {
                minutes[to] = curve.minutes()[i];
                percent[to++] = curve.percent()[i];
            }
        }
        return new Curve(minutes, percent, curve.middle(), curve.notes());
    }

    private static double middle(Curve curve, int i) {
        double part = (curve.minutes()[i] - curve.minutes()[i - 1]) / (curve.minutes()[i + 1] - curve.minutes()[i - 1]);
        return curve.percent()[i - 1] + part * (curve.percent()[i + 1] - curve.percent()[i - 1]);
    }

    Set<SeriesNote> notes() {
        return curve.notes();
    }
}
