package yellowrail.core.closing;

import java.time.Instant;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.balance.SideBalance;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;

/** How the settings of an amp went over the years: one point for each run that left one. */
public final class AmpHistory {

    private AmpHistory() {}

    /**
     * A setting as a run left it.
     *
     * @param at when the run was closed
     * @param run its number
     * @param hottest tube over its rating, as a ratio
     * @param coolest the same of the coolest
     * @param plates mean plate voltage, V
     * @param apart push against pull, as a ratio of their mean; empty where it cannot be seen
     */
    public record Point(Instant at, long run, double hottest, double coolest, double plates, OptionalDouble apart) {}

    /** @return empty where the run left nothing that could be judged */
    public static Optional<Point> of(Instant at, long run, StageSummary summary) {
        List<TubeIdle> judged = summary.tubes().stream()
                .filter(tube -> tube.figures().isPresent()
                        && Double.isFinite(tube.judgement().ratio()))
                .toList();
        if (judged.isEmpty()) {
            return Optional.empty();
        }
        DoubleSummaryStatistics ratios =
                judged.stream().mapToDouble(tube -> tube.judgement().ratio()).summaryStatistics();
        double plates = judged.stream()
                .mapToDouble(tube -> tube.figures().orElseThrow().plateVolts().value())
                .average()
                .orElseThrow();
        OptionalDouble apart = SideBalance.of(summary.stage().sheet(), summary.tubes()).stream()
                .filter(side -> side.unseen().isEmpty())
                .mapToDouble(SideBalance::ratio)
                .max();
        return Optional.of(new Point(at, run, ratios.getMax(), ratios.getMin(), plates, apart));
    }
}
