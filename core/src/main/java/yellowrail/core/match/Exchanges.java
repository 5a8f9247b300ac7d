package yellowrail.core.match;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;

/**
 * Betters a grouping by exchanging two tubes of different groups, or one of a group with one left over, as long as any
 * exchange lowers the total difference and keeps the tolerance. Ends where no single exchange helps any more, or where
 * it is told to stop: what it has by then is a grouping too.
 *
 * <p>A group that takes a tube over from another spreads at least as far as the two lie apart. So two groups that lie
 * farther apart than they spread together need not be looked into, which leaves of all pairs of groups the near ones.
 */
final class Exchanges {

    /** Rounds over all exchanges; each must lower the total, and in practice a dozen suffice. */
    private static final int MOST_ROUNDS = 60;

    private static final double LEAST_GAIN = 1e-12;

    private final List<List<Candidate>> groups = new ArrayList<>();
    private final int real;
    private final double tolerance;
    private final Measure measure;
    private final BooleanSupplier stop;
    private final Measure.Box[] boxes;
    private boolean finished = true;

    Exchanges(
            List<Candidate> tubes,
            List<List<Candidate>> start,
            double tolerance,
            Measure measure,
            BooleanSupplier stop) {
        start.forEach(group -> groups.add(new ArrayList<>(group)));
        this.real = groups.size();
        this.tolerance = tolerance;
        this.measure = measure;
        this.stop = stop;
        Set<Candidate> used = new HashSet<>();
        start.forEach(used::addAll);
        tubes.stream().filter(tube -> !used.contains(tube)).forEach(tube -> groups.add(new ArrayList<>(List.of(tube))));
        this.boxes = groups.stream().map(measure::box).toArray(Measure.Box[]::new);
    }

    List<List<Candidate>> find() {
        boolean better = true;
        for (int round = 0; better && round < MOST_ROUNDS; round++) {
            better = false;
            for (int one = 0; one < real; one++) {
                if (stop.getAsBoolean()) {
                    finished = false;
                    return groups.subList(0, real);
                }
                for (int other = one + 1; other < groups.size(); other++) {
                    better |= mayGain(one, other) && exchange(one, other);
                }
            }
        }
        return groups.subList(0, real);
    }

    /** Whether it came to its end. */
    boolean isFinished() {
        return finished;
    }

    private boolean mayGain(int one, int other) {
        double apart = boxes[one].from(boxes[other]);
        int spreading = groups.get(other).size() > 1 ? 2 : 1;
        return spreading * apart < boxes[one].spread() + boxes[other].spread();
    }

    private boolean exchange(int one, int other) {
        List<Candidate> a = groups.get(one);
        List<Candidate> b = groups.get(other);
        boolean better = false;
        for (int i = 0; i < a.size(); i++) {
            for (int j = 0; j < b.size(); j++) {
                swap(a, i, b, j);
                Measure.Box first = measure.box(a);
                Measure.Box second = measure.box(b);
                double before = boxes[one].spread() + boxes[other].spread();
                if (first.spread() + second.spread() < before - LEAST_GAIN && within(first) && within(second)) {
                    boxes[one] = first;
                    boxes[other] = second;
                    better = true;
                } else {
                    swap(a, i, b, j);
                }
            }
        }
        return better;
    }

    private boolean within(Measure.Box box) {
        return box.most() - box.least() <= tolerance;
    }

    private static void swap(List<Candidate> a, int i, List<Candidate> b, int j) {
        Candidate moved = a.get(i);
        a.set(i, b.get(j));
        b.set(j, moved);
    }
}
