package yellowrail.core.schematic;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yellowrail.core.chart.Point;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.Verdict;
import yellowrail.core.reading.EntryWriter;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Freshness;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.walk.Route;
import yellowrail.core.walk.Stop;

/** The points of the output stage as they were read: each is drawn at its place, or beside the drawing. */
public final class StagePoints {

    /** A drawing on which nothing is read. */
    public static final StagePoints NONE = new StagePoints(new LinkedHashMap<>());

    private final Map<String, Probed> points;
    private final Map<String, Probed> left;

    private StagePoints(Map<String, Probed> points) {
        this.points = points;
        this.left = new LinkedHashMap<>(points);
    }

    /** @param tubes as they idle now */
    public static StagePoints of(Snapshot now, List<TubeIdle> tubes) {
        Map<String, Probed> points = new LinkedHashMap<>();
        Stop.of(now.sheet(), Route.LISTED).stream()
                .filter(stop -> stop.node().isEmpty())
                .forEach(stop -> points.put(stop.typed(), point(stop, now, tubes)));
        return new StagePoints(points);
    }

    private static Probed point(Stop stop, Snapshot now, List<TubeIdle> tubes) {
        Optional<Reading> reading = stop.reading(now.moment());
        Freshness freshness = reading.map(now::freshness).orElse(Freshness.FRESH);
        Optional<SchematicFinding> verdict = stop.kind() == ReadingKind.SENSE_VOLTS
                ? tubes.stream()
                        .filter(tube -> tube.socket().testPoint().equals(stop.place()))
                        .flatMap(tube -> how(tube.judgement().verdict()).stream())
                        .findFirst()
                : Optional.empty();
        return new Probed(
                stop.typed(),
                new SchematicFinding.AtStage(stop.place(), stop.kind()),
                reading.<SchematicFinding>map(
                                found -> new SchematicFinding.Called(EntryWriter.shown(found.entry(), now.sheet())))
                        .orElseGet(SchematicFinding.NoVolts::new),
                freshness.isFresh() ? verdict : Optional.of(new SchematicFinding.Old()),
                Probed.State.of(reading.isPresent(), freshness),
                verdict.isPresent() && freshness.isFresh());
    }

    private static Optional<SchematicFinding> how(Verdict verdict) {
        return switch (verdict) {
            case OVER_RATING -> Optional.of(new SchematicFinding.Over());
            case HOT -> Optional.of(new SchematicFinding.Hot());
            case COLD -> Optional.of(new SchematicFinding.Cold());
            default -> Optional.empty();
        };
    }

    /** The same points, none of them drawn yet. */
    StagePoints undrawn() {
        return new StagePoints(points);
    }

    /**
     * Where a reading stands beside its point.
     *
     * @param volts the first letter of what was read
     * @param word the same of a word to it; empty where both stand in one line
     */
    record Beside(Point volts, Optional<Point> word) {

        static Beside line(double x, double y) {
            return new Beside(new Point(x, y), Optional.empty());
        }

        static Beside lines(double x, double volts, double word) {
            return new Beside(new Point(x, volts), Optional.of(new Point(x, word)));
        }
    }

    /** Draws a point at its place, with its reading; nothing where there is none, or where it is drawn already. */
    void draw(Sketch sketch, ReadingKind kind, String place, double x, double y, Beside beside) {
        Probed point = left.remove(EntryWriter.before(kind, place));
        if (point != null) {
            sketch.probe(point, x, y)
                    .reading(
                            point,
                            beside.word().isPresent() ? Drawn.Figure.VOLTS : Drawn.Figure.ALL,
                            beside.volts().x(),
                            beside.volts().y());
            beside.word().ifPresent(at -> sketch.reading(point, Drawn.Figure.HOW, at.x(), at.y()));
        }
    }

    /** What has no place in the drawing. */
    List<Probed> left() {
        return new ArrayList<>(left.values());
    }
}
