package yellowrail.core.match;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yellowrail.core.Amps;
import yellowrail.core.Thorough;

class MatchingTest {

    private static List<Candidate> drawer(Random chance, int tubes, boolean transconductance) {
        return IntStream.range(0, tubes)
                .mapToObj(i -> new Candidate(
                        "T" + i,
                        0.035 * Math.exp(0.12 * chance.nextGaussian()),
                        transconductance
                                ? OptionalDouble.of(0.0055 * Math.exp(0.08 * chance.nextGaussian()))
                                : OptionalDouble.empty()))
                .toList();
    }

    /** Most pairs and then the least total, by trying everything: {pairs, total}. */
    private static double[] best(List<Candidate> left, double tolerance, Measure measure) {
        if (left.size() < 2) {
            return new double[2];
        }
        List<Candidate> rest = left.subList(1, left.size());
        double[] best = best(rest, tolerance, measure);
        for (int i = 0; i < rest.size(); i++) {
            if (Math.abs(left.get(0).amps() - rest.get(i).amps()) <= tolerance) {
                List<Candidate> others = new ArrayList<>(rest);
                others.remove(i);
                double[] with = best(others, tolerance, measure);
                with[0]++;
                with[1] += measure.between(left.get(0), rest.get(i));
                if (with[0] > best[0] || with[0] == best[0] && with[1] < best[1]) {
                    best = with;
                }
            }
        }
        return best;
    }

    @Test
    void pairsEqualBruteForceOnFiveHundredDrawers() {
        for (int seed = 0; seed < 500; seed++) {
            Random chance = new Random(seed);
            List<Candidate> drawer = drawer(chance, seed % 2 == 0 ? 8 : 10, seed % 4 < 2);
            double tolerance = seed % 3 == 0 ? 0.002 : Double.POSITIVE_INFINITY;
            double[] best = best(drawer, tolerance, new Measure(drawer));
            Matching.Result found = new Matching(
                            drawer, 2, seed % 3 == 0 ? OptionalDouble.of(tolerance) : OptionalDouble.empty())
                    .find();
            assertThat(found.groups()).as("pairs of drawer %d", seed).hasSize((int) best[0]);
            assertThat(found.difference()).as("total of drawer %d", seed).isCloseTo(best[1], within(1e-12));
            assertThat(found.leftovers()).hasSize(drawer.size() - 2 * (int) best[0]);
        }
    }

    /** Least total spread of two or three quads, by trying every set of four that holds the first tube left. */
    private static double quads(List<Candidate> left, Measure measure) {
        if (left.size() < 4) {
            return 0;
        }
        double best = left.size() % 4 == 0 ? Double.POSITIVE_INFINITY : quads(left.subList(1, left.size()), measure);
        int n = left.size();
        for (int i = 1; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                for (int k = j + 1; k < n; k++) {
                    List<Candidate> others = new ArrayList<>(left);
                    List<Candidate> quad = List.of(left.get(0), left.get(i), left.get(j), left.get(k));
                    others.removeAll(quad);
                    if (others.size() / 4 == left.size() / 4 - 1) {
                        best = Math.min(best, measure.of(quad) + quads(others, measure));
                    }
                }
            }
        }
        return best;
    }

    @Test
    void quadsByCurrentAreExactAndByBothNotFarFromIt() {
        double found = 0;
        double best = 0;
        for (int seed = 0; seed < 60; seed++) {
            List<Candidate> byCurrent = drawer(new Random(seed), seed % 2 == 0 ? 8 : 9, false);
            assertThat(new Matching(byCurrent, 4, OptionalDouble.empty()).find().difference())
                    .isCloseTo(quads(byCurrent, new Measure(byCurrent)), within(1e-12));
            List<Candidate> byBoth = drawer(new Random(seed), 8, true);
            found += new Matching(byBoth, 4, OptionalDouble.empty()).find().difference();
            best += quads(byBoth, new Measure(byBoth));
        }
        assertThat(found / best).isBetween(1.0, 1.05);
    }

    @Test
    void theWorkedDrawerPairsNeighbours() {
        Matching.Result found = new Matching(
                        List.of(
                                Candidate.of("A", 0.0341),
                                Candidate.of("B", 0.0369),
                                Candidate.of("C", 0.0346),
                                Candidate.of("D", 0.0372)),
                        2,
                        OptionalDouble.of(0.0004))
                .find();
        assertThat(found.groups())
                .extracting(group ->
                        group.tubes().get(0).label() + group.tubes().get(1).label())
                .containsExactly("BD");
        assertThat(found.groups().get(0).spread()).isCloseTo(0.0003, within(1e-9));
        assertThat(found.leftovers()).extracting(Candidate::label).containsExactly("A", "C");
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> new Matching(
                        List.of(Candidate.of("A", 0.03), Candidate.of("A", 0.03)), 2, OptionalDouble.empty()))
                .hasMessage("two tubes have the same label");
        assertThatThrownBy(() -> new Matching(List.of(), 1, OptionalDouble.empty()))
                .hasMessage("a group has 2 to 8 tubes, was 1");
        assertThatThrownBy(() -> Candidate.of("A", Double.NaN))
                .hasMessage("the current of A must be more than 0 A, was NaN");
        assertThat(new Matching(List.of(), 4, OptionalDouble.empty()).find().groups())
                .isEmpty();
    }

    @Test
    void conditionsAreNeverMixedAndNearbyOnesConverted() {
        TestCondition usual = new TestCondition(250, 250, OptionalDouble.of(-14));
        assertThat(usual.isSame(new TestCondition(251, 250, OptionalDouble.of(-14))))
                .isTrue();
        assertThat(usual.isSame(new TestCondition(250, 250, OptionalDouble.empty())))
                .isFalse();
        TestCondition near = new TestCondition(280, 270, OptionalDouble.of(-16));
        double there = usual.convert(Amps.type("6L6GC"), 0.072, OptionalDouble.of(0.006), near)
                .orElseThrow()
                .amps();
        assertThat(near.convert(Amps.type("6L6GC"), there, OptionalDouble.empty(), usual)
                        .orElseThrow()
                        .amps())
                .isCloseTo(0.072, within(1e-9));
        assertThat(there).isBetween(0.060, 0.085);
        assertThat(usual.convert(
                        Amps.type("6L6GC"),
                        0.072,
                        OptionalDouble.empty(),
                        new TestCondition(400, 300, OptionalDouble.of(-14))))
                .isEmpty();
        assertThat(usual.convert(Amps.type("KT77"), 0.072, OptionalDouble.empty(), near))
                .as("no model")
                .isEmpty();
    }

    @Test
    void aLargeDrawerIsMatchedWholeAndWithinItsTolerance() {
        int tubes = Thorough.of(2000, 600);
        List<Candidate> drawer = drawer(new Random(1), tubes, true);
        for (int size : new int[] {2, 4}) {
            Matching matching = new Matching(drawer, size, OptionalDouble.of(0.002));
            Matching.Result found = matching.find();
            assertThat(found.groups().size() * size + found.leftovers().size()).isEqualTo(tubes);
            assertThat(found.groups())
                    .hasSizeGreaterThan((int) (0.98 * tubes / size))
                    .allSatisfy(group -> assertThat(group.spread()).isLessThanOrEqualTo(0.002));
            assertThat(found.difference()).isLessThan(inOrder(drawer, size));
        }
    }

    /** The total difference of blocks in order of current, which is what anybody does by hand. */
    private static double inOrder(List<Candidate> drawer, int size) {
        List<Candidate> row = drawer.stream()
                .sorted(Comparator.comparingDouble(Candidate::amps))
                .toList();
        Measure measure = new Measure(drawer);
        return IntStream.range(0, row.size() / size)
                .mapToDouble(i -> measure.of(row.subList(i * size, (i + 1) * size)))
                .sum();
    }

    /** Told to stop at once, the blocks stand; told to stop later, what was bettered by then. */
    @Test
    void aMatchingThatIsStoppedGivesTheBestSoFar() {
        List<Candidate> tubes = drawer(new Random(5), 400, true);
        Matching matching = new Matching(tubes, 4, OptionalDouble.empty());
        Matching.Result whole = matching.find();
        int[] asked = {0};
        Matching.Result later = matching.find(() -> ++asked[0] > 150);
        Matching.Result atOnce = matching.find(() -> true);
        assertThat(whole.method()).isEqualTo(new MatchFinding.BlocksThenExchanges());
        assertThat(later.method()).isEqualTo(new MatchFinding.ExchangesStopped());
        assertThat(atOnce.groups()).hasSize(100);
        assertThat(whole.difference()).isLessThan(later.difference());
        assertThat(later.difference()).isLessThan(atOnce.difference());
    }
}
