package yellowrail.core.match;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/**
 * The best groups of a drawer: as many as the tolerance allows, and among those the least total difference.
 *
 * <ul>
 *   <li>By current alone, groups of any size: {@link Blocks}, exact.
 *   <li>Pairs by current and transconductance: {@link Pairs}, minimum-weight matching.
 *   <li>Larger groups by both: {@link Blocks} by current, then {@link Exchanges} while any lowers the total; a local
 *       best.
 * </ul>
 */
public final class Matching {

    public static final int LEAST_GROUP = 2;
    public static final int MOST_GROUP = 8;
    /** More tubes are no drawer any more: what a request may ask for. */
    public static final int MOST_TUBES = 5000;

    private final List<Candidate> tubes;
    private final int groupSize;
    private final double tolerance;
    private final Measure measure;

    /**
     * What was found.
     *
     * @param groups least difference first
     * @param leftovers in order of current
     * @param method how
     * @param byBoth whether transconductance was counted
     */
    public record Result(List<Group> groups, List<Candidate> leftovers, MatchFinding method, boolean byBoth) {

        public Result {
            groups = List.copyOf(groups);
            leftovers = List.copyOf(leftovers);
        }

        public double difference() {
            return groups.stream().mapToDouble(Group::difference).sum();
        }
    }

    /**
     * @param tubes with labels that differ
     * @param groupSize from {@value #LEAST_GROUP} to {@value #MOST_GROUP}
     * @param tolerance greatest spread of current within a group, A; empty for any
     */
    public Matching(List<Candidate> tubes, int groupSize, OptionalDouble tolerance) {
        if (groupSize < LEAST_GROUP || groupSize > MOST_GROUP) {
            throw new IllegalArgumentException(
                    "a group has %d to %d tubes, was %d".formatted(LEAST_GROUP, MOST_GROUP, groupSize));
        }
        if (tubes.stream().map(Candidate::label).distinct().count() != tubes.size()) {
            throw new IllegalArgumentException("two tubes have the same label");
        }
        if (tolerance.isPresent() && !(tolerance.getAsDouble() >= 0)) {
            throw new IllegalArgumentException("a tolerance is 0 A or more, was " + tolerance.getAsDouble());
        }
        this.tubes = tubes.stream()
                .sorted(Comparator.comparingDouble(Candidate::amps))
                .toList();
        this.groupSize = groupSize;
        this.tolerance = tolerance.orElse(Double.POSITIVE_INFINITY);
        this.measure = new Measure(tubes);
    }

    public Result find() {
        return find(() -> false);
    }

    /** @param stop whether to be content with the best found so far; asked again and again */
    public Result find(BooleanSupplier stop) {
        if (!measure.countsTransconductance()) {
            return result(new Blocks(tubes, groupSize, tolerance).find(), new MatchFinding.NeighboursExact());
        }
        if (groupSize == 2) {
            Pairs pairs = new Pairs(tubes, tolerance, measure);
            return result(pairs.find(), pairs.method());
        }
        List<List<Candidate>> blocks = new Blocks(tubes, groupSize, tolerance).find();
        Exchanges exchanges = new Exchanges(tubes, blocks, tolerance, measure, stop);
        List<List<Candidate>> found = exchanges.find();
        return result(
                found,
                exchanges.isFinished() ? new MatchFinding.BlocksThenExchanges() : new MatchFinding.ExchangesStopped());
    }

    private Result result(List<List<Candidate>> found, MatchFinding method) {
        List<Group> groups = found.stream()
                .map(measure::group)
                .sorted(Comparator.comparingDouble(Group::difference))
                .toList();
        Set<String> used =
                found.stream().flatMap(List::stream).map(Candidate::label).collect(Collectors.toSet());
        return new Result(
                groups,
                tubes.stream().filter(tube -> !used.contains(tube.label())).toList(),
                method,
                measure.countsTransconductance());
    }
}
