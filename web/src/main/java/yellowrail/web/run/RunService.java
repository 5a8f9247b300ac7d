package yellowrail.web.run;

import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;

/** Begins and closes runs and says what their logs amount to; {@link RunEntries} takes their readings. */
@Service
public class RunService {

    /** Readings that the map and the pages follow one by one; older ones count through the last of each kind. */
    static final int RECENT = 200;

    private final RunMapper mapper;
    private final AmpService amps;
    private final RunLogs logs;

    RunService(RunMapper mapper, AmpService amps, RunLogs logs) {
        this.mapper = mapper;
        this.amps = amps;
        this.logs = logs;
    }

    /** @return the open run of this amp, begun now if there was none */
    @Transactional
    public Run begin(long ampId) {
        amps.newest(ampId);
        mapper.begin(ampId);
        return mapper.newestOf(ampId).orElseThrow();
    }

    @Transactional(readOnly = true)
    public Optional<Run> newestOf(long ampId) {
        return mapper.newestOf(ampId);
    }

    @Transactional(readOnly = true)
    public List<Run> ofAmp(long ampId) {
        return mapper.ofAmp(amps.newest(ampId).id());
    }

    /** Closes a run and pins the sheet it was judged by; what is being entered at this moment comes in first. */
    @Transactional
    public void close(long runId) {
        mapper.lock(runId);
        Run run = run(runId);
        mapper.close(runId, amp(run).version());
    }

    /** Sets a practice bench's clock, s ahead of the wall's. */
    @Transactional
    public void setClock(long runId, double offset) {
        mapper.setClock(runId, offset);
    }

    /** @throws NotFoundException if there is no such run */
    @Transactional(readOnly = true)
    public Run run(long id) {
        return mapper.run(id).orElseThrow(() -> new NotFoundException("There is no run " + id + "."));
    }

    /** The amp as this run sees it: by its newest sheet while open, by the pinned one when closed. */
    @Transactional(readOnly = true)
    public Amp amp(Run run) {
        return run.isOpen() ? amps.newest(run.ampId()) : amps.version(run.ampId(), run.sheetVersion());
    }

    /** What the log of a run tells, from the first state of the bench to the present. */
    @Transactional(readOnly = true)
    public Timeline timeline(Run run) {
        return logs.of(run, amp(run)).timeline();
    }

    /** What is on the bench of an amp now; empty where it never had a run. */
    @Transactional(readOnly = true)
    public Optional<Snapshot> present(long ampId) {
        return newestOf(ampId).map(run -> timeline(run).present());
    }

    /** The stage of an amp as its sheet alone tells it. */
    public StageIdle stage(AmpSheet sheet) {
        return StageIdle.of(sheet, logs.catalogue());
    }

    /** The stage with the tubes that are in it now. */
    @Transactional(readOnly = true)
    public StageIdle presentStage(Amp amp) {
        return present(amp.id())
                .filter(now -> now.sheet().equals(amp.sheet()))
                .map(StageIdle::of)
                .orElseGet(() -> stage(amp.sheet()));
    }

    /** Where a run stands, in its worst tube. */
    @Transactional(readOnly = true)
    public StageSummary summary(Run run) {
        return StageSummary.of(timeline(run));
    }

    /** The test points that no current was ever read at. */
    @Transactional(readOnly = true)
    public List<String> unread(Run run) {
        Snapshot now = timeline(run).present();
        return now.sheet().testPoints().stream()
                .filter(point -> now.moment().current(point).isEmpty())
                .toList();
    }

    /** The recent readings that count, in the order of entry. */
    @Transactional(readOnly = true)
    public List<Reading> readings(long runId) {
        return logs.rows(runId).stream()
                .filter(row -> !row.struck())
                .map(ReadingRow::reading)
                .toList();
    }

    /** The log as far as the pages follow it one by one. */
    @Transactional(readOnly = true)
    RunLog log(Run run, Amp amp) {
        return logs.of(run, amp);
    }

    @Transactional(readOnly = true)
    List<ReadingRow> rowsBefore(long runId, long before) {
        run(runId);
        return mapper.newest(runId, before, RECENT);
    }

    /** The run's time as an offset, for what is read of it elsewhere. */
    static OffsetDateTime earlier(OffsetDateTime taken, double minutes) {
        return taken.minusSeconds(Math.round(60 * minutes));
    }
}
