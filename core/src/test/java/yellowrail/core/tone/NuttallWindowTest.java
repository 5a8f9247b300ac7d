package yellowrail.core.tone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The closed forms against the sums, term by term. */
class NuttallWindowTest {

    @Property(tries = 200)
    void sumsAreWhatTheTermsAddUpTo(
            @ForAll @IntRange(min = 8, max = 400) int samples,
            @ForAll @DoubleRange(min = -6.2, max = 6.2) double radians) {
        NuttallWindow window = new NuttallWindow(samples);
        double[] weights = window.weights();
        double sum = 0;
        double moment = 0;
        double spread = 0;
        for (int i = 0; i < samples; i++) {
            sum += weights[i] * Math.cos(radians * window.time(i));
            moment += weights[i] * window.time(i) * Math.sin(radians * window.time(i));
            spread += weights[i] * window.time(i) * window.time(i);
        }
        assertThat(window.sum(radians)).isCloseTo(sum, within(1e-9 * samples));
        assertThat(window.moment(radians)).isCloseTo(moment, within(1e-7 * samples * samples));
        assertThat(window.spread()).isCloseTo(spread, within(1e-6 * spread));
    }

    /** Nothing beyond the main lobe is louder than 93 dB below it. */
    @Test
    void linesLeakLittle() {
        NuttallWindow window = new NuttallWindow(4096);
        for (double bins = NuttallWindow.LOBE; bins < 1000; bins += 0.37) {
            assertThat(Math.abs(window.sum(2 * Math.PI * bins / 4096)))
                    .as("%s bins", bins)
                    .isLessThan(2.4e-5 * window.sum(0));
        }
    }

    @Test
    void noiseBinsAreThoseOfItsWeights() {
        double[] weights = new NuttallWindow(4096).weights();
        double sum = 0;
        double squares = 0;
        for (double weight : weights) {
            sum += weight;
            squares += weight * weight;
        }
        assertThat(4096 * squares / (sum * sum)).isCloseTo(NuttallWindow.NOISE_BINS, within(1e-3));
    }
}
