package yellowrail.core.match;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * How unlike tubes are: the spread of their currents, and, where every tube of the drawer has one, the spread of their
 * transconductances, told as current through the ratio of the drawer's means, so that one percent of either counts
 * alike.
 */
final class Measure {

    private final double perTransconductance;

    Measure(List<Candidate> drawer) {
        boolean all = !drawer.isEmpty()
                && drawer.stream().allMatch(tube -> tube.transconductance().isPresent());
        this.perTransconductance = !all
                ? 0
                : drawer.stream().mapToDouble(Candidate::amps).sum()
                        / drawer.stream()
                                .mapToDouble(tube -> tube.transconductance().getAsDouble())
                                .sum();
    }

    boolean countsTransconductance() {
        return perTransconductance > 0;
    }

    private double second(Candidate tube) {
        return perTransconductance == 0
                ? 0
                : perTransconductance * tube.transconductance().getAsDouble();
    }

    double between(Candidate one, Candidate other) {
        return Math.abs(one.amps() - other.amps()) + Math.abs(second(one) - second(other));
    }

    /** Between which currents, and which transconductances told as current, tubes lie; A. */
    record Box(double least, double most, double leastSecond, double mostSecond) {

        double spread() {
            return most - least + mostSecond - leastSecond;
        }

        /** How far apart any tube of one is from any of the other at least. */
        double from(Box other) {
            return Math.max(0, Math.max(least - other.most, other.least - most))
                    + Math.max(0, Math.max(leastSecond - other.mostSecond, other.leastSecond - mostSecond));
        }
    }

    Box box(Collection<Candidate> group) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        double leastSecond = Double.POSITIVE_INFINITY;
        double mostSecond = Double.NEGATIVE_INFINITY;
        for (Candidate tube : group) {
            double second = second(tube);
            least = Math.min(least, tube.amps());
            most = Math.max(most, tube.amps());
            leastSecond = Math.min(leastSecond, second);
            mostSecond = Math.max(mostSecond, second);
        }
        return new Box(least, most, leastSecond, mostSecond);
    }

    /** Spread of current and of transconductance, A. */
    double of(Collection<Candidate> group) {
        return box(group).spread();
    }

    Group group(Collection<Candidate> tubes) {
        return new Group(
                tubes.stream()
                        .sorted(Comparator.comparingDouble(Candidate::amps))
                        .toList(),
                of(tubes));
    }
}
