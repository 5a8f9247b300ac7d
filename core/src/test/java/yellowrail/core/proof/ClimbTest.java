package yellowrail.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import yellowrail.core.proof.Climb.Goal;
import yellowrail.core.proof.Climb.Heard;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.tone.Band;
import yellowrail.core.tone.Hearing;
import yellowrail.core.tone.Tone;

class ClimbTest {

    private static final int RATE = 48_000;
    private static final double OHMS = 8;
    private static final double FULL_SCALE = 60;
    private static final OptionalDouble NONE = OptionalDouble.empty();

    /** An amp that clips softly at so many volts, listened to for 0.2 s at each level. */
    private static List<Climb.Next> climb(Climb climb, double gain, double clips) {
        List<Climb.Next> steps = new ArrayList<>();
        double level = Climb.BEGIN;
        Optional<Heard> before = Optional.empty();
        while (steps.isEmpty() || !steps.get(steps.size() - 1).isOver()) {
            assertThat(steps).hasSizeLessThan(80);
            Heard now = listen(climb, level, gain, clips);
            Climb.Next next = climb.next(now, before);
            before = Optional.of(now);
            steps.add(next);
            assertThat(next.level() - level).isLessThanOrEqualTo(6);
            level = next.level();
        }
        return steps;
    }

    private static Heard listen(Climb climb, double level, double gain, double clips) {
        double peak = Math.pow(10, level / 20);
        double[] volts = Arrays.stream(TestSignal.sine(1000, peak, 0.3).samples(RATE))
                .skip((int) (TestSignal.RAMP * RATE))
                .limit(RATE / 5)
                .map(sample -> clips * Math.tanh(gain * sample / clips))
                .toArray();
        double[] heard = Arrays.stream(volts)
                .map(volt -> volt / FULL_SCALE + 1e-6 * Math.sin(volt))
                .toArray();
        Hearing hearing =
                Hearing.of(List.of(heard), RATE, 60, new Band(20, 20_000)).get(0);
        OptionalDouble watts = hearing.outcome().tone().isPresent()
                ? OptionalDouble.of(Math.pow(
                                FULL_SCALE
                                        * hearing.outcome()
                                                .tone()
                                                .get()
                                                .fundamental()
                                                .rms(),
                                2)
                        / OHMS)
                : OptionalDouble.empty();
        double most = Arrays.stream(heard).map(Math::abs).max().orElseThrow();
        return climb.heard(level, hearing.outcome().tone(), watts, most);
    }

    private static ClimbFinding end(List<Climb.Next> steps) {
        return steps.get(steps.size() - 1).says().orElseThrow();
    }

    @Test
    void aWattIsFoundInAFewSteps() {
        List<Climb.Next> steps = climb(new Climb(Goal.POWER, 1, 1000), 300, 25);

        assertThat(end(steps))
                .isInstanceOfSatisfying(
                        ClimbFinding.PowerReached.class,
                        told -> assertThat(told.watts()).isCloseTo(1, within(0.03)));
        assertThat(steps).hasSizeLessThan(8);
    }

    @Test
    void distortionIsClimbedToFinelyWhereItRises() {
        List<Climb.Next> steps = climb(new Climb(Goal.CLIPPING, 0.1, 1000), 60, 20);

        assertThat(end(steps))
                .isInstanceOfSatisfying(
                        ClimbFinding.Clips.class,
                        told -> assertThat(told.distortion()).isBetween(0.1, 0.13));
        assertThat(steps.get(steps.size() - 2).level()
                        - steps.get(steps.size() - 3).level())
                .isCloseTo(0.5, within(1e-9));
    }

    @Test
    void whatCannotBeReachedIsTold() {
        assertThat(end(climb(new Climb(Goal.POWER, 100, 1000), 300, 12))).isInstanceOf(ClimbFinding.ClipsBefore.class);
        assertThat(end(climb(new Climb(Goal.POWER, 50, 1000), 10, 1000))).isEqualTo(new ClimbFinding.NoHigher());
        assertThat(end(climb(new Climb(Goal.CLIPPING, 0.1, 1000), 100, 1000))).isEqualTo(new ClimbFinding.CardFull());
        assertThat(end(climb(new Climb(Goal.POWER, 1, 1000), 0, 20))).isEqualTo(new ClimbFinding.NothingComesBack());
    }

    @Test
    void aHandOnTheVolumeControlEndsIt() {
        Climb climb = new Climb(Goal.POWER, 10, 1000);
        Heard before =
                new Heard(-30, OptionalDouble.of(0.01), OptionalDouble.of(0.05), 0.001, OptionalDouble.empty(), 0.02);

        assertThat(climb.next(
                                new Heard(
                                        -24,
                                        OptionalDouble.of(0.02),
                                        OptionalDouble.of(0.2),
                                        0.001,
                                        OptionalDouble.empty(),
                                        0.03),
                                Optional.of(before))
                        .isOver())
                .isFalse();
        assertThat(climb.next(
                                new Heard(
                                        -24,
                                        OptionalDouble.of(0.08),
                                        OptionalDouble.of(3),
                                        0.001,
                                        OptionalDouble.empty(),
                                        0.1),
                                Optional.of(before))
                        .says()
                        .orElseThrow())
                .isInstanceOfSatisfying(
                        ClimbFinding.Jumped.class,
                        told -> assertThat(told.decibels()).isCloseTo(12.06, within(0.01)));
    }

    /** A cold stage distorts a small tone most: that is no clipping. */
    @Test
    void distortionThatFallsWithTheLevelIsPassedBy() {
        Climb climb = new Climb(Goal.CLIPPING, 0.1, 1000);
        Heard first =
                new Heard(-40, OptionalDouble.of(0.001), OptionalDouble.empty(), 0.3, OptionalDouble.empty(), 0.002);
        Heard second = new Heard(
                -39.5, OptionalDouble.of(0.00106), OptionalDouble.empty(), 0.28, OptionalDouble.empty(), 0.002);

        assertThat(climb.next(first, Optional.empty()).isOver()).isFalse();
        assertThat(climb.next(second, Optional.of(first)).isOver()).isFalse();
    }

    /** It may distort a tenth and more before it clips. */
    @Test
    void whileTheTopsAreRoundItGoesOn() {
        Climb climb = new Climb(Goal.CLIPPING, 0.1, 1000);
        Heard first = new Heard(-22, OptionalDouble.of(0.01), NONE, 0.11, OptionalDouble.of(0.98), 0.02);
        Heard round = new Heard(-20, OptionalDouble.of(0.0126), NONE, 0.12, OptionalDouble.of(0.97), 0.02);
        Heard flat = new Heard(-10, OptionalDouble.of(0.03), NONE, 0.14, OptionalDouble.of(0.4), 0.04);

        assertThat(climb.next(round, Optional.of(first)).isOver()).isFalse();
        assertThat(climb.next(flat, Optional.of(round)).says()).contains(new ClimbFinding.Clips(0.14));
        Heard little = new Heard(-2, OptionalDouble.of(0.04), NONE, 0.06, OptionalDouble.of(0.3), 0.05);
        assertThat(climb.next(little, Optional.of(new Heard(-3, OptionalDouble.of(0.038), NONE, 0.05, NONE, 0.05)))
                        .isOver())
                .as("flat, but 10 % may come")
                .isFalse();
        Heard top = new Heard(0, OptionalDouble.of(0.042), NONE, 0.08, OptionalDouble.of(0.2), 0.05);
        assertThat(climb.next(top, Optional.of(little)).says()).contains(new ClimbFinding.Clips(0.08));
    }

    @Test
    void tooLoudGoesDown() {
        Climb.Next next = new Climb(Goal.POWER, 1, 1000)
                .next(
                        new Heard(
                                -10, OptionalDouble.of(0.2), OptionalDouble.of(4), 0.001, OptionalDouble.empty(), 0.3),
                        Optional.empty());

        assertThat(next.level()).isCloseTo(-16.02, within(0.01));
        assertThat(next.isOver()).isFalse();
    }

    /** Hum that is louder than the tone is not the tone, however it is bent. */
    @Test
    void anotherToneIsNotIt() {
        Optional<Tone> tone = Hearing.of(
                        List.of(TestSignal.sine(1000, 0.1, 0.3).samples(RATE)), RATE, 60, new Band(20, 20_000))
                .get(0)
                .outcome()
                .tone();

        assertThat(new Climb(Goal.POWER, 1, 1000)
                        .heard(-30, tone, OptionalDouble.of(1), 0.1)
                        .heard())
                .isPresent();
        Heard other = new Climb(Goal.POWER, 1, 400).heard(-30, tone, OptionalDouble.of(1), 0.1);
        assertThat(other.heard()).isEmpty();
        assertThat(other.watts()).isEmpty();
        assertThat(other.distortion()).isZero();
    }

    @Test
    void withoutAScaleThereAreNoWatts() {
        Climb.Next next = new Climb(Goal.POWER, 1, 1000)
                .next(
                        new Heard(
                                -40, OptionalDouble.of(0.01), OptionalDouble.empty(), 0, OptionalDouble.empty(), 0.02),
                        Optional.empty());

        assertThat(next.says()).contains(new ClimbFinding.NoWatts());
        assertThatThrownBy(() -> new Climb(Goal.POWER, Double.NaN, 1000)).hasMessage("a mark of NaN at 1000.0 Hz");
    }
}
