package yellowrail.core.blind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class BlindTest {

    private static MarkedRounds marked(int[]... rounds) {
        return new MarkedRounds(rounds);
    }

    private static int[][] times(int count, int... round) {
        int[][] rounds = new int[count][];
        Arrays.fill(rounds, round);
        return rounds;
    }

    @Test
    void everyRoundHoldsEverySettingOnceUnderItsLetter() {
        for (int settings = 2; settings <= 5; settings++) {
            BlindPlan plan = BlindPlan.marks(settings, new Random(settings));
            int count = settings;
            assertThat(plan.perRound()).isEqualTo(settings);
            for (int round = 1; round <= BlindPlan.MOST_ROUNDS; round++) {
                int at = round;
                assertThat(plan.steps().stream()
                                .filter(step -> step.round() == at)
                                .map(BlindPlan.Step::setting))
                        .containsExactlyInAnyOrderElementsOf(
                                IntStream.range(0, count).boxed().toList());
            }
            assertThat(plan.steps()).allMatch(step -> step.label().equals(plan.labelOf(step.setting())));
        }
    }

    @Test
    void lettersAndOrdersDifferFromPlanToPlan() {
        Set<List<Integer>> orders = new HashSet<>();
        Set<String> first = new HashSet<>();
        for (int seed = 0; seed < 200; seed++) {
            BlindPlan plan = BlindPlan.marks(3, new Random(seed));
            orders.add(plan.steps().subList(0, 3).stream()
                    .map(BlindPlan.Step::setting)
                    .toList());
            first.add(plan.labelOf(0));
        }
        assertThat(orders).hasSize(6);
        assertThat(first).containsExactlyInAnyOrder("A", "B", "C");
    }

    @Test
    void theThirdIsOneOfTheFirstTwo() {
        BlindPlan plan = BlindPlan.guesses(new Random(1));

        assertThat(plan.steps()).hasSize(48);
        assertThat(plan.steps().stream()
                        .filter(step -> step.label().equals("X"))
                        .map(BlindPlan.Step::setting))
                .contains(0, 1);
        assertThatThrownBy(() -> BlindPlan.marks(6, new Random())).hasMessageContaining("2 to 5 settings, was 6");
    }

    @Test
    void twoSettingsAreTheSignTest() {
        // Six of six the same way: 2 / 64.
        assertThat(marked(times(6, 7, 4)).byChance()).isCloseTo(2.0 / 64, within(1e-12));
        // Five of six: 2 (1 + 6) / 64.
        int[][] five = times(6, 7, 4);
        five[3] = new int[] {4, 5};
        assertThat(marked(five).byChance()).isCloseTo(14.0 / 64, within(1e-12));
    }

    @Test
    void threeSettingsAgainstAPublishedTable() {
        // Friedman's S for 3 settings, 4 rounds: all alike, S = 32, 0.0046; S = 26, 0.042 (rounded tables 0.005,
        // 0.042).
        assertThat(marked(times(4, 1, 5, 9)).byChance()).isCloseTo(1.0 / 216, within(1e-9));
        int[][] nearly = times(4, 1, 5, 9);
        nearly[0] = new int[] {5, 1, 9};
        assertThat(marked(nearly).byChance()).isCloseTo(0.042, within(0.0005));
    }

    @Test
    void anExactCountAgreesWithDice() {
        int[][] marks = {{3, 5, 8, 2}, {4, 4, 7, 5}, {2, 6, 6, 3}, {5, 4, 8, 4}};
        Random dice = new Random(7);
        double found = marked(marks).agreement();
        int often = 0;
        int throwsOfDice = 40_000;
        for (int i = 0; i < throwsOfDice; i++) {
            int[][] thrown = Arrays.stream(marks)
                    .map(round -> {
                        List<Integer> list =
                                new ArrayList<>(Arrays.stream(round).boxed().toList());
                        Collections.shuffle(list, dice);
                        return list.stream().mapToInt(Integer::intValue).toArray();
                    })
                    .toArray(int[][]::new);
            often += marked(thrown).agreement() >= found - 1e-12 ? 1 : 0;
        }
        assertThat(marked(marks).byChance()).isCloseTo((double) often / throwsOfDice, within(0.006));
    }

    @Test
    void agreementGoesFromNothingToOne() {
        assertThat(marked(times(3, 2, 5, 8)).agreement()).isCloseTo(1, within(1e-12));
        assertThat(marked(new int[] {1, 9}, new int[] {9, 1}).agreement()).isZero();
        assertThat(marked(times(3, 5, 5, 5)).byChance()).as("all alike").isCloseTo(1, within(1e-12));
    }

    @Test
    void whatIsSaidOfIt() {
        assertThat(marked(times(6, 7, 4)).finding()).isInstanceOf(BlindFinding.HardlyChance.class);
        assertThat(marked(times(3, 7, 4)).finding()).isEqualTo(new BlindFinding.TooFewRounds(3, 0.25));
        int[][] mixed = times(6, 7, 4);
        mixed[3] = new int[] {4, 5};
        assertThat(marked(mixed).finding()).isInstanceOf(BlindFinding.CouldBeChance.class);
        assertThat(marked(mixed).best()).isZero();
        assertThat(marked(mixed).mean(1)).isCloseTo(25.0 / 6, within(1e-12));
    }

    @Test
    void guessesAreCountedByTheBinomial() {
        // 9 of 10: (10 + 1) / 1024; 8 of 10: 56 / 1024.
        assertThat(new Guesses(9, 10).byChance()).isCloseTo(11.0 / 1024, within(1e-12));
        assertThat(new Guesses(8, 10).byChance()).isCloseTo(56.0 / 1024, within(1e-12));
        assertThat(new Guesses(9, 10).finding()).isInstanceOf(BlindFinding.ToldApart.class);
        assertThat(new Guesses(8, 10).finding()).isInstanceOf(BlindFinding.GuessedByChance.class);
        assertThat(new Guesses(3, 3).finding()).isInstanceOf(BlindFinding.TooFewRounds.class);
        assertThat(new Guesses(0, 10).byChance()).isCloseTo(1, within(1e-12));
    }

    @Test
    void asManyRoundsOfFiveAsThereAreAreCounted() {
        int[][] marks = new int[BlindPlan.MOST_ROUNDS][];
        Random random = new Random(3);
        Arrays.setAll(
                marks,
                i -> IntStream.range(0, 5).map(j -> 1 + random.nextInt(9)).toArray());

        assertThat(marked(marks).byChance()).isBetween(0.0, 1.0);
    }
}
