package yellowrail.core.tone;

import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/** Recordings made by arithmetic, so that what is in them is known. */
final class Recording {

    private final double perSecond;
    private final double[] samples;

    Recording(double perSecond, double seconds) {
        this.perSecond = perSecond;
        this.samples = new double[(int) Math.round(perSecond * seconds)];
    }

    Recording sine(double hertz, double peak, double phase) {
        double turn = 2 * Math.PI * hertz / perSecond;
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        double x = 0;
        double y = 0;
        for (int i = 0; i < samples.length; i++) {
            // A turn at a time; now and then anew, so that nothing adds up.
            double was = x;
            x = i % 256 == 0 ? Math.cos(turn * i + phase) : x * cos - y * sin;
            y = i % 256 == 0 ? Math.sin(turn * i + phase) : was * sin + y * cos;
            samples[i] += peak * y;
        }
        return this;
    }

    Recording sine(double hertz, double peak) {
        return sine(hertz, peak, 0.3);
    }

    Recording constant(double level) {
        Arrays.setAll(samples, i -> samples[i] + level);
        return this;
    }

    /** White, normally distributed. */
    Recording noise(double rms, long seed) {
        Random random = new Random(seed);
        Arrays.setAll(samples, i -> samples[i] + rms * random.nextGaussian());
        return this;
    }

    Recording through(DoubleUnaryOperator transfer) {
        Arrays.setAll(samples, i -> transfer.applyAsDouble(samples[i]));
        return this;
    }

    /** As a converter of so many bits writes it, its own dither added. */
    Recording bits(int bits, long seed) {
        Random random = new Random(seed);
        double step = Math.scalb(1.0, 1 - bits);
        return through(sample -> {
            double dithered = Math.rint(sample / step + random.nextDouble() - random.nextDouble());
            return step * Math.max(-1 / step, Math.min(1 / step - 1, dithered));
        });
    }

    double[] samples() {
        return samples;
    }
}
