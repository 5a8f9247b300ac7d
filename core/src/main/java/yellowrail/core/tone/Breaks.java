package yellowrail.core.tone;

import java.util.Arrays;
import java.util.Optional;

/**
 * Whether a tone was there all the time: stretches in which far more is left of the samples, without the tone and the
 * hum, than elsewhere. A click, a gap of the sound card, a tone that begins after the recording.
 */
final class Breaks {

    /** A turn of the mains and more, so that their buzz is in every stretch alike, s. */
    private static final double STRETCH = 0.02;
    /** Of the median of mean squares: noise does not reach that. */
    private static final double FAR_MORE = 400;
    /** Of the tone's power: less is not worth a word. */
    private static final double WORTH = 1e-10;

    private Breaks() {}

    /** @param left samples without the tone and the hum */
    static Optional<ToneNote> of(double[] left, double perSecond, Line tone) {
        int length = (int) Math.max(1, STRETCH * perSecond);
        double[] power = new double[left.length / length];
        for (int i = 0; i < power.length; i++) {
            for (int j = i * length; j < (i + 1) * length; j++) {
                power[i] += left[j] * left[j] / length;
            }
        }
        double[] sorted = power.clone();
        Arrays.sort(sorted);
        double most = power.length == 0 ? 0 : Math.max(FAR_MORE * sorted[sorted.length / 2], WORTH * tone.power());
        int stretches = 0;
        int first = -1;
        for (int i = 0; i < power.length; i++) {
            if (power[i] > most) {
                first = first < 0 ? i : first;
                stretches++;
            }
        }
        return stretches == 0
                ? Optional.empty()
                : Optional.of(new ToneNote.NotSteady(first * STRETCH, stretches * STRETCH));
    }
}
