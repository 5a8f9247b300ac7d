package yellowrail.core.supply;

import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.idle.GridRead;
import yellowrail.core.idle.IdleValues;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Setting;

/**
 * A setting of the amp with each tube's idle in it.
 *
 * @param setting the readings
 * @param tubes each tube's idle, in the order of the sheet
 * @param mainsRatio mains over the sheet's
 * @param other current of the rail that is not the tubes', A
 * @param lifted whether a cathode resistor lifts the cathodes; with fixed bias the little that a sense resistor takes
 *     is counted to the source resistance, and the supply line is that of the plates to the cathodes
 */
public record ReadingSet(Setting setting, List<TubeValues> tubes, double mainsRatio, double other, boolean lifted) {

    public ReadingSet {
        tubes = List.copyOf(tubes);
    }

    public Moment moment() {
        return setting.moment();
    }

    public List<Reading> own() {
        return setting.own();
    }

    public IdleValues values(int tube) {
        return tubes.get(tube).values();
    }

    public double cathode(int tube) {
        return values(tube).cathode();
    }

    public double meanCathode() {
        return tubes.stream()
                .mapToDouble(tube -> tube.values().cathode())
                .average()
                .orElseThrow();
    }

    /** Everything the rail gives, A. */
    public double totalAmps() {
        return other + tubes.size() * meanCathode();
    }

    /** How far a tube's cathode stands above what the supply line is told to, V. */
    public double lift(int tube) {
        return lifted ? values(tube).cathodeVolts() : 0;
    }

    public double meanLift() {
        return lifted
                ? tubes.stream()
                        .mapToDouble(tube -> tube.values().cathodeVolts())
                        .average()
                        .orElseThrow()
                : 0;
    }

    /** Plate volts on the supply line, the mean of the tubes, V. */
    public double plateVolts() {
        return meanLift()
                + tubes.stream()
                        .mapToDouble(tube -> tube.values().plateVolts())
                        .average()
                        .orElseThrow();
    }

    /**
     * Grid volts to the cathode of a tube, where they were read in this set; what was read at the grid itself, behind
     * its leak.
     */
    public OptionalDouble bias(int tube) {
        String label = tubes.get(tube).socket().label();
        OptionalDouble leak = setting.sheet().fittings().gridLeakOhms();
        return own().stream()
                .filter(reading -> reading.kind() == ReadingKind.BIAS)
                .filter(reading -> reading.entry().target().isEmpty()
                        || reading.entry().target().equals(label)
                        || reading.entry()
                                .target()
                                .equals(tubes.get(tube).socket().testPoint()))
                .mapToDouble(reading -> reading.entry().target().equals(label) && leak.isPresent()
                        ? GridRead.behind(reading.value(), leak.getAsDouble())
                        : reading.value())
                .reduce((one, later) -> later);
    }

    /** Whether any tube's current was taken as its neighbours'. */
    public boolean isAssumed() {
        return tubes.stream().anyMatch(TubeValues::assumed);
    }

    /** Whether the mains was read for it. */
    public boolean knowsMains() {
        return setting.mains().isPresent();
    }

    public Instant at() {
        return setting.at();
    }

    public long lastId() {
        return setting.lastId();
    }
}
