package yellowrail.core.tone;

import java.util.Optional;

/**
 * Whether the sound card clipped: samples in a row that stand at one extreme, near full scale, and more of them than a
 * sine of that height leaves there by itself.
 */
final class CardClip {

    private static final double NEAR_FULL = 0.985;
    /** Samples this near an extreme stand at it: a step of 16 bits. */
    private static final double STEP = 1.0 / (1 << 15);

    private static final int MORE = 2;

    private CardClip() {}

    static Optional<ToneNote> of(double[] samples, double perSecond, Line tone) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (double sample : samples) {
            least = Math.min(least, sample);
            most = Math.max(most, sample);
        }
        int expected = atCrest(Math.max(most, -least), 2 * Math.PI * tone.hertz() / perSecond);
        int clipped = 0;
        int first = -1;
        int row = 0;
        for (int i = 0; i < samples.length; i++) {
            boolean at =
                    most >= NEAR_FULL && samples[i] >= most - STEP || -least >= NEAR_FULL && samples[i] <= least + STEP;
            row = at ? row + 1 : 0;
            if (row > expected + MORE) {
                clipped += row == expected + MORE + 1 ? row : 1;
                first = first < 0 ? i - row + 1 : first;
            }
        }
        return clipped == 0 ? Optional.empty() : Optional.of(new ToneNote.CardClipped(clipped, first / perSecond));
    }

    /** How many samples of a sine lie within two steps of its crest. */
    private static int atCrest(double peak, double radians) {
        return (int) Math.ceil(2 * Math.acos(Math.max(-1, 1 - 2 * STEP / peak)) / radians);
    }
}
