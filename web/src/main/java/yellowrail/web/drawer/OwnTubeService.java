package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.drawer.SeatReadings;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.OwnTube;
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
    /** The newest runs tell what the tube is now. */
    private static final int MOST_RUNS = 8;

    private final DrawerService drawer;
    private final RunService runs;
    private final TubeService types;

    OwnTubeService(DrawerService drawer, RunService runs, TubeService types) {
        this.drawer = drawer;
        this.runs = runs;
        this.types = types;
    }

    /**
     * A tube with a model of its own.
     *
     * @param name type and label
     * @param tests that it rests on
     * @param settings of runs that it rests on
     */
    public record Own(String name, KnownModel type, OwnTube tube, int tests, int settings) {

        /** The type\u2019s model made into this tube. */
        public KnownModel model() {
            return type.as(tube);
        }
    }

    /** @return empty where its type has no model, or nothing that was read tells its grid volts */
    @Transactional(readOnly = true)
    public Optional<Own> of(long tubeId) {
        Kept kept = drawer.tube(tubeId);
        Optional<TubeType> type = types.catalogue().find(kept.tube().type());
        List<OwnTube.Reading> tested = drawer.tests(tubeId).stream()
                .flatMap(test -> tested(test).stream())
                .toList();
        List<OwnTube.Reading> seated = seated(tubeId);
        List<OwnTube.Reading> all = new ArrayList<>(tested);
        all.addAll(seated);
        return type.flatMap(TubeModels.published()::of)
                .flatMap(known -> OwnTube.of(known.model(), all)
                        .map(own -> new Own(
                                "%s %s"
                                        .formatted(
                                                kept.tube().type(), kept.tube().label()),
                                known,
                                own,
                                tested.size(),
                                seated.size())));
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

    private List<OwnTube.Reading> seated(long tubeId) {
        Map<Long, Sat> stays = new LinkedHashMap<>();
        drawer.sat(tubeId).stream().limit(MOST_RUNS).forEach(sat -> stays.putIfAbsent(sat.runId(), sat));
        Map<Run, Timeline> timelines = runs.wholeTimelines(runs.runs(stays.keySet()));
        return timelines.entrySet().stream()
                .flatMap(entry -> {
                    Sat sat = stays.get(entry.getKey().id());
                    return SeatReadings.of(entry.getValue(), sat.seat().socket(), sat.seat()::isDuring).stream();
                })
                .toList();
    }
}
