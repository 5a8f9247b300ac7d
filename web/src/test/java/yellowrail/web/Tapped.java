package yellowrail.web;

import java.util.Random;
import java.util.stream.IntStream;

/** Recordings made by arithmetic, a second and more at 48 kHz. */
public final class Tapped {

    private static final int RATE = 48_000;

    private Tapped() {}

    /** 1 kHz, a tenth of full scale, with a third harmonic of 1 %. */
    public static double[] tone() {
        return IntStream.range(0, RATE)
                .mapToDouble(i ->
                        0.1 * Math.sin(2 * Math.PI * 1000 * i / RATE) + 0.001 * Math.sin(2 * Math.PI * 3000 * i / RATE))
                .toArray();
    }

    /**
     * Three taps, each of its own strength, and what rings after them.
     *
     * @param fall 1/s
     * @param level crest of the first
     */
    public static double[] taps(double hertz, double fall, double level) {
        Random chance = new Random(3);
        double[] samples = new double[4 * RATE];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = 1e-5 * chance.nextGaussian();
            for (int tap = 0; tap < 3; tap++) {
                double t = (double) i / RATE - 0.5 - 1.1 * tap;
                samples[i] +=
                        t < 0 ? 0 : level * (1 + 0.2 * tap) * Math.exp(-fall * t) * Math.sin(2 * Math.PI * hertz * t);
            }
        }
        return samples;
    }
}
