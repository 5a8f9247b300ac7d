package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.drawer.SeatIdles;
import yellowrail.core.drawer.SeatReadings;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.OwnTube;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TracedTube;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.sitting.Sat;
import yellowrail.web.tubes.TubeService;

/** A tube of the drawer beside its type, by its tests and by the runs it sat through. */
@Service
public class OwnTubeService {

    /** Of a tester, whose volts are its own; of its grid, V. */
    private static final double TESTER = 0.05;

    private static final double TESTER_GRID = 0.3;

    /** Of a point that was read by hand, volts and current. */
    private static final double POINT = 0.03;

    private static final double POINT_GRID = 0.1;
    /** The newest runs tell what the tube is now. */
    private static final int MOST_RUNS = 8;

    private final DrawerService drawer;
    private final RunService runs;
    private final TubeService types;
    private final PointService points;

    OwnTubeService(DrawerService drawer, RunService runs, TubeService types, PointService points) {
        this.drawer = drawer;
        this.runs = runs;
        this.points = points;
        this.types = types;
    }

    /**
     * A tube with a model of its own.
     *
     * @param type its number
     * @param name type and label
     * @param known the type\u2019s model, if it has one
     * @param beside the tube beside that
     * @param traced by points of its own curves, where there are enough
     */
    public record Own(
            String type,
            String name,
            Optional<KnownModel> known,
            Optional<OwnTube> beside,
            Optional<TracedTube> traced,
            Rests rests) {

        /** The points\u2019 model; without them the type\u2019s made into this tube. */
        public KnownModel model() {
            return traced.map(points -> KnownModel.of(type, points))
                    .orElseGet(() -> known.orElseThrow().as(beside.orElseThrow()));
        }
    }

    /**
     * What was read of a tube.
     *
     * @param tests of a tester
     * @param settings of runs
     * @param points of its curves
     */
    public record Rests(int tests, int settings, int points) {}

    /** @param typed the number of a tube, as an address has it; anything else is none */
    @Transactional(readOnly = true)
    public Optional<Own> of(String typed) {
        return typed.matches("\\d{1,18}") ? of(Long.parseLong(typed)) : Optional.empty();
    }

    /**
     * @return empty where nothing that was read tells its grid volts, or its type has no model and it too few points
     */
    @Transactional(readOnly = true)
    public Optional<Own> of(long tubeId) {
        return of(tubeId, runs(drawer.sat(tubeId)));
    }

    /** @param runs of the tube */
    Optional<Own> of(long tubeId, List<InRun> runs) {
        Kept kept = drawer.tube(tubeId);
        Optional<KnownModel> known = types.catalogue().find(kept.tube().type()).flatMap(TubeModels.published()::of);
        List<List<OwnTube.Reading>> tests = drawer.tests(tubeId).stream()
                .map(OwnTubeService::tested)
                .filter(readings -> !readings.isEmpty())
                .toList();
        List<OwnTube.Reading> tested = tests.stream().flatMap(List::stream).toList();
        List<OwnTube.Reading> seated = runs.stream()
                .flatMap(each -> SeatReadings.of(each.idles()).stream())
                .toList();
        List<TracedPoint> points = points(tubeId);
        List<OwnTube.Reading> all = Stream.of(
                        tested,
                        seated,
                        points.stream().map(OwnTubeService::read).toList())
                .flatMap(List::stream)
                .toList();
        Optional<OwnTube> beside = known.flatMap(type -> OwnTube.of(type.model(), all));
        Optional<TracedTube> traced = TracedTube.of(known.map(KnownModel::model), points);
        return beside.isEmpty() && traced.isEmpty()
                ? Optional.empty()
                : Optional.of(new Own(
                        kept.tube().type(),
                        kept.name(),
                        known,
                        beside,
                        traced,
                        new Rests(tests.size(), seated.size(), points.size())));
    }

    /** By its traced points alone; empty where there are too few. */
    @Transactional(readOnly = true)
    public Optional<TubeModel> traced(long tubeId) {
        List<TracedPoint> read = points(tubeId);
        return read.isEmpty()
                ? Optional.empty()
                : TracedTube.of(known(drawer.tube(tubeId)).map(KnownModel::model), read)
                        .map(TracedTube::model);
    }

    private Optional<KnownModel> known(Kept kept) {
        return types.catalogue().find(kept.tube().type()).flatMap(TubeModels.published()::of);
    }

    private List<TracedPoint> points(long tubeId) {
        return points.ofTube(tubeId).stream()
                .filter(point -> !point.leftOut())
                .map(PointRow::point)
                .toList();
    }

    private static OwnTube.Reading read(TracedPoint point) {
        return new OwnTube.Reading(
                point.plate(),
                point.pull(),
                point.grid(),
                point.screen().isPresent() ? OwnTube.What.PLATE_CURRENT : OwnTube.What.CATHODE_CURRENT,
                point.amps(),
                POINT,
                POINT_GRID);
    }

    private static List<OwnTube.Reading> tested(TesterReading test) {
        if (test.condition().grid().isEmpty() || test.isUnstable()) {
            return List.of();
        }
        List<OwnTube.Reading> readings = new ArrayList<>();
        readings.add(tested(
                test,
                test.current() == TesterReading.Current.CATHODE
                        ? OwnTube.What.CATHODE_CURRENT
                        : OwnTube.What.PLATE_CURRENT,
                test.amps()));
        test.transconductance()
                .ifPresent(steepness -> readings.add(tested(test, OwnTube.What.TRANSCONDUCTANCE, steepness)));
        return readings;
    }

    private static OwnTube.Reading tested(TesterReading test, OwnTube.What what, double value) {
        return new OwnTube.Reading(
                test.condition().plate(),
                test.condition().screen(),
                test.condition().grid().getAsDouble(),
                what,
                value,
                TESTER,
                TESTER_GRID);
    }

    /** One run that a tube sat through. */
    record InRun(Sat sat, Run run, SeatIdles idles) {}

    /** The newest runs of a tube, as far as it idled in them, newest first. */
    @Transactional(readOnly = true)
    List<InRun> runs(List<Sat> newestFirst) {
        Map<Long, Sat> stays = new LinkedHashMap<>();
        newestFirst.stream().limit(MOST_RUNS).forEach(each -> stays.putIfAbsent(each.runId(), each));
        Map<Run, Timeline> timelines = this.runs.wholeTimelines(this.runs.runs(stays.keySet()));
        return timelines.entrySet().stream()
                .map(entry -> {
                    Sat sat = stays.get(entry.getKey().id());
                    return new InRun(
                            sat,
                            entry.getKey(),
                            SeatIdles.of(entry.getValue(), sat.seat().socket(), sat.seat()::isDuring));
                })
                .sorted(Comparator.comparing((InRun each) -> each.run().begunAt())
                        .reversed())
                .toList();
    }
}
