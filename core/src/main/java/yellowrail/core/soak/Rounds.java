package yellowrail.core.soak;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yellowrail.core.drift.Series;

/** When a builder without a logger comes back to the amp: 10, 20, 30 and 60 minutes after the setting. */
public final class Rounds {

    /** min */
    public static final List<Integer> MINUTES = List.of(10, 20, 30, 60);

    private static final double EARLY = 1;

    private Rounds() {}

    /**
     * What is to be read next.
     *
     * @param point the test point that was read longest ago in this stretch
     * @param at when
     * @param minutes after the setting
     */
    public record Next(String point, Instant at, int minutes) {

        public boolean isDue(Instant now) {
            return !now.isBefore(at);
        }
    }

    /** The first round that some point has not been read in; empty after the last, and while the amp is off. */
    public static Optional<Next> next(Soak soak) {
        if (!soak.isOn() || soak.present().isEmpty()) {
            return Optional.empty();
        }
        SoakStretch stretch = soak.present().get();
        Optional<Series> behind = stretch.points().stream().min(Comparator.comparingDouble(Rounds::last));
        return behind.flatMap(series -> MINUTES.stream()
                .filter(minutes -> last(series) < minutes - EARLY)
                .findFirst()
                .map(minutes -> new Next(series.label(), stretch.begun().plus(Duration.ofMinutes(minutes)), minutes)));
    }

    private static double last(Series series) {
        return series.samples().isEmpty()
                ? Double.NEGATIVE_INFINITY
                : series.samples().get(series.samples().size() - 1).minutes();
    }
}
