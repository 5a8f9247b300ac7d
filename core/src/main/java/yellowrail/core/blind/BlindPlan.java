package yellowrail.core.blind;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * What is set when, and what the listener calls it.
 *
 * @param kind of comparison
 * @param steps in their order
 */
public record BlindPlan(Kind kind, List<Step> steps) {

    public static final int FEWEST_SETTINGS = 2;
    public static final int MOST_SETTINGS = 5;
    /** Rounds of marks that are prepared; one may stop after any of them. */
    public static final int MOST_ROUNDS = 10;

    public static final int MOST_GUESSES = 16;

    /** The third of every three in a comparison of two is one of the first two. */
    public static final String UNKNOWN = "X";

    public enum Kind {
        /** Every setting has a letter for good and gets a mark in each round. */
        MARKS,
        /** A, then B, then one of them: which? */
        GUESSES
    }

    /**
     * @param round from 1
     * @param label what the listener calls it
     * @param setting which it is, from 0
     */
    public record Step(int round, String label, int setting) {}

    public BlindPlan {
        steps = List.copyOf(steps);
    }

    /** @param chance that nobody can foresee */
    public static BlindPlan marks(int settings, Random chance) {
        if (settings < FEWEST_SETTINGS || settings > MOST_SETTINGS) {
            throw new IllegalArgumentException(
                    "%d to %d settings, was %d".formatted(FEWEST_SETTINGS, MOST_SETTINGS, settings));
        }
        List<Integer> letters = shuffled(settings, chance);
        List<Step> steps = new ArrayList<>();
        for (int round = 1; round <= MOST_ROUNDS; round++) {
            for (int setting : shuffled(settings, chance)) {
                steps.add(new Step(round, letter(letters.get(setting)), setting));
            }
        }
        return new BlindPlan(Kind.MARKS, steps);
    }

    /** @param chance that nobody can foresee */
    public static BlindPlan guesses(Random chance) {
        int first = chance.nextInt(2);
        List<Step> steps = new ArrayList<>();
        for (int round = 1; round <= MOST_GUESSES; round++) {
            steps.add(new Step(round, letter(0), first));
            steps.add(new Step(round, letter(1), 1 - first));
            steps.add(new Step(round, UNKNOWN, chance.nextInt(2)));
        }
        return new BlindPlan(Kind.GUESSES, steps);
    }

    private static List<Integer> shuffled(int count, Random chance) {
        List<Integer> order = new ArrayList<>(IntStream.range(0, count).boxed().toList());
        Collections.shuffle(order, chance);
        return order;
    }

    private static String letter(int number) {
        return String.valueOf((char) ('A' + number));
    }

    /** What the listener calls a setting. */
    public String labelOf(int setting) {
        return steps.stream()
                .filter(step -> step.setting() == setting && !step.label().equals(UNKNOWN))
                .findFirst()
                .orElseThrow()
                .label();
    }

    /** How many steps make a round. */
    public int perRound() {
        return (int) steps.stream().filter(step -> step.round() == 1).count();
    }
}
