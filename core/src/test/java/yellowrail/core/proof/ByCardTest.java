package yellowrail.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import yellowrail.core.proof.ByCard.Known;
import yellowrail.core.proof.ByCard.Step;

class ByCardTest {

    private static final OptionalDouble NONE = OptionalDouble.empty();
    /** Full scale is 40 V at the amp, into 8 ohm. */
    private static final Known KNOWN =
            new Known(OptionalDouble.of(40), OptionalDouble.of(8), 60, 20_000, ByHandTest.NOON);

    private static ByCard tone(double hertz, double level, Step... steps) {
        return new ByCard(
                hertz,
                level,
                0.01,
                0.011,
                NONE,
                OptionalDouble.of(1e-4),
                OptionalDouble.of(2e-4),
                1e-5,
                List.of(steps));
    }

    private static Measured one(List<Measured> figures, ProofKind kind) {
        List<Measured> of = figures.stream().filter(each -> each.kind() == kind).toList();
        assertThat(of).as("%s in %s", kind, figures).hasSize(1);
        return of.get(0);
    }

    @Test
    void aToneTellsItsDistortionAtItsPowerAndWhatDisturbs() {
        List<Measured> figures = tone(1000, 0.1).figures(KNOWN);

        // 0.1 of 40 V are 4 V: 2 W into 8 ohm.
        assertThat(one(figures, ProofKind.DISTORTION).at().watts().getAsDouble())
                .isCloseTo(2, within(1e-9));
        assertThat(one(figures, ProofKind.HUM).value().value()).isCloseTo(0.004, within(1e-9));
        assertThat(one(figures, ProofKind.RIPPLE).value().value()).isCloseTo(0.008, within(1e-9));
        assertThat(one(figures, ProofKind.NOISE).value().value()).isCloseTo(4e-4, within(1e-9));
    }

    @Test
    void withoutAScaleThereAreNoVolts() {
        List<Measured> figures =
                tone(1000, 0.1).figures(new Known(NONE, OptionalDouble.of(8), 60, 20_000, ByHandTest.NOON));

        assertThat(figures)
                .extracting(Measured::kind)
                .containsExactly(ProofKind.DISTORTION, ProofKind.DISTORTION_AND_NOISE);
        assertThat(figures.get(0).at().watts()).isEmpty();
    }

    @Test
    void aFaintLineOnTheMainsIsHumAndNoToneThatWasPlayed() {
        ByCard silence = new ByCard(120.02, 1e-4, 0.5, 0.6, NONE, NONE, NONE, 1e-5, List.of());

        assertThat(one(silence.figures(KNOWN), ProofKind.RIPPLE).value().value())
                .isCloseTo(0.004, within(1e-9));
        assertThat(silence.figures(KNOWN)).noneMatch(each -> each.kind() == ProofKind.DISTORTION);
        assertThat(tone(120.02, 0.2).figures(KNOWN)).anyMatch(each -> each.kind() == ProofKind.DISTORTION);
    }

    @Test
    void stepsInLevelTellWhereItClips() {
        // Half a decibel apart; the tops are round up to 0.4 of full scale: (0.4 40)^2 / 8 = 32 W.
        Step[] steps = DoubleStream.iterate(0.05, level -> level < 0.5, level -> level * Math.pow(10, 0.025))
                .mapToObj(level -> new Step(
                        1000,
                        level,
                        0.02 * level + (level > 0.4 ? 2 * (level - 0.4) : 0),
                        OptionalDouble.of(level > 0.4 ? 0.0 : 1.0),
                        OptionalDouble.of(0.01 * level),
                        OptionalDouble.of(0.1 * level)))
                .toArray(Step[]::new);
        List<Measured> figures = tone(1000, 0.49, steps).figures(KNOWN);

        assertThat(one(figures, ProofKind.FULL_POWER).value().value()).isCloseTo(32, within(2.0));
        // Of the last step below 0.4.
        assertThat(one(figures, ProofKind.THIRD).value().value()).isBetween(0.037, 0.04);
        assertThat(one(figures, ProofKind.SECOND).value().value()).isBetween(0.0037, 0.004);
        assertThat(figures.stream()
                        .filter(each -> each.kind() == ProofKind.POWER_AT)
                        .map(each -> each.at().mark().getAsDouble()))
                .containsExactly(0.01, 0.03, 0.1);
        assertThat(figures.stream()
                        .filter(each -> each.kind() == ProofKind.DISTORTION)
                        .map(each -> Math.round(each.at().watts().getAsDouble())))
                .containsExactly(1L, 10L);
    }

    @Test
    void stepsInFrequencyTellWhereTheBandEnds() {
        // One pole at 20 Hz and one at 15 kHz: 3 dB down there or nearly, 1 dB at 39.3 Hz and 7.63 kHz.
        Step[] steps = Arrays.stream(
                        new double[] {10, 14, 20, 28, 40, 56, 80, 1000, 5000, 7000, 10_000, 14_000, 20_000})
                .mapToObj(hertz -> new Step(
                        hertz,
                        0.1 / Math.hypot(1, 20 / hertz) / Math.hypot(1, hertz / 15_000),
                        0.001 * hertz,
                        NONE,
                        NONE,
                        NONE))
                .toArray(Step[]::new);
        List<Measured> figures = tone(1000, 0.1, steps).figures(KNOWN);

        assertThat(figures.stream()
                        .filter(each -> each.kind() == ProofKind.LOW_EDGE)
                        .map(each -> Math.round(each.value().value())))
                .containsExactly(39L, 20L);
        assertThat(figures.stream()
                        .filter(each -> each.kind() == ProofKind.HIGH_EDGE)
                        .map(each -> Math.round(each.value().value() / 100)))
                .containsExactly(76L, 149L);
        assertThat(figures.stream()
                        .filter(each -> each.kind() == ProofKind.DISTORTION)
                        .map(each -> each.at().hertz().getAsDouble()))
                .containsExactly(1000.0, 10_000.0);
    }
}
