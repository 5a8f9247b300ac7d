package yellowrail.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yellowrail.core.Amps;
import yellowrail.core.Told;
import yellowrail.core.move.NextMove;
import yellowrail.core.reading.Reading;

class BenchTest {

    private static Bench warm(Exercise exercise, long seed) {
        Bench bench = new Workshop(exercise, seed).bench();
        bench.power(true);
        bench.advance(400);
        return bench;
    }

    private static double milliamps(Bench bench, String point) {
        return 1000 * bench.read(point).value();
    }

    @Test
    void currentsComeWithTheWarmUpAndObeyTheSupply() {
        Bench bench = new Workshop(Exercise.NOTHING_WRONG, 3).bench();
        assertThat(bench.read("plate").value()).isZero();
        bench.power(true);
        bench.advance(5);
        double unloaded = bench.read("plate").value();
        assertThat(milliamps(bench, "V1")).isZero();
        bench.turn(0, 0.4);
        bench.advance(120);
        assertThat(milliamps(bench, "V1")).isGreaterThan(4);
        assertThat(bench.read("plate").value()).isLessThan(unloaded - 5);
        bench.power(false);
        assertThat(milliamps(bench, "V1")).isZero();
        assertThatThrownBy(() -> bench.read("ceiling")).hasMessage("there is no ceiling to put the lead on");
        assertThatThrownBy(() -> bench.turn(0, 1.5)).hasMessage("a pot stands between 0 and 1, was 1.5");
    }

    /** Reads, turns as told and reads again, as the application and its user do. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void aHealthyAmpIsSetAndPasses(long seed) {
        Bench bench = warm(Exercise.NOTHING_WRONG, seed);
        set(bench, 3);
        Marking marking =
                Marking.of(Exercise.NOTHING_WRONG, bench, Exercise.NOTHING_WRONG, List.of(), OptionalDouble.empty());
        assertThat(marking.lines().get(2).result()).isInstanceOf(PracticeFinding.HottestAndMean.class);
        assertThat(marking.passed()).as(marking.toString()).isTrue();
        assertThat(Marking.of(Exercise.NOTHING_WRONG, bench, Exercise.OPEN_POT, List.of(), OptionalDouble.empty())
                        .passed())
                .isFalse();
    }

    private static void set(Bench bench, int rounds) {
        List<Reading> readings = new ArrayList<>();
        for (int round = 0; round < rounds; round++) {
            for (String probe : List.of("mains", "V1", "V2", "plate", "bias")) {
                bench.advance(2);
                readings.add(new Reading(readings.size() + 1L, bench.read(probe), Amps.NOON.plusSeconds((long)
                        bench.state().seconds())));
            }
            NextMove move = Amps.move(bench.sheet(), readings).orElseThrow();
            if (move.kind() == NextMove.Kind.TURN) {
                NextMove.Step step = move.steps().get(0);
                bench.turn(0, RandomAmp.potWhere(pot -> {
                    bench.turn(0, pot);
                    return bench.read(step.mark().testPoint()).value()
                            - step.mark().to();
                }));
            }
        }
    }

    @Test
    void abuseMakesAPlateGlowAndThenRuinsTheTube() {
        Bench bench = warm(Exercise.NOTHING_WRONG, 1);
        bench.turn(0, 1);
        bench.advance(20);
        List<PracticeFinding> happened = new ArrayList<>(bench.events());
        bench.advance(300);
        happened.addAll(bench.events());
        assertThat(Told.one(happened, PracticeFinding.RedPlates.class).socket()).isEqualTo("V1");
        assertThat(Told.one(happened, PracticeFinding.TubeLost.class).socket()).isEqualTo("V1");
        assertThat(bench.state().failed()).contains(true);
        assertThat(Marking.of(Exercise.NOTHING_WRONG, bench, Exercise.NOTHING_WRONG, List.of(), OptionalDouble.empty())
                        .passed())
                .isFalse();
    }

    /** Off, nothing glowing, the right word said: and still no pass without having looked. */
    @Test
    void aGuessDoesNotPass() {
        Bench open = new Workshop(Exercise.OPEN_POT, 2).bench();
        Marking guessed =
                Marking.of(Exercise.OPEN_POT, open, Exercise.OPEN_POT, List.of("V1", "V2"), OptionalDouble.empty());
        assertThat(guessed.passed()).isFalse();
        assertThat(guessed.lines().get(1).result()).isEqualTo(new PracticeFinding.OnAGuessUnread(List.of("V1", "V2")));
        assertThat(Marking.of(Exercise.OPEN_POT, open, Exercise.OPEN_POT, List.of(), OptionalDouble.empty())
                        .lines()
                        .get(1)
                        .result())
                .isInstanceOf(PracticeFinding.OnAGuessNothingTurned.class);
        open.turn(0, 0.6);
        assertThat(Marking.of(Exercise.OPEN_POT, open, Exercise.OPEN_POT, List.of(), OptionalDouble.empty())
                        .passed())
                .isTrue();
        Bench leaking = new Workshop(Exercise.LEAKY_CAPACITOR, 2).bench();
        assertThat(Marking.of(
                                Exercise.LEAKY_CAPACITOR,
                                leaking,
                                Exercise.LEAKY_CAPACITOR,
                                List.of(),
                                OptionalDouble.empty())
                        .lines()
                        .get(1)
                        .result())
                .isInstanceOf(PracticeFinding.OnAGuessNothingExchanged.class);
        leaking.swap(0, 1);
        leaking.swap(0, 1);
        assertThat(Marking.of(
                                Exercise.LEAKY_CAPACITOR,
                                leaking,
                                Exercise.LEAKY_CAPACITOR,
                                List.of(),
                                OptionalDouble.empty())
                        .passed())
                .isTrue();
    }

    @Test
    void everyFaultShowsOnTheMeter() {
        Bench mismatched = warm(Exercise.MISMATCHED_PAIR, 2);
        assertThat(milliamps(mismatched, "V1") / milliamps(mismatched, "V2")).isGreaterThan(1.25);
        Bench reversed = warm(Exercise.WRONG_DIRECTION, 2);
        double before = milliamps(reversed, "V1");
        reversed.turn(0, reversed.state().pots().get(0) - 0.2);
        assertThat(milliamps(reversed, "V1")).isGreaterThan(before);
        assertThat(warm(Exercise.MAINS_LOW, 2).read("mains").value()).isLessThan(113);
        Bench shared = warm(Exercise.SHARED_RESISTOR, 2);
        assertThat(milliamps(shared, "V1"))
                .isCloseTo(1000 * (shared.idle().cathodeAmps(0) + shared.idle().cathodeAmps(1)), within(1.0));
        Bench open = warm(Exercise.OPEN_POT, 2);
        double stuck = open.read("bias").value();
        open.turn(0, 0.9);
        assertThat(open.read("bias").value()).isCloseTo(stuck, within(0.2));
        Bench balance = warm(Exercise.BALANCE_ONLY, 2);
        double one = milliamps(balance, "V1");
        double other = milliamps(balance, "V2");
        balance.turn(0, 0.7);
        assertThat(milliamps(balance, "V1")).isGreaterThan(one * 1.05);
        assertThat(milliamps(balance, "V2")).isLessThan(other * 0.95);
        assertThat(new Workshop(Exercise.UNLOADED_VOLTAGE, 2).platesAsFound()).isPresent();
    }

    @Test
    void aCreepGoesWithTheTubeAndALeakStaysWithTheSocket() {
        Bench creeping = warm(Exercise.CREEPING_TUBE, 4);
        double early = milliamps(creeping, "V1");
        creeping.advance(600);
        assertThat(milliamps(creeping, "V1")).isGreaterThan(early * 1.1);
        assertThatThrownBy(() -> creeping.swap(0, 1)).hasMessageContaining("with the amp off");
        Bench leaking = warm(Exercise.LEAKY_CAPACITOR, 4);
        assertThat(milliamps(leaking, "V2")).isGreaterThan(milliamps(leaking, "V1") * 1.2);
        leaking.power(false);
        leaking.swap(0, 1);
        leaking.power(true);
        leaking.advance(400);
        assertThat(milliamps(leaking, "V2")).isGreaterThan(milliamps(leaking, "V1") * 1.2);
    }

    @ParameterizedTest
    @EnumSource(Exercise.class)
    void aBenchComesBackAsItWasLeft(Exercise exercise) {
        Bench bench = warm(exercise, 9);
        Bench again = new Workshop(exercise, 9).bench(bench.state());
        assertThat(again.state()).isEqualTo(bench.state());
        assertThat(again.read("V1")).isEqualTo(bench.read("V1"));
    }

    @Test
    void oneMoreAmpMoreMilliampsAndFullerWatts() {
        RandomAmp amp = new RandomAmp(11, true, true);
        assertThat(amp.at(0.6, 1).meanWatts()).isGreaterThan(amp.at(0.5, 1).meanWatts());
        assertThat(amp.at(0.5, 1.02).plate()).isGreaterThan(amp.at(0.5, 1).plate());
        OperatingPoint point = amp.at(0.5, 1);
        assertThat(point.watts(0))
                .isCloseTo((point.plate() - point.cathodes()[0]) * point.plateAmps()[0], within(1e-12));
    }
}
