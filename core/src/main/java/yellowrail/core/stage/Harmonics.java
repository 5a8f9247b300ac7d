package yellowrail.core.stage;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Harmonics of a memoryless stage driven by a sine. Its output depends on the drive alone, {@code y = f(E sin x)}, so
 * it is symmetric about the peak: half a cycle, from trough to peak, tells all, odd harmonics stand as sines and even
 * ones as cosines. The trapezoid over equal steps of phase is exact up to the harmonics beyond the number of steps.
 */
final class Harmonics {

    static final int HIGHEST = 9;

    private Harmonics() {}

    /**
     * @param halfCycle the output at equal steps of phase from -90 to +90 degrees, both ends included
     * @return signed amplitudes of the fundamental, the second, ... the ninth
     */
    static List<Double> of(double[] halfCycle) {
        int steps = halfCycle.length - 1;
        return IntStream.rangeClosed(1, HIGHEST)
                .mapToObj(k -> {
                    double sum = 0;
                    for (int j = 0; j <= steps; j++) {
                        double phase = k * Math.PI * ((double) j / steps - 0.5);
                        double weight = j == 0 || j == steps ? 0.5 : 1;
                        sum += weight * halfCycle[j] * (k % 2 == 1 ? Math.sin(phase) : Math.cos(phase));
                    }
                    return 2 * sum / steps;
                })
                .toList();
    }

    /** The mean over the cycle of a quantity sampled in the same way. */
    static double mean(double[] halfCycle) {
        int steps = halfCycle.length - 1;
        double sum = (halfCycle[0] + halfCycle[steps]) / 2;
        for (int j = 1; j < steps; j++) {
            sum += halfCycle[j];
        }
        return sum / steps;
    }
}
