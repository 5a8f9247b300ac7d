package yellowrail.web.station;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.SafetyItem;
import yellowrail.core.station.Station;
import yellowrail.core.station.StationEvent.What;

/** Keeps what happened to the stations of a run. */
@Service
public class StationService {

    /** Longer than anyone explains. */
    private static final int LONGEST = 200;

    private final StationMapper mapper;
    private final Clock clock;

    StationService(StationMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public RunProgress progress(long runId, AmpSheet sheet) {
        return new RunProgress(
                sheet, mapper.ofRun(runId).stream().map(StationRow::event).toList());
    }

    /** Everything that happened to the stations of a run, for a file of it. */
    @Transactional(readOnly = true)
    public List<StationRow> steps(long runId) {
        return mapper.ofRun(runId);
    }

    /** The same from a file; what it names must be known. */
    @Transactional
    public void add(long runId, String what, String station, String item, String words, OffsetDateTime at) {
        mapper.add(new StationRow(
                runId, What.valueOf(what).name(), Station.valueOf(station).name(), item, words, at));
    }

    @Transactional
    public void done(long runId, Station station) {
        add(runId, What.DONE, station, "", "");
    }

    /** @param why a word, cut at 200 characters */
    @Transactional
    public void skip(long runId, Station station, String why) {
        String words = why.replaceAll("\\p{Cntrl}", " ").strip();
        add(
                runId,
                What.SKIPPED,
                station,
                "",
                words.substring(
                        0, words.offsetByCodePoints(0, Math.min(LONGEST, words.codePointCount(0, words.length())))));
    }

    @Transactional
    public void reopen(long runId, Station station) {
        add(runId, What.REOPENED, station, "", "");
    }

    /** Ticks an item, or takes its tick back. */
    @Transactional
    public void tick(long runId, SafetyItem item, boolean ticked) {
        add(runId, ticked ? What.TICKED : What.UNTICKED, item.station(), item.id(), "");
    }

    private void add(long runId, What what, Station station, String item, String words) {
        mapper.add(new StationRow(runId, what.name(), station.name(), item, words, OffsetDateTime.now(clock)));
    }
}
