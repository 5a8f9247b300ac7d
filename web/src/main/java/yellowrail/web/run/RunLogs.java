package yellowrail.web.run;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
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
import yellowrail.web.tubes.TubeService;

/**
 * Fetches a run's log: its recent rows, the last of each kind before them, the tubes of earlier runs, the sheets of
 * each.
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
        List<ReadingRow> rows = new ArrayList<>(mapper.newest(runId, Long.MAX_VALUE, RunService.RECENT));
        Collections.reverse(rows);
        return rows;
    }

    RunLog of(Run run, Amp amp) {
        List<ReadingRow> rows = rows(run.id());
        List<Reading> earlier = new ArrayList<>(mapper.tubesBefore(run.ampId(), run.id()).stream()
                .map(ReadingRow::reading)
                .toList());
        if (rows.size() == RunService.RECENT) {
            mapper.latestOfEach(run.id(), rows.get(0).id() - 1).forEach(row -> earlier.add(row.reading()));
        }
        return new RunLog(tubes.catalogue(), versions(amp, rows, earlier), new Moment(earlier), rows);
    }

    /** Every version that a reading names, and the one in force; no newer one where the run is closed. */
    private List<SheetVersion> versions(Amp amp, List<ReadingRow> rows, List<Reading> earlier) {
        Set<Integer> named = new TreeSet<>();
        Stream.concat(
                        rows.stream().map(ReadingRow::sheetVersion),
                        earlier.stream().map(Reading::sheet))
                .filter(number -> number < amp.version())
                .forEach(named::add);
        List<SheetVersion> versions = new ArrayList<>(amps.versions(amp.id(), named));
        versions.add(new SheetVersion(amp.version(), amp.sheet()));
        return versions;
    }
}
