package yellowrail.web.demo;

import java.util.Random;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.wav.WavWriter;

/** What a made-up sound card heard of a made-up amp: a tone that bends and flattens, hum, noise. */
final class DemoRecordings {

    private static final int RATE = 48_000;
    private static final double SECONDS = 4;
    private static final int BITS = 24;
    /** Of full scale. */
    private static final double FLAT = 0.5;

    private static final double BEND = 0.02;
    private static final double HUM = 4e-5;
    private static final double NOISE = 6e-6;

    private DemoRecordings() {}

    /** @param peak of full scale, before it flattens */
    static byte[] tone(double peak, double mains, long seed) {
        double[] samples = TestSignal.sine(1000, peak, SECONDS).samples(RATE);
        Random random = new Random(seed);
        int ramp = (int) (TestSignal.RAMP * RATE);
        double[] heard = new double[samples.length - 2 * ramp];
        for (int i = 0; i < heard.length; i++) {
            double sample = samples[i + ramp];
            double turn = 2 * Math.PI * mains * i / RATE;
            heard[i] = FLAT * flattened(sample / FLAT)
                    + BEND * sample * sample
                    + HUM * (Math.sin(turn) + 2 * Math.sin(2 * turn + 1) + 0.4 * Math.sin(4 * turn))
                    + NOISE * random.nextGaussian();
        }
        return WavWriter.write(heard, RATE, BITS, seed);
    }

    /** Straight at first, flat at 1. */
    private static double flattened(double x) {
        return x / Math.pow(1 + Math.pow(x, 8), 0.125);
    }
}
