package yellowrail.core.stage;

import java.util.function.ToDoubleFunction;

/**
 * Half a cycle of a sine through the stage, from trough to peak, at equal steps of phase: {@link Harmonics} tells why
 * half is enough.
 */
final class Cycle {

    private final OutputStage stage;
    private final Signal signal;
    private final Sample[] samples;

    /**
     * @param peak of the drive, V
     * @param steps of phase in the whole cycle, a multiple of 4
     * @param tolerance of the voltages, V
     */
    Cycle(OutputStage stage, Signal.Slow slow, double peak, int steps, double tolerance) {
        this.stage = stage;
        this.signal = new Signal(stage, slow, tolerance);
        int half = steps / 2;
        this.samples = new Sample[half + 1];
        for (int j = 0; j <= half; j++) {
            double drive = peak * Math.sin(Math.PI * ((double) j / half - 0.5));
            if (!stage.isPushPull()) {
                samples[j] = signal.single(drive);
            } else if (2 * j >= half) {
                Sample[] pair = signal.pair(2 * j == half ? 0 : drive);
                samples[j] = pair[0];
                samples[half - j] = pair[1];
            }
        }
    }

    Sample[] samples() {
        return samples;
    }

    Sample peak() {
        return samples[samples.length - 1];
    }

    double[] over(ToDoubleFunction<Sample> quantity) {
        double[] values = new double[samples.length];
        for (int j = 0; j < values.length; j++) {
            values[j] = quantity.applyAsDouble(samples[j]);
        }
        return values;
    }

    /** Mean of a quantity of one tube. */
    double mean(ToDoubleFunction<Sample> quantity) {
        return Harmonics.mean(over(quantity));
    }

    double most(ToDoubleFunction<Sample> quantity) {
        double most = Double.NEGATIVE_INFINITY;
        for (Sample sample : samples) {
            most = Math.max(most, quantity.applyAsDouble(sample));
        }
        return most;
    }

    /** Mean of what one side adds to the core, A. */
    double meanMagnetising() {
        return mean(signal::magnetising);
    }
}
