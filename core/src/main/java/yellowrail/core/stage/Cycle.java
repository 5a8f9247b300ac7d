package yellowrail.core.stage;

import java.util.function.ToDoubleFunction;

/**
 * Half a cycle of a sine through the stage, from trough to peak, at equal steps of phase: {@link Harmonics} tells why
 * half is enough.
 */
final class Cycle {

    private final OutputStage stage;
    /** Of the upper side; single-ended of the only one. */
    private final Sample[] upper;
    /** Of the lower side, in the order of its own drive; the same where both sides are alike. */
    private final Sample[] lower;

    /**
     * @param peak of the drive, V
     * @param steps of phase in the whole cycle, a multiple of 4
     * @param tolerance of the voltages, V
     */
    Cycle(OutputStage stage, Signal.Slow slow, double peak, int steps, double tolerance) {
        this.stage = stage;
        Signal signal = new Signal(stage, slow, tolerance);
        int half = steps / 2;
        boolean alike = stage.otherSide().isEmpty();
        this.upper = new Sample[half + 1];
        this.lower = alike ? upper : new Sample[half + 1];
        for (int j = 0; j <= half; j++) {
            double drive = 2 * j == half ? 0 : peak * Math.sin(Math.PI * ((double) j / half - 0.5));
            if (!stage.isPushPull()) {
                upper[j] = signal.single(drive);
            } else if (!alike || 2 * j >= half) {
                Sample[] pair = signal.pair(drive);
                upper[j] = pair[0];
                lower[half - j] = pair[1];
            }
        }
    }

    /** Of the upper side. */
    Sample[] samples() {
        return upper;
    }

    /** The tube at the other end of the primary at the moment of a sample. */
    Sample against(int j) {
        return lower[lower.length - 1 - j];
    }

    Sample peak() {
        return upper[upper.length - 1];
    }

    /** A quantity of the upper side. */
    double[] over(ToDoubleFunction<Sample> quantity) {
        return over(upper, quantity);
    }

    private static double[] over(Sample[] samples, ToDoubleFunction<Sample> quantity) {
        double[] values = new double[samples.length];
        for (int j = 0; j < values.length; j++) {
            values[j] = quantity.applyAsDouble(samples[j]);
        }
        return values;
    }

    /** Mean of a quantity of one tube of the upper side. */
    private double upper(ToDoubleFunction<Sample> quantity) {
        return Harmonics.mean(over(upper, quantity));
    }

    private double lower(ToDoubleFunction<Sample> quantity) {
        return upper == lower ? upper(quantity) : Harmonics.mean(over(lower, quantity));
    }

    /** Mean of a quantity of the tube in which it is greatest. */
    double mean(ToDoubleFunction<Sample> quantity) {
        return upper == lower ? upper(quantity) : Math.max(upper(quantity), lower(quantity));
    }

    /** Mean of the sum over all tubes of the stage. */
    double all(ToDoubleFunction<Sample> quantity) {
        return stage.tubesPerSide() * (upper(quantity) + (stage.isPushPull() ? lower(quantity) : 0));
    }

    double most(ToDoubleFunction<Sample> quantity) {
        double most = Double.NEGATIVE_INFINITY;
        for (Sample sample : upper) {
            most = Math.max(most, quantity.applyAsDouble(sample));
        }
        for (Sample sample : lower) {
            most = Math.max(most, quantity.applyAsDouble(sample));
        }
        return most;
    }

    /** Mean of what magnetises the core, A. */
    double coreAmps() {
        double mean = upper(stage::magnetising);
        return stage.isPushPull() ? mean - lower(stage::magnetising) : mean;
    }
}
