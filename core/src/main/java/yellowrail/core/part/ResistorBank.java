package yellowrail.core.part;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What of a drawer of resistors makes a value: up to four of them, in a row, beside each other, or rows and neighbours
 * of such groups. Every way of joining every choice is tried.
 */
public final class ResistorBank {

    public static final int MOST_IN_DRAWER = 16;
    static final int MOST_JOINED = 4;
    private static final int TOLD = 6;
    /** One more part has to come nearer by so much to be worth its solder, as a ratio. */
    private static final double WORTH = 0.01;

    /** A resistor is worked to half its rating. */
    private static final double HALF = 0.5;
    /** What lies farther off than a tenth is not told. */
    private static final double FARTHEST = 0.1;

    private final List<Joined.One> drawer;

    /** @throws IllegalArgumentException for none or too many */
    public ResistorBank(List<Joined.One> drawer) {
        if (drawer.isEmpty() || drawer.size() > MOST_IN_DRAWER) {
            throw new IllegalArgumentException(
                    "a drawer has 1 to %d resistors, was %d".formatted(MOST_IN_DRAWER, drawer.size()));
        }
        this.drawer = drawer.stream()
                .sorted(Comparator.comparingDouble(Joined.One::ohms).reversed())
                .toList();
    }

    /**
     * The nearest six within a tenth, the fewest parts first among those that come as near.
     *
     * @param watts what the whole has to burn; only what stands it at half its rating is told, W, &ge; 0
     */
    public List<Joined> near(double ohms, double watts) {
        Predicate<Joined> holds =
                joined -> joined.hardestWorked(watts) <= HALF && Math.abs(Math.log(joined.ohms() / ohms)) <= FARTHEST;
        List<Joined> all = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (int chosen = 1; chosen < 1 << drawer.size(); chosen++) {
            if (Integer.bitCount(chosen) <= MOST_JOINED) {
                for (Joined joined : joined(chosen)) {
                    if (holds.test(joined) && seen.add(joined.toString())) {
                        all.add(joined);
                    }
                }
            }
        }
        return all.stream()
                .sorted(Comparator.comparingDouble(joined -> Math.abs(Math.log(joined.ohms() / ohms))
                        + WORTH * joined.parts().size()))
                .limit(TOLD)
                .toList();
    }

    /** Every way of joining the resistors whose bits are set: split in two, each half joined in every way. */
    private List<Joined> joined(int chosen) {
        if (Integer.bitCount(chosen) == 1) {
            return List.of(drawer.get(Integer.numberOfTrailingZeros(chosen)));
        }
        List<Joined> ways = new ArrayList<>();
        int first = Integer.lowestOneBit(chosen);
        for (int half = (chosen - 1) & chosen; half > 0; half = (half - 1) & chosen) {
            if ((half & first) != 0) {
                for (Joined one : joined(half)) {
                    for (Joined other : joined(chosen ^ half)) {
                        ways.add(Joined.row(one, other));
                        ways.add(Joined.beside(one, other));
                    }
                }
            }
        }
        return ways;
    }
}
