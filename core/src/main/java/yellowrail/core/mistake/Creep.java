package yellowrail.core.mistake;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Reading;

/**
 * A test point that keeps rising while its neighbours stand still.
 *
 * @param point the test point
 * @param by its rise, as a ratio
 * @param over how long that took
 */
public record Creep(String point, double by, Duration over) {

    private static final double CREPT = 0.05;
    private static final Duration LEAST = Duration.ofMinutes(3);
    private static final int IN_A_ROW = 3;
    /** Neighbours that moved by more than this part of the rise moved with it. */
    private static final double STILL = 1.0 / 3;

    /**
     * @param readings in the order of entry, no pot turned and no switch thrown between them
     * @return the creeping points, in the order of the sheet
     */
    public static List<Creep> in(AmpSheet sheet, List<Reading> readings) {
        List<Creep> found = new ArrayList<>();
        for (String point : sheet.testPoints()) {
            double crept = rise(currents(point, readings));
            double neighbours = sheet.testPoints().stream()
                    .filter(other -> !other.equals(point))
                    .mapToDouble(other -> change(currents(other, readings)))
                    .max()
                    .orElse(Double.NaN);
            if (crept > CREPT && neighbours < crept * STILL) {
                List<Reading> own = currents(point, readings);
                found.add(new Creep(
                        point,
                        crept,
                        Duration.between(
                                own.get(0).takenAt(), own.get(own.size() - 1).takenAt())));
            }
        }
        return found;
    }

    private static List<Reading> currents(String point, List<Reading> readings) {
        return readings.stream()
                .filter(reading ->
                        reading.entry().isCurrent() && reading.entry().target().equals(point))
                .toList();
    }

    /** How much it has risen without a fall between; 0 if it did not rise steadily, or not for long. */
    private static double rise(List<Reading> readings) {
        if (readings.size() < IN_A_ROW) {
            return 0;
        }
        for (int i = 1; i < readings.size(); i++) {
            if (!(readings.get(i).value() > readings.get(i - 1).value())) {
                return 0;
            }
        }
        Reading first = readings.get(0);
        Reading last = readings.get(readings.size() - 1);
        return Duration.between(first.takenAt(), last.takenAt()).compareTo(LEAST) < 0
                ? 0
                : last.value() / first.value() - 1;
    }

    private static double change(List<Reading> readings) {
        return readings.size() < 2
                ? Double.NaN
                : Math.abs(readings.get(readings.size() - 1).value()
                                / readings.get(0).value()
                        - 1);
    }
}
