package yellowrail.core.proof;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Change;
import yellowrail.core.timeline.State;
import yellowrail.core.timeline.Timeline;

/**
 * Parts what was measured at the output by what was turned, exchanged or soldered between: figures of one setting
 * repeat one another, those of two are compared. Power and mains end no setting.
 */
public final class ProofSettings {

    private static final Set<Change.What> PARTING = EnumSet.of(Change.What.TURN, Change.What.TUBE, Change.What.UNSAID);

    private final List<Long> boundaries;
    private final List<Reading> readings;

    /**
     * One setting with figures.
     *
     * @param number how many times something was changed before it
     * @param last the number of the last reading of the log in it; 0 where nothing was ever read
     * @param from when its first figure was taken
     * @param figures oldest first
     */
    public record Proven(int number, long last, Instant from, List<Measured> figures) {

        public Proven {
            figures = List.copyOf(figures);
        }

        /** What it gives at the onset of clipping, as read last. */
        public Optional<Measured> fullPower() {
            return newest(ProofKind.FULL_POWER);
        }

        /** The newest answer of a kind. */
        public Optional<Measured> newest(ProofKind kind) {
            return figures.stream().filter(each -> each.kind() == kind).reduce((one, later) -> later);
        }
    }

    /** @param readings those of the timeline, in the order of what happened */
    public ProofSettings(Timeline timeline, List<Reading> readings) {
        this.readings = List.copyOf(readings);
        this.boundaries = timeline.states().stream()
                .map(State::begunBy)
                .flatMap(Optional::stream)
                .filter(change -> PARTING.contains(change.what()) || change.isHardware())
                .map(Change::after)
                .toList();
    }

    /**
     * @param typed in the order of what happened
     * @param recorded the same
     */
    public List<Proven> of(List<ByHand> typed, List<Measured> recorded) {
        TreeMap<Integer, List<Measured>> found = new TreeMap<>();
        typed.forEach(
                line -> line.figures().forEach(each -> put(found, line.reading().id(), each)));
        recorded.forEach(each -> put(found, lastBefore(each.taken()), each));
        List<Proven> settings = new ArrayList<>();
        found.forEach((number, figures) -> settings.add(new Proven(
                number,
                last(number),
                figures.stream().map(Measured::taken).min(Instant::compareTo).orElseThrow(),
                figures.stream().sorted(Comparator.comparing(Measured::taken)).toList())));
        return settings;
    }

    /** How many times something was changed before an instant. */
    public int numberAt(Instant at) {
        return number(lastBefore(at));
    }

    private void put(Map<Integer, List<Measured>> found, long id, Measured figure) {
        found.computeIfAbsent(number(id), none -> new ArrayList<>()).add(figure);
    }

    /** How many times something was changed before a reading. */
    private int number(long id) {
        return (int) boundaries.stream().filter(after -> id > after).count();
    }

    private long lastBefore(Instant at) {
        return readings.stream()
                .filter(reading -> !reading.takenAt().isAfter(at))
                .mapToLong(Reading::id)
                .max()
                .orElse(0);
    }

    private long last(int number) {
        return readings.stream()
                .mapToLong(Reading::id)
                .filter(id -> number(id) == number)
                .max()
                .orElse(0);
    }
}
