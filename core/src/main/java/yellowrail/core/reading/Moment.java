package yellowrail.core.reading;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The readings that count at one moment: of each kind at each place, the last one. A reading for the whole amp counts
 * for every socket until a newer one is taken at that socket, and the other way round.
 */
public final class Moment {

    public static final Moment EMPTY = new Moment(List.of());

    private static final Comparator<Reading> ENTERED = Comparator.comparingLong(Reading::id);

    private final Map<Key, Reading> latest;

    /** A kind of reading at a place, the place in capitals. */
    private record Key(ReadingKind kind, String place) {}

    /** @param readings in any order, none of them struck */
    public Moment(Collection<Reading> readings) {
        latest = new HashMap<>();
        readings.forEach(reading -> add(latest, reading));
    }

    private Moment(Map<Key, Reading> latest) {
        this.latest = latest;
    }

    private static void add(Map<Key, Reading> latest, Reading reading) {
        latest.merge(key(reading.kind(), reading.entry().target()), reading, Moment::later);
    }

    private static Reading later(Reading one, Reading other) {
        return one.isAfter(other) ? one : other;
    }

    /** A moment that goes along a log, reading by reading. */
    public static final class Running {

        private final Map<Key, Reading> latest = new HashMap<>();

        public void add(Reading reading) {
            Moment.add(latest, reading);
        }

        /** Lets go of what no longer belongs. @return what that was */
        public List<Reading> remove(Predicate<Reading> which) {
            List<Reading> gone = latest.values().stream().filter(which).toList();
            gone.forEach(
                    reading -> latest.remove(key(reading.kind(), reading.entry().target())));
            return gone;
        }

        public Optional<Reading> last(ReadingKind kind) {
            return Optional.ofNullable(latest.get(key(kind, "")));
        }

        /** What counts now, whatever comes. */
        public Moment now() {
            return new Moment(new HashMap<>(latest));
        }
    }

    /** The moment one reading later. */
    public Moment after(Reading reading) {
        return after(List.of(reading));
    }

    /** The moment after all of these. */
    public Moment after(Collection<Reading> readings) {
        Map<Key, Reading> next = new HashMap<>(latest);
        readings.forEach(reading -> add(next, reading));
        return new Moment(next);
    }

    /**
     * @param kind what was read
     * @param places sockets and test points, besides the whole amp, where it may have been read
     * @return the newest of them
     */
    public Optional<Reading> last(ReadingKind kind, String... places) {
        Reading newest = latest.get(key(kind, ""));
        for (String place : places) {
            Reading there = latest.get(key(kind, place));
            if (there != null && (newest == null || there.isAfter(newest))) {
                newest = there;
            }
        }
        return Optional.ofNullable(newest);
    }

    /** The newest at exactly this place. */
    public Optional<Reading> at(ReadingKind kind, String place) {
        return Optional.ofNullable(latest.get(key(kind, place)));
    }

    /** The newest of this kind, wherever it was taken. */
    public Optional<Reading> anywhere(ReadingKind kind) {
        return latest.values().stream()
                .filter(reading -> reading.kind() == kind)
                .reduce(Moment::later);
    }

    /** The newest current at a test point, across its resistor or direct. */
    public Optional<Reading> current(String testPoint) {
        Optional<Reading> volts = at(ReadingKind.SENSE_VOLTS, testPoint);
        Optional<Reading> amps = at(ReadingKind.SENSE_AMPS, testPoint);
        return Stream.concat(volts.stream(), amps.stream()).reduce(Moment::later);
    }

    /** All of them, in the order of entry. */
    public List<Reading> readings() {
        return latest.values().stream().sorted(ENTERED).toList();
    }

    public boolean isEmpty() {
        return latest.isEmpty();
    }

    private static Key key(ReadingKind kind, String place) {
        return new Key(kind, place.toUpperCase(Locale.ROOT));
    }
}
