package yellowrail.core.ring;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Tapped tubes beside one another, by how loud each rang at its own grid: what was heard divided by the gain it was
 * heard through. What taps of one tube differ by is pooled over all, in logarithms, and a ratio smaller than
 * {@code exp(t s sqrt(1/n + 1/m))} is none (t of Student for 95 %).
 */
public final class TubeByTube {

    private TubeByTube() {}

    /** @param against the quietest that can be compared; empty for a tube that did not ring, or rang alone */
    public record Line(Ringing ringing, Optional<RingFinding> against) {}

    /** The quietest first; those that did not ring before all. */
    public static List<Line> of(List<Ringing> tubes) {
        boolean byGain = tubes.stream().anyMatch(tube -> tube.gain().isPresent());
        Optional<Ringing> quietest =
                tubes.stream().filter(tube -> isCompared(tube, byGain)).min(Comparator.comparingDouble(Ringing::level));
        return tubes.stream()
                .sorted(Comparator.comparing((Ringing tube) -> tube.rings().isEmpty() ? 0 : 1)
                        .thenComparing(tube -> isCompared(tube, byGain) ? 0 : 1)
                        .thenComparingDouble(tube -> tube.rings().isEmpty() ? 0 : tube.level()))
                .map(tube -> new Line(tube, against(tube, quietest, tubes, byGain)))
                .toList();
    }

    /** Where one gain is told, a tube without one cannot be set beside it. */
    private static boolean isCompared(Ringing tube, boolean byGain) {
        return !tube.rings().isEmpty() && (!byGain || tube.gain().isPresent());
    }

    private static Optional<RingFinding> against(
            Ringing tube, Optional<Ringing> quietest, List<Ringing> tubes, boolean byGain) {
        if (tube.rings().isEmpty()) {
            return Optional.empty();
        }
        if (!isCompared(tube, byGain)) {
            return Optional.of(new RingFinding.GainNotTold());
        }
        Ringing least = quietest.orElseThrow();
        if (tube == least) {
            boolean alone =
                    tubes.stream().filter(each -> !each.rings().isEmpty()).count() == 1;
            return alone ? Optional.empty() : Optional.of(new RingFinding.Quietest());
        }
        double times = tube.level() / least.level();
        int freedom = tubes.stream()
                .mapToInt(each -> Math.max(0, each.rings().size() - 1))
                .sum();
        if (freedom == 0) {
            return Optional.of(new RingFinding.OneTapEach(times));
        }
        double squares = tubes.stream()
                .filter(each -> !each.rings().isEmpty())
                .mapToDouble(each -> Ringing.squares(each.logarithms()))
                .sum();
        double apart = Math.exp(Ringing.student(freedom)
                * Math.sqrt(squares
                        / freedom
                        * (1.0 / tube.rings().size() + 1.0 / least.rings().size())));
        return Optional.of(
                times > apart ? new RingFinding.Louder(times) : new RingFinding.AsTheTapsDiffer(times, apart));
    }
}
