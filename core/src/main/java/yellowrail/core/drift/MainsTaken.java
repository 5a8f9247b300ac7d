package yellowrail.core.drift;

import java.util.Arrays;
import java.util.List;

/**
 * The logged mains taken out of readings: what they would have been had it stood all the time where it mostly stood.
 */
final class MainsTaken {

    private final Curve logged;
    private final double exponent;

    MainsTaken(List<Sample> mains, double exponent) {
        this.logged = Curve.of(mains);
        this.exponent = exponent;
    }

    boolean isKnown() {
        return logged.size() > 1;
    }

    /** Whether it moved the readings by more than {@code percent}. */
    boolean moved(double percent) {
        if (!isKnown()) {
            return false;
        }
        double[] sorted = logged.percent().clone();
        Arrays.sort(sorted);
        return exponent * (sorted[sorted.length - 1] - sorted[0]) > percent;
    }

    List<Sample> takenOutOf(List<Sample> samples) {
        if (!isKnown()) {
            return samples;
        }
        return samples.stream()
                .map(sample ->
                        new Sample(sample.minutes(), sample.value() * Math.pow(ratio(sample.minutes()), exponent)))
                .toList();
    }

    /** The middle mains over that of a time; before the first and after the last it is taken as standing. */
    private double ratio(double when) {
        double within = Math.min(Math.max(when, logged.first()), logged.last());
        return 100 / (100 + logged.at(within));
    }
}
