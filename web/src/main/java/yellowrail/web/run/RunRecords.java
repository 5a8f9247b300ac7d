package yellowrail.web.run;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yellowrail.core.closing.Closing;
import yellowrail.core.closing.Item;
import yellowrail.core.reading.Reading;
import yellowrail.web.seat.SeatService;
import yellowrail.web.soak.SoakView;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** What a whole run amounts to, for its end and for what is printed of it. */
@Service
public class RunRecords {

    private final RunService runs;
    private final StationService stations;
    private final SeatService seats;
    private final Words words;
    private final Clock clock;

    RunRecords(RunService runs, StationService stations, SeatService seats, Words words, Clock clock) {
        this.runs = runs;
        this.stations = stations;
        this.seats = seats;
        this.words = words;
        this.clock = clock;
    }

    /** Tubes are moved; the record of a run names those that were in it. */
    @EventListener
    void closed(RunClosed event) {
        seats.keep(event.run().id(), seats.labels(event.run().ampId()));
    }

    private Closing of(RunNow now) {
        return new Closing(
                now.timeline(),
                now.moves(),
                stations.progress(now.run().id(), runs.amp(now.run()).sheet()),
                runs.kept(now.run().id()));
    }

    /** What is open, and what was found, in words. */
    @Transactional(readOnly = true)
    ClosingView closing(RunNow now) {
        return ClosingView.of(of(now), now.log().readings(), words);
    }

    /** What must, should and could be done. */
    @Transactional(readOnly = true)
    public List<Item> items(Run run) {
        RunNow now = runs.now(run);
        return of(now).items(now.log().readings());
    }

    /** Every reading that counts, in the order of entry. */
    @Transactional(readOnly = true)
    public List<Reading> readings(Run run) {
        return runs.wholeLog(run).readings();
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
        RunNow now = runs.now(run);
        return new Whole(CompareView.of(run.id(), now.log(), 0, 0, words, clock), soak(now, seated), closing(now));
    }

    /** @param seated what is written on the tubes, by socket */
    SoakView soak(RunNow now, Map<String, String> seated) {
        return SoakView.of(
                now.timeline(),
                now.soak(),
                now.summary().tubes(),
                seated,
                now.run().clock(clock),
                words);
    }
}
