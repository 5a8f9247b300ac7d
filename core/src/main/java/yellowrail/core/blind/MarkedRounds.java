package yellowrail.core.blind;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Whether marks say more than chance does. In each round the marks become ranks, alike ones the mean of theirs; the
 * ranks of a setting are added over the rounds. With no difference every order of a round's ranks is as likely: how far
 * the sums then lie apart, {@code S = sum (R - mean)^2}, is counted exactly over all orders of all rounds (M. Friedman
 * 1937). With two settings that is the sign test.
 *
 * @param marks rounds by settings, 1 to 9 each
 */
public record MarkedRounds(int[][] marks) {

    private static final double ALIKE = 1e-9;
    /** No sum of doubled ranks reaches it. */
    private static final long DIGIT = 1000;

    public MarkedRounds {
        if (marks.length == 0 || marks[0].length < 2) {
            throw new IllegalArgumentException("one round of two settings or more");
        }
        marks = Arrays.stream(marks).map(int[]::clone).toArray(int[][]::new);
    }

    public int rounds() {
        return marks.length;
    }

    private int settings() {
        return marks[0].length;
    }

    /** Mean mark of a setting. */
    public double mean(int setting) {
        return Arrays.stream(marks).mapToInt(round -> round[setting]).average().orElseThrow();
    }

    /** The setting with the best marks; the first of those that are alike. */
    public int best() {
        int best = 0;
        for (int setting = 1; setting < settings(); setting++) {
            best = mean(setting) > mean(best) ? setting : best;
        }
        return best;
    }

    /** Kendall's coefficient: 1 where every round has the same order, 0 where they cancel. */
    public double agreement() {
        int[] straight =
                IntStream.range(0, settings()).map(i -> 2 * (i + 1) * rounds()).toArray();
        return spread(sums()) / spread(straight);
    }

    /** How often, with no difference, the rounds would agree at least so far. */
    public double byChance() {
        Map<Long, Double> likely = new HashMap<>(Map.of(0L, 1.0));
        for (int[] round : marks) {
            List<int[]> orders = orders(ranks(round));
            Map<Long, Double> next = new HashMap<>();
            likely.forEach((packed, probability) -> {
                int[] sums = unpacked(packed);
                for (int[] order : orders) {
                    next.merge(packed(sums, order), probability / orders.size(), Double::sum);
                }
            });
            likely = next;
        }
        double found = spread(sums());
        return likely.entrySet().stream()
                .filter(each -> spread(unpacked(each.getKey())) >= found - ALIKE)
                .mapToDouble(Map.Entry::getValue)
                .sum();
    }

    /** In any order they lie as far apart, so the sums are kept sorted; as digits of one number. */
    private static long packed(int[] sums, int[] order) {
        int[] together = new int[sums.length];
        for (int i = 0; i < sums.length; i++) {
            together[i] = sums[i] + order[i];
        }
        Arrays.sort(together);
        long packed = 0;
        for (int sum : together) {
            packed = DIGIT * packed + sum;
        }
        return packed;
    }

    private int[] unpacked(long packed) {
        int[] sums = new int[settings()];
        long left = packed;
        for (int i = sums.length - 1; i >= 0; i--) {
            sums[i] = (int) (left % DIGIT);
            left /= DIGIT;
        }
        return sums;
    }

    /** Twice the ranks, so that they are whole. */
    private static int[] ranks(int[] round) {
        return Arrays.stream(round)
                .map(mark ->
                        (int) Arrays.stream(round).filter(other -> other < mark).count() * 2
                                + (int) Arrays.stream(round)
                                        .filter(other -> other == mark)
                                        .count()
                                + 1)
                .toArray();
    }

    private int[] sums() {
        int[] sums = new int[settings()];
        for (int[] round : marks) {
            int[] ranks = ranks(round);
            Arrays.setAll(sums, i -> sums[i] + ranks[i]);
        }
        return sums;
    }

    private static double spread(int[] sums) {
        double mean = Arrays.stream(sums).average().orElseThrow();
        return Arrays.stream(sums)
                .mapToDouble(sum -> (sum - mean) * (sum - mean))
                .sum();
    }

    /** Every different one. */
    private static List<int[]> orders(int[] ranks) {
        Set<List<Integer>> orders = new HashSet<>(Set.of(List.of()));
        for (int rank : ranks) {
            Set<List<Integer>> longer = new HashSet<>();
            for (List<Integer> order : orders) {
                for (int at = 0; at <= order.size(); at++) {
                    List<Integer> with = new ArrayList<>(order);
                    with.add(at, rank);
                    longer.add(List.copyOf(with));
                }
            }
            orders = longer;
        }
        return orders.stream()
                .map(order -> order.stream().mapToInt(Integer::intValue).toArray())
                .toList();
    }

    /** What it says. */
    public BlindFinding finding() {
        double chance = byChance();
        double best = bestPossible();
        return best > BlindFinding.RARE
                ? new BlindFinding.TooFewRounds(rounds(), best)
                : chance > BlindFinding.RARE
                        ? new BlindFinding.CouldBeChance(chance)
                        : new BlindFinding.HardlyChance(chance);
    }

    /** What as many rounds could show at best: all the same one of all orders. */
    private double bestPossible() {
        double orders = IntStream.rangeClosed(1, settings()).asDoubleStream().reduce(1, (one, other) -> one * other);
        return Math.pow(orders, 1 - rounds());
    }
}
