package yellowrail.web.run;

import static java.util.stream.Collectors.groupingBy;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.timeline.SheetVersion;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.amp.SheetKey;
import yellowrail.web.tubes.TubeService;

/**
 * Fetches the logs of runs: recent rows, the last of each kind before them, the tubes of earlier runs, the sheets of
 * each; in as many queries for two hundred runs as for one.
 */
@Component
class RunLogs {

    private final RunMapper mapper;
    private final AmpService amps;
    private final TubeService tubes;

    RunLogs(RunMapper mapper, AmpService amps, TubeService tubes) {
        this.mapper = mapper;
        this.amps = amps;
        this.tubes = tubes;
    }

    TubeCatalogue catalogue() {
        return tubes.catalogue();
    }

    /** The newest rows, in the order of entry, struck ones among them. */
    List<ReadingRow> rows(long runId) {
        return byRun(mapper.newestOfEach(List.of(runId), RunService.RECENT)).getOrDefault(runId, List.of());
    }

    RunLog of(Run run, Amp amp) {
        return of(Map.of(run, amp)).get(run);
    }

    /** The logs as far as pages follow them, of these runs on their amps. */
    Map<Run, RunLog> of(Map<Run, Amp> amps) {
        List<Long> ids = ids(amps.keySet());
        Map<Long, List<ReadingRow>> rows = byRun(mapper.newestOfEach(ids, RunService.RECENT));
        List<RunMapper.End> ends = rows.entrySet().stream()
                .filter(log -> log.getValue().size() == RunService.RECENT)
                .map(log ->
                        new RunMapper.End(log.getKey(), log.getValue().get(0).id() - 1))
                .toList();
        return logs(amps, rows, ends.isEmpty() ? Map.of() : byRun(mapper.latestOfEach(ends)));
    }

    /** The logs from their first row to their last. */
    Map<Run, RunLog> whole(Map<Run, Amp> amps) {
        return logs(amps, byRun(mapper.whole(ids(amps.keySet()))), Map.of());
    }

    private static List<Long> ids(Collection<Run> runs) {
        return runs.stream().map(Run::id).toList();
    }

    private static Map<Long, List<ReadingRow>> byRun(List<ReadingRow> rows) {
        return rows.stream().collect(groupingBy(ReadingRow::runId));
    }

    private Map<Run, RunLog> logs(
            Map<Run, Amp> amps, Map<Long, List<ReadingRow>> rows, Map<Long, List<ReadingRow>> skipped) {
        TubeCatalogue catalogue = tubes.catalogue();
        Map<Long, List<ReadingRow>> seated = byRun(mapper.tubesBefore(ids(amps.keySet())));
        Map<Run, List<Reading>> before = new LinkedHashMap<>();
        amps.keySet()
                .forEach(run -> before.put(
                        run,
                        Stream.of(seated, skipped)
                                .flatMap(part -> part.getOrDefault(run.id(), List.of()).stream())
                                .map(ReadingRow::reading)
                                .toList()));
        Map<Run, Set<SheetKey>> named = new LinkedHashMap<>();
        amps.forEach((run, amp) -> named.put(run, named(amp, rows.getOrDefault(run.id(), List.of()), before.get(run))));
        Map<SheetKey, Amp> sheets =
                this.amps.versions(named.values().stream().flatMap(Set::stream).toList());
        Map<Run, RunLog> logs = new LinkedHashMap<>();
        amps.forEach((run, amp) -> logs.put(
                run,
                new RunLog(
                        catalogue,
                        Stream.concat(named.get(run).stream().map(sheets::get), Stream.of(amp))
                                .map(each -> new SheetVersion(each.version(), each.sheet()))
                                .toList(),
                        new Moment(before.get(run)),
                        rows.getOrDefault(run.id(), List.of()))));
        return logs;
    }

    /**
     * Every version that a reading names, rising, older than the one in force; no newer one where the run is closed.
     */
    private static Set<SheetKey> named(Amp amp, List<ReadingRow> rows, List<Reading> before) {
        Set<Integer> numbers = new TreeSet<>();
        rows.forEach(row -> numbers.add(row.sheetVersion()));
        before.forEach(reading -> numbers.add(reading.sheet()));
        numbers.removeIf(number -> number >= amp.version());
        return new LinkedHashSet<>(
                numbers.stream().map(number -> new SheetKey(amp.id(), number)).toList());
    }
}
