package yellowrail.web.run;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toMap;
import static java.util.stream.Collectors.toSet;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.node.ChartNode;
import yellowrail.core.idle.LastKnown;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.reading.Reading;
import yellowrail.core.soak.Standing;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.timeline.Timeline;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.core.walk.Earlier;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.amp.SheetKey;
import yellowrail.web.layout.NotFoundException;

/** Begins and closes runs and says what their logs amount to; {@link RunEntries} takes their readings. */
@Service
public class RunService {

    /** Readings that the map and the pages follow one by one; older ones count through the last of each kind. */
    static final int RECENT = 200;

    private final RunMapper mapper;
    private final AmpService amps;
    private final RunLogs logs;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Remembered<LogState, Standing> rememberedStandings = new Remembered<>();

    RunService(RunMapper mapper, AmpService amps, RunLogs logs, ApplicationEventPublisher events, Clock clock) {
        this.clock = clock;
        this.mapper = mapper;
        this.amps = amps;
        this.logs = logs;
        this.events = events;
    }

    /** @return the open run of this amp, which is on the bench then; begun now if there was none */
    @Transactional
    public Run begin(long ampId) {
        amps.onTheBench(ampId);
        return begin(ampId, OffsetDateTime.now(clock));
    }

    /** The same for one that began at another time. */
    @Transactional
    public Run begin(long ampId, OffsetDateTime at) {
        amps.newest(ampId);
        mapper.begin(ampId, at);
        return mapper.newestOf(ampId).orElseThrow();
    }

    @Transactional(readOnly = true)
    public Optional<Run> newestOf(long ampId) {
        return mapper.newestOf(ampId);
    }

    /** The newest run of every amp on the bench that has one. */
    @Transactional(readOnly = true)
    public List<Run> newestOfAll() {
        return mapper.newestOfAll();
    }

    @Transactional(readOnly = true)
    public List<Run> ofAmp(long ampId) {
        return mapper.ofAmp(amps.newest(ampId).id());
    }

    /** Closes a run and pins the sheet it was judged by; what is being entered at this moment comes in first. */
    @Transactional
    public void close(long runId) {
        close(runId, OffsetDateTime.now(clock));
    }

    /** The same for one that ended at another time, as it stands in somebody's notebook. */
    @Transactional
    public void close(long runId, OffsetDateTime at) {
        mapper.lock(runId);
        Run run = run(runId);
        if (mapper.close(runId, amp(run).version(), at) == 1) {
            events.publishEvent(new RunClosed(run(runId)));
        }
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

    /** Those of these runs that there are. */
    @Transactional(readOnly = true)
    public List<Run> runs(Collection<Long> ids) {
        return ids.isEmpty() ? List.of() : mapper.runs(ids);
    }

    /** The amp as this run sees it: by its newest sheet while open, by the pinned one when closed. */
    @Transactional(readOnly = true)
    public Amp amp(Run run) {
        return run.isOpen() ? amps.newest(run.ampId()) : amps.version(run.ampId(), run.sheetVersion());
    }

    /** The amp as each of these runs sees it. */
    private Map<Run, Amp> amps(Collection<Run> runs) {
        Map<Long, Amp> newest =
                amps.newest(runs.stream().filter(Run::isOpen).map(Run::ampId).collect(toSet()));
        Map<SheetKey, Amp> pinned = amps.versions(runs.stream()
                .filter(run -> !run.isOpen())
                .map(RunService::pinned)
                .collect(toSet()));
        Map<Run, Amp> seen = new LinkedHashMap<>();
        runs.forEach(run -> seen.put(run, run.isOpen() ? newest.get(run.ampId()) : pinned.get(pinned(run))));
        return seen;
    }

    private static SheetKey pinned(Run run) {
        return new SheetKey(run.ampId(), run.sheetVersion());
    }

    /** What the log of a run tells, from the first state of the bench to the present. */
    @Transactional(readOnly = true)
    public Timeline timeline(Run run) {
        return logs.of(run, amp(run)).timeline();
    }

    /** The last known state of an amp. */
    @Transactional(readOnly = true)
    public LastKnown lastKnown(Amp amp) {
        Optional<Timeline> log = newestOf(amp.id()).map(this::timeline);
        return new LastKnown(
                log.map(Timeline::present)
                        .filter(at -> at.sheet().equals(amp.sheet()))
                        .map(StageIdle::of)
                        .orElseGet(() -> StageIdle.of(amp.sheet(), logs.catalogue())),
                log);
    }

    /** The same where nothing that was read counts. */
    public LastKnown unread(Amp amp) {
        return new LastKnown(StageIdle.of(amp.sheet(), logs.catalogue()), Optional.empty());
    }

    /** Where a run stands, in its worst tube. */
    @Transactional(readOnly = true)
    public StageSummary summary(Run run) {
        return StageSummary.of(timeline(run));
    }

    /** Where each of these runs stands; in as many queries however many there are. */
    @Transactional(readOnly = true)
    public Map<Run, Standing> standings(Collection<Run> runs) {
        return rememberedStandings.of(
                states(runs), changed -> each(logs.whole(amps(changed)), log -> Standing.of(log.timeline())));
    }

    /** Their worst tubes, by the run's number. */
    @Transactional(readOnly = true)
    public Map<Long, StageSummary> summaries(Collection<Run> runs) {
        Map<Long, StageSummary> summaries = new LinkedHashMap<>();
        standings(runs).forEach((run, standing) -> summaries.put(run.id(), standing.summary()));
        return summaries;
    }

    /** Which tubes were put in during each of these runs, and what was found, as it was typed. */
    @Transactional(readOnly = true)
    public Map<Long, List<String>> said(Collection<Run> runs) {
        return runs.isEmpty()
                ? Map.of()
                : mapper.said(runs.stream().map(Run::id).toList()).stream()
                        .collect(groupingBy(ReadingRow::runId, mapping(ReadingRow::typed, toList())));
    }

    /** What was typed of readings that were asked about and kept. */
    @Transactional(readOnly = true)
    List<String> kept(long runId) {
        return mapper.kept(runId);
    }

    /** The open runs on amps of the bench in which something was entered since. */
    @Transactional(readOnly = true)
    public List<Run> readSince(OffsetDateTime since) {
        return mapper.readSince(since);
    }

    /** What the meaning of each of these logs depends on. */
    @Transactional(readOnly = true)
    public Map<Run, LogState> states(Collection<Run> runs) {
        if (runs.isEmpty()) {
            return Map.of();
        }
        TubeCatalogue catalogue = logs.catalogue();
        Map<Long, LogState> far = mapper.far(runs.stream().map(Run::id).toList()).stream()
                .collect(toMap(RunMapper.Far::runId, at -> new LogState(at.reading(), at.sheet(), catalogue)));
        Map<Run, LogState> states = new LinkedHashMap<>();
        runs.forEach(run -> states.put(run, far.get(run.id())));
        return states;
    }

    private static <T> Map<Run, T> each(Map<Run, RunLog> logs, Function<RunLog, T> compute) {
        Map<Run, T> computed = new LinkedHashMap<>();
        logs.forEach((run, log) -> computed.put(run, compute.apply(log)));
        return computed;
    }

    /** What the whole logs of these runs tell, however long they are. */
    @Transactional(readOnly = true)
    public Map<Run, Timeline> wholeTimelines(Collection<Run> runs) {
        return runs.isEmpty() ? Map.of() : each(logs.whole(amps(runs)), RunLog::timeline);
    }

    /** The log from its first row to its last. */
    @Transactional(readOnly = true)
    RunLog wholeLog(Run run) {
        return logs.whole(amps(List.of(run))).get(run);
    }

    /** All that was said of a run, to look back at. */
    @Transactional(readOnly = true)
    public RunPast past(Run run) {
        return new RunPast(wholeLog(run));
    }

    /** A run as its whole log tells it. */
    @Transactional(readOnly = true)
    RunNow now(Run run) {
        return RunNow.of(run, wholeLog(run));
    }

    /** What the nodes of the chart read in the closed runs before this one, by their names in lower case. */
    @Transactional(readOnly = true)
    public Map<String, Earlier> nodesAsLeft(Run run) {
        return nodesAsLeft(run.ampId(), run.id());
    }

    /** The same of all closed runs of an amp. */
    @Transactional(readOnly = true)
    public Map<String, Earlier> nodesAsLeft(long ampId) {
        return nodesAsLeft(ampId, Long.MAX_VALUE);
    }

    private Map<String, Earlier> nodesAsLeft(long ampId, long before) {
        return mapper.nodesAsLeft(ampId, before).stream()
                .collect(toMap(
                        node -> ChartNode.key(node.target()),
                        node -> new Earlier(
                                node.volts(),
                                node.mains() == null ? OptionalDouble.empty() : OptionalDouble.of(node.mains())),
                        (one, other) -> one));
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
