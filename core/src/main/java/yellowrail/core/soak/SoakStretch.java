package yellowrail.core.soak;

import static java.util.stream.Collectors.groupingBy;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.drift.Drift;
import yellowrail.core.drift.DriftProblem;
import yellowrail.core.drift.PointDrift;
import yellowrail.core.drift.Sample;
import yellowrail.core.drift.Series;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.supply.Mains;
import yellowrail.core.timeline.Change;
import yellowrail.core.timeline.Occupant;
import yellowrail.core.timeline.State;
import yellowrail.core.timeline.Stretch;

/**
 * A while in which nothing was turned, switched or exchanged, with what each test point did in it.
 *
 * @param state the bench then
 * @param begun when it began, its minute 0
 * @param points readings of each test point, in the order of the sheet
 * @param mains readings of the mains
 * @param plates readings of the plates
 * @param found what they amount to, in the order of the points
 * @param last when its last reading was taken
 */
public record SoakStretch(
        State state,
        Instant begun,
        List<Series> points,
        List<Sample> mains,
        List<Sample> plates,
        Drift.Result found,
        Instant last) {

    private static final double PER_MINUTE = 60_000;

    /** Cathodes conduct after half a minute and rise for a while: that is no drift, min. */
    private static final double WARMS = 1;

    /**
     * @param until number of the reading that ended it
     * @param limits the reading of each test point at which a plate stands at its rating, where that is known
     */
    public static SoakStretch of(Stretch stretch, long until, Map<String, Double> limits) {
        AmpSheet sheet = stretch.state().sheet();
        List<Reading> all = stretch.readings().stream()
                .filter(reading -> reading.kind().isMeasured() && reading.id() < until)
                .toList();
        Optional<Instant> first = all.stream().map(Reading::takenAt).min(Comparator.naturalOrder());
        Instant begun = stretch.state()
                .begunBy()
                .map(Change::at)
                .filter(at -> first.map(read -> !read.isBefore(at)).orElse(true))
                .orElseGet(() -> first.orElse(Instant.EPOCH));
        double from = stretch.state()
                        .begunBy()
                        .map(change -> change.what() == Change.What.POWER_ON)
                        .orElse(false)
                ? WARMS
                : 0;
        List<Reading> own =
                all.stream().filter(reading -> minutes(begun, reading) >= from).toList();
        Map<String, List<Reading>> currents = own.stream()
                .filter(reading -> reading.entry().isCurrent())
                .collect(groupingBy(reading -> reading.entry().target()));
        List<Series> points = new ArrayList<>();
        for (String point : sheet.testPoints()) {
            points.add(series(point, currents.getOrDefault(point, List.of()), begun, limits));
        }
        List<Sample> mains = samples(own, begun, ReadingKind.MAINS);
        List<Sample> plates = samples(own, begun, ReadingKind.PLATE);
        Drift.Result found = new Drift(new DriftProblem(
                        points, mains, Mains.customary(sheet).current(), plates, OptionalDouble.empty()))
                .judge();
        return new SoakStretch(
                stretch.state(),
                begun,
                points,
                mains,
                plates,
                found,
                own.stream()
                        .map(Reading::takenAt)
                        .max(Comparator.naturalOrder())
                        .orElse(begun));
    }

    private static Series series(String point, List<Reading> currents, Instant begun, Map<String, Double> limits) {
        Optional<ReadingKind> kind = currents.isEmpty()
                ? Optional.empty()
                : Optional.of(currents.get(currents.size() - 1).kind());
        List<Reading> alike = currents.stream()
                .filter(reading -> reading.value() > 0
                        && kind.map(each -> each == reading.kind()).orElse(false))
                .toList();
        double digit = alike.stream()
                .mapToDouble(reading -> reading.entry().lastDigit())
                .max()
                .orElse(0);
        return new Series(
                point,
                alike.stream()
                        .map(reading -> sample(reading, begun))
                        .sorted(Comparator.comparingDouble(Sample::minutes))
                        .toList(),
                limits.containsKey(point) ? OptionalDouble.of(limits.get(point)) : OptionalDouble.empty(),
                digit);
    }

    private static List<Sample> samples(List<Reading> own, Instant begun, ReadingKind kind) {
        return own.stream()
                .filter(reading -> reading.kind() == kind && reading.value() > 0)
                .map(reading -> sample(reading, begun))
                .sorted(Comparator.comparingDouble(Sample::minutes))
                .toList();
    }

    private static Sample sample(Reading reading, Instant begun) {
        return new Sample(minutes(begun, reading), reading.value());
    }

    private static double minutes(Instant begun, Reading reading) {
        return Duration.between(begun, reading.takenAt()).toMillis() / PER_MINUTE;
    }

    public Optional<PointDrift> point(String label) {
        return found.points().stream()
                .filter(point -> point.label().equals(label))
                .findFirst();
    }

    /** How long it was watched, min. */
    public double minutes() {
        return Duration.between(begun, last).toMillis() / PER_MINUTE;
    }

    /** Whether anything was read in it. */
    boolean isRead() {
        return points.stream().anyMatch(point -> !point.samples().isEmpty());
    }

    /** The tube that a test point speaks of; empty where it speaks of several. */
    Optional<Occupant> tubeAt(String point) {
        List<Occupant> at = state.occupants().stream()
                .filter(each -> each.socket().testPoint().equals(point))
                .toList();
        return at.size() == 1 ? Optional.of(at.get(0)) : Optional.empty();
    }

    /** The test point that spoke of a tube and of no other; empty where none did. */
    Optional<String> pointOf(String tube) {
        return state.occupants().stream()
                .filter(each -> each.tube().equals(tube))
                .map(each -> each.socket().testPoint())
                .filter(point -> tubeAt(point).isPresent())
                .findFirst();
    }

    /** Which tube sat in each socket. */
    Map<String, String> seating() {
        Map<String, String> seating = new HashMap<>();
        state.occupants().forEach(each -> seating.put(each.socket().label(), each.tube()));
        return seating;
    }
}
