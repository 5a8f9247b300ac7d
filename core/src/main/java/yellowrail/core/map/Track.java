package yellowrail.core.map;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yellowrail.core.chart.Point;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.timeline.Timeline;

/**
 * The path of one tube through its readings.
 *
 * @param label the socket
 * @param points oldest first, never empty
 * @param voltsPlusMinus half width at the last point, V
 * @param ampsPlusMinus half width at the last point, A
 */
public record Track(String label, List<Point> points, double voltsPlusMinus, double ampsPlusMinus) {

    /** Older points crowd the map and say nothing more. */
    public static final int LONGEST = 24;
    /** Readings followed one by one, enough for the longest path of a pair. */
    private static final int FOLLOWED = 3 * LONGEST;

    private static final Set<ReadingKind> FOLLOWS = EnumSet.of(
            ReadingKind.SENSE_VOLTS,
            ReadingKind.SENSE_AMPS,
            ReadingKind.PLATE,
            ReadingKind.SCREEN_AMPS,
            ReadingKind.SCREEN_DROP,
            ReadingKind.CATHODE_VOLTS,
            ReadingKind.RESISTOR_COLD);

    public Track {
        points = List.copyOf(points);
    }

    public Point last() {
        return points.get(points.size() - 1);
    }

    /**
     * @param stage the amp as it stands at the end of the timeline
     * @param timeline the path begins with the hardware that is in now
     * @return a track for each tube that has both voltage and current
     */
    public static List<Track> of(StageIdle stage, Timeline timeline) {
        List<Reading> readings = timeline.presentReadings();
        List<List<Point>> paths = new ArrayList<>();
        stage.sheet().sockets().forEach(socket -> paths.add(new ArrayList<>()));
        int shown = Math.max(0, readings.size() - FOLLOWED);
        Moment moment = timeline.beforePresent().after(readings.subList(0, shown));
        extend(paths, stage.valuesAt(moment));
        for (Reading reading : readings.subList(shown, readings.size())) {
            moment = moment.after(reading);
            if (FOLLOWS.contains(reading.kind())) {
                extend(paths, stage.valuesAt(moment));
            }
        }
        List<Track> tracks = new ArrayList<>();
        List<TubeIdle> tubes = stage.at(timeline.present());
        for (int i = 0; i < paths.size(); i++) {
            TubeIdle tube = tubes.get(i);
            List<Point> path = paths.get(i);
            if (tube.figures().isPresent()) {
                IdleFigures figures = tube.figures().get();
                Point last = new Point(
                        figures.plateVolts().value(), figures.plateCurrent().value());
                add(path, last);
                tracks.add(new Track(
                        tube.socket().label(),
                        path.subList(Math.max(0, path.size() - LONGEST), path.size()),
                        figures.plateVolts().plusMinus(),
                        figures.plateCurrent().plusMinus()));
            }
        }
        return tracks;
    }

    private static void extend(List<List<Point>> paths, List<Optional<TubeValues>> tubes) {
        for (int i = 0; i < tubes.size(); i++) {
            List<Point> path = paths.get(i);
            tubes.get(i)
                    .ifPresent(tube -> add(
                            path,
                            new Point(tube.values().plateVolts(), tube.values().plateCurrent())));
        }
    }

    private static void add(List<Point> path, Point point) {
        if (path.isEmpty() || !path.get(path.size() - 1).equals(point)) {
            path.add(point);
        }
    }
}
