package yellowrail.core.ring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * When something was struck: blocks whose energy springs up over what stood before and over what the recording holds
 * anyway.
 */
final class Onsets {

    /** s. */
    private static final double BLOCK = 0.002;

    private static final double SPRINGS = 8;
    /** Blocks before, their mean. */
    private static final int BEFORE = 10;

    private static final double OVER_THE_REST = 16;
    /** Nobody taps faster, s. */
    private static final double APART = 0.15;

    private final double perSecond;

    Onsets(double perSecond) {
        this.perSecond = perSecond;
    }

    /**
     * @param held samples, low tones held back
     * @return samples, in their order
     */
    List<Integer> find(double[] held) {
        int block = Math.max(1, (int) Math.round(BLOCK * perSecond));
        double[] energy = energy(held, block);
        double rest = rest(energy);
        List<Integer> found = new ArrayList<>();
        double last = Double.NEGATIVE_INFINITY;
        for (int i = BEFORE; i < energy.length; i++) {
            double before = Arrays.stream(energy, i - BEFORE, i).average().orElse(0);
            double at = (double) i * block;
            if (energy[i] > SPRINGS * before && energy[i] > OVER_THE_REST * rest && at - last > APART * perSecond) {
                found.add(i * block);
                last = at;
            }
        }
        return found;
    }

    /** Of a quiet block, as most of them may ring; never nothing, or silence would make a tap of every click. */
    private static double rest(double[] energy) {
        double[] sorted = energy.clone();
        Arrays.sort(sorted);
        return sorted.length == 0 ? 0 : Math.max(1e-12, sorted[sorted.length / 4]);
    }

    private static double[] energy(double[] held, int block) {
        double[] energy = new double[held.length / block];
        for (int i = 0; i < energy.length * block; i++) {
            energy[i / block] += held[i] * held[i] / block;
        }
        return energy;
    }
}
