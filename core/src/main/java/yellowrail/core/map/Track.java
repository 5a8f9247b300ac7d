package yellowrail.core.map;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yellowrail.core.idle.IdleFigures;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.idle.TubeValues;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;

/**
 * The path of one tube through its readings.
 *
 * @param label          the socket
 * @param points         oldest first, never empty
 * @param voltsPlusMinus half width at the last point, V
 * @param ampsPlusMinus  half width at the last point, A
 */
public record Track(String label, List<Point> points, double voltsPlusMinus, double ampsPlusMinus) {

    /** Older points crowd the map and say nothing more. */
    public static final int LONGEST = 24;
    /** Readings followed one by one, enough for the longest path of a pair. */
    private static final int FOLLOWED = 3 * LONGEST;

    public Track {
        points = List.copyOf(points);
    }

    public Point last() {
        return points.get(points.size() - 1);
    }

    /**
     * @param stage    the amp
     * @param start    what counted before the first of these readings
     * @param readings in the order of entry
     * @return a track for each tube that has both voltage and current
     */
    public static List<Track> of(StageIdle stage, Moment start, List<Reading> readings) {
        List<List<Point>> paths = new ArrayList<>();
        stage.sheet().sockets().forEach(socket -> paths.add(new ArrayList<>()));
        int shown = Math.max(0, readings.size() - FOLLOWED);
        Moment moment = start.after(readings.subList(0, shown));
        extend(paths, stage.valuesAt(moment));
        for (Reading reading : readings.subList(shown, readings.size())) {
            moment = moment.after(reading);
            if (reading.entry().kind().isMeasured()) {
                extend(paths, stage.valuesAt(moment));
            }
        }
        List<Track> tracks = new ArrayList<>();
        List<TubeIdle> tubes = stage.at(moment);
        for (int i = 0; i < paths.size(); i++) {
            TubeIdle tube = tubes.get(i);
            List<Point> path = paths.get(i);
            if (tube.figures().isPresent()) {
                IdleFigures figures = tube.figures().get();
                Point last = new Point(figures.plateVolts().value(), figures.plateCurrent().value());
                add(path, last);
                tracks.add(new Track(tube.socket().label(), path.subList(Math.max(0, path.size() - LONGEST), path.size()),
                        figures.plateVolts().plusMinus(), figures.plateCurrent().plusMinus()));
            }
        }
        return tracks;
    }

    private static void extend(List<List<Point>> paths, List<Optional<TubeValues>> tubes) {
        for (int i = 0; i < tubes.size(); i++) {
            List<Point> path = paths.get(i);
            tubes.get(i).ifPresent(tube -> add(path, new Point(tube.values().plateVolts(), tube.values().plateCurrent())));
        }
    }

    private static void add(List<Point> path, Point point) {
        if (path.isEmpty() || !path.get(path.size() - 1).equals(point)) {
            path.add(point);
        }
    }
}
