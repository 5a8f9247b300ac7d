package yellowrail.web.run;

import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.discharge.DischargeWalk;
import yellowrail.core.quantity.Figures;
import yellowrail.core.station.RunProgress;
import yellowrail.core.station.Station;
import yellowrail.core.supply.MainsRange;
import yellowrail.core.timeline.Snapshot;
import yellowrail.core.typed.BadQuantityException;
import yellowrail.core.typed.Quantity;
import yellowrail.web.amp.Amp;
import yellowrail.web.layout.Rail;
import yellowrail.web.live.Changes;
import yellowrail.web.seat.SeatService;
import yellowrail.web.station.StationService;
import yellowrail.web.watch.WatchService;
import yellowrail.web.words.Words;

/** Puts together the page of a run, whatever was asked of it. */
@Component
class RunPages {

    private final RunService runs;
    private final StationService stations;
    private final SeatService seats;
    private final WatchService watches;
    private final Changes changes;
    private final RunRecords records;
    private final Words words;
    private final Clock clock;

    RunPages(
            RunService runs,
            StationService stations,
            SeatService seats,
            WatchService watches,
            Changes changes,
            RunRecords records,
            Words words,
            Clock clock) {
        this.runs = runs;
        this.stations = stations;
        this.seats = seats;
        this.watches = watches;
        this.changes = changes;
        this.records = records;
        this.words = words;
        this.clock = clock;
    }

    ModelAndView toStation(long id, String at) {
        return new ModelAndView("redirect:/runs/" + id
                + Station.of(at).map(station -> "?at=" + station.token()).orElse(""));
    }

    /** @param by who measures; null for whoever measured last */
    ModelAndView page(long id, String at, String span, String by, EntryOutcome outcome, String view) {
        // Before anything is asked for: what is stored meanwhile may be shown, and is told of once more.
        long notSeenFrom = changes.notSeenFrom();
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        RunNow now = runs.now(run);
        RunProgress progress = stations.progress(id, amp.sheet());
        Station here = Station.of(at).orElseGet(() -> run.isOpen() ? progress.next() : Station.MEASURE);
        Map<String, String> seated = seats.labels(amp.id(), id);
        return new ModelAndView(view)
                .addObject("soak", here == Station.SOAK ? records.soak(now, seated) : null)
                .addObject("watch", here == Station.SOAK ? watch(run, amp) : null)
                .addObject("discharge", here == Station.MAKE_SAFE || here == Station.CLOSE ? discharge(run, now) : null)
                .addObject("closing", here == Station.CLOSE ? records.closing(now) : null)
                .addObject("notSeenFrom", notSeenFrom)
                .addObject("rail", Rail.ofRun(id, amp.sheet().name(), here, progress, words))
                .addObject("ampId", amp.id())
                .addObject("runId", id)
                .addObject("open", run.isOpen())
                .addObject("by", by != null ? by : now.log().lastBy())
                .addObject("refused", outcome instanceof EntryOutcome.Refused refused ? refused : null)
                .addObject("asked", outcome instanceof EntryOutcome.Asked asked ? asked : null)
                .addObject("held", outcome instanceof EntryOutcome.Held waits ? waits : null)
                .addObject(
                        "heldItems",
                        outcome instanceof EntryOutcome.Held waits ? StationView.ticks(waits.items(), words) : null)
                .addObject("entered", outcome != null)
                .addObject("swapped", view.contains("::"))
                .addObject(
                        "again",
                        outcome instanceof EntryOutcome.Accepted taken && taken.again()
                                ? words.message("run.stored-again")
                                : "")
                .addObject("form", UUID.randomUUID().toString())
                .addObject("span", Figures.fixed(percent(span), 0))
                .addObject("practice", run.isPractice())
                .addObject("view", RunView.of(now, progress, here, percent(span) / 100, words, clock))
                .addObject("seated", seated);
    }

    /** The soak alone, for a page that looks on. */
    ModelAndView soak(long id) {
        Run run = runs.run(id);
        return new ModelAndView("run/soak :: soak")
                .addObject("soak", records.soak(runs.now(run), seats.labels(run.ampId(), id)))
                .addObject("watch", watch(run, runs.amp(run)))
                .addObject("open", run.isOpen())
                .addObject("runId", id);
    }

    /** What is left to be read before hands go in, in a line. */
    private String discharge(Run run, RunNow now) {
        Snapshot present = now.timeline().present();
        DischargeWalk walk = new DischargeWalk(
                present.sheet(), present.moment(), run.clock(clock).instant());
        return words.say(walk.says()).get(0);
    }

    private WatchView watch(Run run, Amp amp) {
        return WatchView.of(amp.sheet(), watches.of(run.id()), clock.getZone(), words);
    }

    /** Half a range of mains, percent: from 1 to 25, 10 for anything else. */
    private static double percent(String typed) {
        try {
            double percent = Quantity.parse(typed).number();
            return percent >= 1 && percent <= 25 ? percent : 100 * MainsRange.USUAL;
        } catch (BadQuantityException e) {
            return 100 * MainsRange.USUAL;
        }
    }
}
