package yellowrail.web.run;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.closing.Closing;
import yellowrail.core.closing.Item;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.soak.SoakView;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** What a whole run amounts to, for its end and for what is printed of it. */
@Service
public class RunRecords {

    private final RunService runs;
    private final StationService stations;
    private final Words words;
    private final Clock clock;

    RunRecords(RunService runs, StationService stations, Words words, Clock clock) {
        this.runs = runs;
        this.stations = stations;
        this.words = words;
        this.clock = clock;
    }

    private RunLog whole(Run run) {
        return runs.wholeLog(run);
    }

    private Closing closing(Run run, RunLog log) {
        return new Closing(
                log.timeline(), stations.progress(run.id(), runs.amp(run).sheet()), runs.kept(run.id()));
    }

    /** What is open, and what was found, in words. */
    @Transactional(readOnly = true)
    public ClosingView closing(Run run) {
        RunLog log = whole(run);
        return ClosingView.of(closing(run, log), log.readings(), words);
    }

    /** What must, should and could be done. */
    @Transactional(readOnly = true)
    public List<Item> items(Run run) {
        RunLog log = whole(run);
        List<Reading> readings = log.readings();
        return closing(run, log).items(readings);
    }

    /** Every reading that counts, in the order of entry. */
    @Transactional(readOnly = true)
    public List<Reading> readings(Run run) {
        return whole(run).readings();
    }

    /**
     * All that is printed of a run.
     *
     * @param foundAndLeft empty where nothing was read
     */
    public record Whole(Optional<CompareView> foundAndLeft, SoakView soak, ClosingView closing) {}

    /** The same, from one look at the log. */
    @Transactional(readOnly = true)
    public Whole whole(Run run, Map<String, String> seated) {
        RunLog log = whole(run);
        return new Whole(
                CompareView.of(run.id(), log, 0, 0, words, clock),
                soak(run, log, seated),
                ClosingView.of(closing(run, log), log.readings(), words));
    }

    /** @param seated what is written on the tubes, by socket */
    @Transactional(readOnly = true)
    public SoakView soak(Run run, Map<String, String> seated) {
        return soak(run, whole(run), seated);
    }

    private SoakView soak(Run run, RunLog log, Map<String, String> seated) {
        Timeline timeline = log.timeline();
        Snapshot now = timeline.present();
        return SoakView.of(timeline, StageIdle.of(now).at(now), seated, run.clock(clock), words);
    }
}
