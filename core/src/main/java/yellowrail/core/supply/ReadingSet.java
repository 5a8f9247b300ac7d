package yellowrail.core.supply;

import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import yellowrail.core.idle.IdleValues;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * Readings of one setting of the amp: a current at every test point and the plate voltage, with no turn between them.
 *
 * @param moment     what counted then
 * @param own        the readings taken in this set, oldest first
 * @param tubes      each tube's idle
 * @param mainsRatio mains over the sheet's
 * @param other      current of the rail that is not the tubes', A
 * @param lifted     whether a cathode resistor lifts the cathodes; with fixed bias the little that a sense resistor takes
 *                   is counted to the source resistance, and the supply line is that of the plates to the cathodes
 */
public record ReadingSet(Moment moment, List<Reading> own, List<TubeValues> tubes, double mainsRatio, double other, boolean lifted) {

    public ReadingSet {
        own = List.copyOf(own);
        tubes = List.copyOf(tubes);
    }

    public IdleValues values(int tube) {
        return tubes.get(tube).values();
    }

    public double cathode(int tube) {
        return values(tube).cathode();
    }

    public double meanCathode() {
        return tubes.stream().mapToDouble(tube -> tube.values().cathode()).average().orElseThrow();
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
        return lifted ? tubes.stream().mapToDouble(tube -> tube.values().cathodeVolts()).average().orElseThrow() : 0;
    }

    /** Plate volts on the supply line, the mean of the tubes, V. */
    public double plateVolts() {
        return meanLift() + tubes.stream().mapToDouble(tube -> tube.values().plateVolts()).average().orElseThrow();
    }

    /** Grid volts to the cathode of a tube, where they were read in this set. */
    public OptionalDouble bias(int tube) {
        return own.stream().filter(reading -> reading.entry().kind() == ReadingKind.BIAS)
                .filter(reading -> reading.entry().target().isEmpty() || reading.entry().target().equals(tubes.get(tube).socket().label())
                        || reading.entry().target().equals(tubes.get(tube).socket().testPoint()))
                .mapToDouble(Reading::value).reduce((one, later) -> later);
    }

    public Instant at() {
        return own.get(own.size() - 1).takenAt();
    }

    public long lastId() {
        return own.get(own.size() - 1).id();
    }
}
