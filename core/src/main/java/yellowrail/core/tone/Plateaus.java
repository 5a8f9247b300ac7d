package yellowrail.core.tone;

import java.util.ArrayList;
import java.util.List;

/**
 * Where a recording stands still: stretches in which neither level nor tone moves, as a signal that goes step by step
 * has them. Both are watched in frames under a raised cosine: the root of the mean square, and that of the slope over
 * it, which follows the frequency.
 */
final class Plateaus {

    /** Four turns of 20 Hz, s. */
    private static final double FRAME = 0.2;

    private static final double HOP = 0.025;
    /** A step of a quarter of a decibel is six times that; far into clipping the level hardly rises with the drive. */
    private static final double SAME_LEVEL = 0.005;

    private static final double SAME_SLOPE = 0.03;
    /** Cut off at both ends: a frame takes little notice of what its edges hold, s. */
    private static final double MARGIN = 0.1;

    private static final double LEAST = 0.15;

    private final double[] samples;
    private final double perSecond;
    private final double[] weights;
    private final int hop;

    /** Samples from the first to before the last. */
    record Stretch(int from, int to) {}

    Plateaus(double[] samples, double perSecond) {
        this.samples = samples;
        this.perSecond = perSecond;
        this.weights = new double[(int) (FRAME * perSecond)];
        this.hop = (int) (HOP * perSecond);
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            weights[i] = 1 - Math.cos(2 * Math.PI * (i + 0.5) / weights.length);
            sum += weights[i];
        }
        for (int i = 0; i < weights.length; i++) {
            weights[i] /= sum;
        }
    }

    /** What a frame is like. */
    private record Frame(double level, double slope) {

        boolean isLike(Frame other) {
            return Math.abs(level - other.level) <= SAME_LEVEL * other.level
                    && Math.abs(slope - other.slope) <= SAME_SLOPE * other.slope;
        }
    }

    /** In their order; none that is silent. */
    List<Stretch> find() {
        List<Stretch> found = new ArrayList<>();
        int frames = Math.max(0, (samples.length - weights.length - 1) / hop);
        int first = 0;
        Frame like = null;
        for (int i = 0; i <= frames; i++) {
            Frame frame = i < frames ? frame(i * hop) : null;
            if (like == null || frame == null || !frame.isLike(like)) {
                if (like != null && like.level() > 0) {
                    add(found, first * hop, (i - 1) * hop + weights.length);
                }
                first = i;
                like = frame;
            } else if (i == first + 1) {
                // The first frame may still see what was before.
                like = frame;
            }
        }
        return found;
    }

    private void add(List<Stretch> found, int from, int to) {
        int margin = (int) (MARGIN * perSecond);
        if (to - from - 2 * margin >= LEAST * perSecond) {
            found.add(new Stretch(from + margin, to - margin));
        }
    }

    private Frame frame(int from) {
        double squares = 0;
        double slopes = 0;
        for (int i = 0; i < weights.length; i++) {
            double sample = samples[from + i];
            double slope = samples[from + i + 1] - sample;
            squares += weights[i] * sample * sample;
            slopes += weights[i] * slope * slope;
        }
        return new Frame(Math.sqrt(squares), squares == 0 ? 0 : Math.sqrt(slopes / squares));
    }
}
