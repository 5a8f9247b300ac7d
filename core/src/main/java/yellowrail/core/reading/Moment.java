package yellowrail.core.reading;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The readings that count at one moment: of each kind at each place, the last one entered. A reading for the whole amp
 * counts for every socket until a newer one is taken at that socket, and the other way round.
 */
public final class Moment {

    private static final Comparator<Reading> ENTERED = Comparator.comparingLong(Reading::id);

    private final Map<Key, Reading> latest;

    /** A kind of reading at a place, the place in capitals. */
    private record Key(ReadingKind kind, String place) {
    }

    /** @param readings in any order, none of them struck */
    public Moment(Collection<Reading> readings) {
        latest = new HashMap<>();
        readings.forEach(this::add);
    }

    private Moment(Moment before) {
        latest = new HashMap<>(before.latest);
    }

    private void add(Reading reading) {
        latest.merge(key(reading.entry().kind(), reading.entry().target()), reading,
                (one, other) -> ENTERED.compare(one, other) > 0 ? one : other);
    }

    /** The moment one reading later. */
    public Moment after(Reading reading) {
        return after(Set.of(reading));
    }

    /** The moment after all of these. */
    public Moment after(Collection<Reading> readings) {
        Moment next = new Moment(this);
        readings.forEach(next::add);
        return next;
    }

    /**
     * @param kind   what was read
     * @param places sockets and test points, besides the whole amp, where it may have been read
     * @return the newest of them
     */
    public Optional<Reading> last(ReadingKind kind, String... places) {
        return Stream.concat(Stream.of(""), Stream.of(places))
                .flatMap(place -> Optional.ofNullable(latest.get(key(kind, place))).stream()).max(ENTERED);
    }

    /** The newest at exactly this place. */
    public Optional<Reading> at(ReadingKind kind, String place) {
        return Optional.ofNullable(latest.get(key(kind, place)));
    }

    public boolean isEmpty() {
        return latest.isEmpty();
    }

    private static Key key(ReadingKind kind, String place) {
        return new Key(kind, place.toUpperCase(Locale.ROOT));
    }
}
