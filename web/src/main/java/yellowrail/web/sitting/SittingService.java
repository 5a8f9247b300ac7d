package yellowrail.web.sitting;

import java.time.Duration;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.drawer.Sitting;
import yellowrail.core.timeline.Timeline;
import yellowrail.web.database.JsonColumn;
import yellowrail.web.run.LogState;
import yellowrail.web.run.Remembered;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunClosed;
import yellowrail.web.run.RunService;
import yellowrail.web.seat.Seat;
import yellowrail.web.seat.SeatService;

/**
 * What runs tell of the tubes that sat in their amps. Of a closed run it is written down once; the log of an open run
 * may still be corrected, so it is read whole, and again when it has changed.
 */
@Service
public class SittingService {

    private final SittingMapper mapper;
    private final SeatService seats;
    private final RunService runs;
    private final JsonColumn json;
    private final Remembered<From, List<Sat>> remembered = new Remembered<>();

    SittingService(SittingMapper mapper, SeatService seats, RunService runs, JsonColumn json) {
        this.mapper = mapper;
        this.seats = seats;
        this.runs = runs;
        this.json = json;
    }

    /** What the sittings of a run are read from. */
    private record From(LogState log, List<Seat> seats) {}

    @EventListener
    void closed(RunClosed event) {
        write(event.run());
    }

    /** Writes down what a closed run tells of its tubes. */
    @Transactional
    void write(Run run) {
        List<Seat> ofAmp = seats.ofAmps(List.of(run.ampId()));
        if (!ofAmp.isEmpty()) {
            Timeline timeline = runs.wholeTimelines(List.of(run)).get(run);
            for (Sat sat : sat(run.id(), timeline, ofAmp)) {
                mapper.write(
                        sat.seat().id(),
                        run.id(),
                        sat.sitting().on().toMillis() / 1000.0,
                        json.write(CreptDocument.of(sat.sitting().findings())));
            }
        }
        mapper.setWritten(run.id());
    }

    @Transactional(readOnly = true)
    List<Long> missing() {
        return mapper.missing();
    }

    private static List<Sat> sat(long runId, Timeline timeline, List<Seat> seats) {
        return seats.stream()
                .flatMap(seat -> Sitting.of(timeline, seat.socket(), seat::isDuring).stream()
                        .map(sitting -> new Sat(seat, runId, sitting)))
                .toList();
    }

    /** Where a tube sat and what each run told of it, newest first. */
    @Transactional(readOnly = true)
    public List<Sat> ofTube(long tubeId) {
        return Stream.concat(
                        open().stream().filter(sat -> sat.seat().tubeId() == tubeId),
                        mapper.ofTube(tubeId).stream().map(this::sat))
                .sorted(Comparator.comparingLong((Sat sat) -> sat.seat().id())
                        .thenComparingLong(Sat::runId)
                        .reversed())
                .toList();
    }

    /** The tubes that an open run speaks against. */
    @Transactional(readOnly = true)
    public Set<Long> suspectNow() {
        return open().stream()
                .filter(Sat::isSuspect)
                .map(sat -> sat.seat().tubeId())
                .collect(Collectors.toCollection(HashSet::new));
    }

    /** The newest of what runs speak against these tubes, by the tube's number; a tube without is left out. */
    @Transactional(readOnly = true)
    public Map<Long, Sat> suspects(Collection<Long> tubeIds) {
        Map<Long, Sat> suspects = new LinkedHashMap<>();
        if (!tubeIds.isEmpty()) {
            mapper.suspects(tubeIds).forEach(row -> suspects.put(row.tubeId(), sat(row)));
            Set<Long> asked = new HashSet<>(tubeIds);
            open().stream()
                    .filter(sat -> sat.isSuspect() && asked.contains(sat.seat().tubeId()))
                    .forEach(sat -> suspects.put(sat.seat().tubeId(), sat));
        }
        return suspects;
    }

    private Sat sat(SittingRow row) {
        List<CreptDocument> crept = List.of(json.read(row.crept(), CreptDocument[].class));
        return new Sat(
                row.seat(),
                row.runId(),
                new Sitting(
                        Duration.ofMillis(Math.round(1000 * row.onSeconds())),
                        crept.stream().map(CreptDocument::finding).toList()));
    }

    /** What the open runs tell. */
    private List<Sat> open() {
        List<Run> open = runs.runs(mapper.open());
        Map<Long, List<Seat>> seatsOf = seats
                .ofAmps(open.stream().map(Run::ampId).toList())
                .stream()
                .collect(Collectors.groupingBy(Seat::ampId));
        Map<Run, From> from = new LinkedHashMap<>();
        runs.states(open).forEach((run, log) -> from.put(run, new From(log, seatsOf.get(run.ampId()))));
        return remembered
                .of(from, changed -> {
                    Map<Run, List<Sat>> sat = new LinkedHashMap<>();
                    runs.wholeTimelines(changed)
                            .forEach((run, timeline) -> sat.put(
                                    run, sat(run.id(), timeline, from.get(run).seats())));
                    return sat;
                })
                .values()
                .stream()
                .flatMap(List::stream)
                .toList();
    }
}
