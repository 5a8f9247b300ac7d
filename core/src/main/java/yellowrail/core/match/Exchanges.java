package yellowrail.core.match;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Betters a grouping by exchanging two tubes of different groups, or one of a group with one left over, as long as any
 * exchange lowers the total difference and keeps the tolerance. Ends where no single exchange helps any more.
 */
final class Exchanges {

    /** Rounds over all exchanges; each must lower the total, and in practice a dozen suffice. */
    private static final int MOST_ROUNDS = 60;

    private static final double LEAST_GAIN = 1e-12;

    private final List<List<Candidate>> groups = new ArrayList<>();
    private final int real;
    private final double tolerance;
    private final Measure measure;

    Exchanges(List<Candidate> tubes, List<List<Candidate>> start, double tolerance, Measure measure) {
        start.forEach(group -> groups.add(new ArrayList<>(group)));
        this.real = groups.size();
        this.tolerance = tolerance;
        this.measure = measure;
        Set<Candidate> used = new HashSet<>();
        start.forEach(used::addAll);
        tubes.stream().filter(tube -> !used.contains(tube)).forEach(tube -> groups.add(new ArrayList<>(List.of(tube))));
    }

    List<List<Candidate>> find() {
        double[] cost = groups.stream().mapToDouble(measure::of).toArray();
        boolean better = true;
        for (int round = 0; better && round < MOST_ROUNDS; round++) {
            better = false;
            for (int one = 0; one < real; one++) {
                for (int other = one + 1; other < groups.size(); other++) {
                    better |= exchange(one, other, cost);
                }
            }
        }
        return groups.subList(0, real);
    }

    private boolean exchange(int one, int other, double[] cost) {
        List<Candidate> a = groups.get(one);
        List<Candidate> b = groups.get(other);
        boolean better = false;
        for (int i = 0; i < a.size(); i++) {
            for (int j = 0; j < b.size(); j++) {
                swap(a, i, b, j);
                double first = measure.of(a);
                double second = measure.of(b);
                if (first + second < cost[one] + cost[other] - LEAST_GAIN
                        && spread(a) <= tolerance
                        && spread(b) <= tolerance) {
                    cost[one] = first;
                    cost[other] = second;
                    better = true;
                } else {
                    swap(a, i, b, j);
                }
            }
        }
        return better;
    }

    private static void swap(List<Candidate> a, int i, List<Candidate> b, int j) {
        Candidate moved = a.get(i);
        a.set(i, b.get(j));
        b.set(j, moved);
    }

    private static double spread(List<Candidate> group) {
        double least = group.stream().mapToDouble(Candidate::amps).min().orElseThrow();
        return group.stream().mapToDouble(Candidate::amps).max().orElseThrow() - least;
    }
}
