package yellowrail.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.quantity.Estimate;
import yellowrail.core.reading.EntryLine;
import yellowrail.core.reading.Reading;

class ByHandTest {

    static final Instant NOON = Instant.parse("2026-11-26T12:00:00Z");

    /** A log, a line a minute. */
    static List<Reading> log(String... lines) {
        EntryLine parser = new EntryLine(Amps.pair());
        List<Reading> readings = new ArrayList<>();
        for (String line : lines) {
            for (var entry : parser.parse(line)) {
                readings.add(new Reading(readings.size() + 1, entry, NOON.plusSeconds(60L * readings.size())));
            }
        }
        return readings;
    }

    private static ByHand only(String... lines) {
        List<ByHand> all = ByHand.all(log(lines));
        return all.get(all.size() - 1);
    }

    private static Measured figure(ByHand read, ProofKind kind) {
        return read.figures().stream()
                .filter(each -> each.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void wattsOfRmsVoltsAtATrueLoad() {
        // 16.9^2 / 8.1 = 35.260 W. By a meter 1 % and 3 digits of 0.1 V: 0.469 V, 2.77 % of 16.9, twice that in watts;
        // half a digit of 8.1: 0.62 %; root of the sum of squares: 5.58 %, 1.97 W.
        Estimate watts = only("clips 16.9 Vrms 8.1R 1k").watts().orElseThrow();

        assertThat(watts.value()).isCloseTo(35.260, within(1e-3));
        assertThat(watts.plusMinus()).isCloseTo(1.97, within(0.02));
    }

    @Test
    void anEightTypedWithoutDigitsIsHardlyKnown() {
        // Half an ohm of eight: 6.25 %.
        assertThat(only("clips 16.90 Vrms 8R").watts().orElseThrow().plusMinus())
                .isGreaterThan(2.2);
    }

    @Test
    void aLoadHoldsUntilAnotherIsTold() {
        ByHand second = only("clips 16.9V 8.1R 1k", "plate 452", "out 2.83V 1k");

        assertThat(second.loadFromBefore()).isTrue();
        assertThat(second.watts().orElseThrow().value()).isCloseTo(0.98875, within(1e-4));
        assertThat(only("clips 16.9V 8.1R 1k", "out 2.83V 4R")
                        .watts()
                        .orElseThrow()
                        .value())
                .isCloseTo(2.0022, within(1e-3));
    }

    @Test
    void withoutALoadThereAreVoltsAndNoWatts() {
        ByHand scope = only("scope 2.5div 0.1V");

        assertThat(scope.volts().orElseThrow().value()).isCloseTo(0.088388, within(1e-6));
        assertThat(scope.watts()).isEmpty();
        assertThat(scope.figures()).isEmpty();
    }

    @Test
    void dampingOfLoadedAndOpenVolts() {
        // 2.830 / (3.100 - 2.830) = 10.48; three last digits of a millivolt: 3 mV of 270, twice: 1.6 %.
        Measured damping = figure(only("damping 2.830V 3.100V 8R"), ProofKind.DAMPING);

        assertThat(damping.value().value()).isCloseTo(10.481, within(1e-3));
        assertThat(damping.value().plusMinus()).isCloseTo(0.174, within(0.01));
        assertThat(only("damping 2.83V 2.83V 8R").figures())
                .as("nothing pulled down")
                .isEmpty();
    }

    @Test
    void gainAndSensitivityOfWhatWentIn() {
        ByHand clips = only("clips 16.9V 8.1R 1k in 0.42V");

        assertThat(figure(clips, ProofKind.GAIN).value().value()).isCloseTo(40.24, within(0.01));
        assertThat(figure(clips, ProofKind.SENSITIVITY).value().value()).isEqualTo(0.42);
    }

    @Test
    void whatWasPlayedIsACondition() {
        Measured thd = figure(only("clips 16.9V 8R", "thd 0.7% 2.83V 1k"), ProofKind.DISTORTION);

        assertThat(thd.value().value()).isCloseTo(0.007, within(1e-12));
        assertThat(thd.at().watts().getAsDouble()).isCloseTo(1.0011, within(1e-3));
        assertThat(figure(only("thd+n 0.9% 1W 1k band 80k"), ProofKind.DISTORTION_AND_NOISE)
                        .at()
                        .bandHertz())
                .hasValue(80_000);
    }

    @Test
    void edgesOfTheBand() {
        assertThat(figure(only("response 22Hz -1dB"), ProofKind.LOW_EDGE).at().decibels())
                .hasValue(-1);
        assertThat(figure(only("response 31k"), ProofKind.HIGH_EDGE).value().plusMinus())
                .isEqualTo(500);
    }

    @Test
    void humBelowFullPower() {
        assertThat(ProofArithmetic.decibelsBelow(0.0024, 16.9)).isCloseTo(76.95, within(0.01));
    }
}
