package yellowrail.core.timeline;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;

/**
 * Readings taken with the same hardware and the same pots. Switching off and on does not end one: with one adapter that
 * goes from socket to socket the power is off between any two readings of it.
 *
 * @param hardware which hardware, as {@link State} counts it
 * @param sheet the sheet then
 * @param occupants the tubes then
 * @param own the readings taken in it, oldest first
 * @param moment what counted when the last of them was taken
 * @param mains the mains that belongs to it
 * @param begunByTurn whether a pot was turned, by the log, when it began
 */
public record Setting(
        int hardware,
        AmpSheet sheet,
        List<Occupant> occupants,
        List<Reading> own,
        Moment moment,
        Optional<Reading> mains,
        boolean begunByTurn) {

    /** What is read at the plates, among the names of test points. */
    public static final String PLATES = "plate";

    public Setting {
        own = List.copyOf(own);
    }

    /** The test points, and the plates, that were not read in it. */
    public List<String> lacks() {
        return lacking(sheet, own);
    }

    static List<String> lacking(AmpSheet sheet, List<Reading> own) {
        Set<String> read = new HashSet<>();
        own.forEach(reading -> read.add(
                reading.kind() == ReadingKind.PLATE ? PLATES : reading.entry().target()));
        boolean byCathode = own.stream().anyMatch(reading -> reading.kind() == ReadingKind.CATHODE_VOLTS);
        return Stream.concat(byCathode ? Stream.empty() : sheet.testPoints().stream(), Stream.of(PLATES))
                .filter(place -> !read.contains(place))
                .toList();
    }

    public Instant at() {
        return own.get(own.size() - 1).takenAt();
    }

    public long lastId() {
        return own.get(own.size() - 1).id();
    }
}
