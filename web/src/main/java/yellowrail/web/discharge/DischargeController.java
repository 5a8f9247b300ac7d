package yellowrail.web.discharge;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.discharge.DischargeWalk;
import yellowrail.core.station.Station;
import yellowrail.core.timeline.Snapshot;
import yellowrail.web.device.Devices;
import yellowrail.web.layout.Rail;
import yellowrail.web.live.Changes;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.run.Sight;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** Every capacitor in turn, until each was read to be under five volts. */
@Controller
class DischargeController {

    private static final String PAGE = "discharge/page";
    private static final String PART = PAGE + " :: discharge";

    private final RunService runs;
    private final RunEntries entries;
    private final StationService stations;
    private final Changes changes;
    private final Words words;
    private final Clock clock;

    DischargeController(
            RunService runs, RunEntries entries, StationService stations, Changes changes, Words words, Clock clock) {
        this.runs = runs;
        this.entries = entries;
        this.stations = stations;
        this.changes = changes;
        this.words = words;
        this.clock = clock;
    }

    /** @param at the capacitor to read; the first that is not drained, if blank */
    @GetMapping("/runs/{id}/discharge")
    ModelAndView walk(@PathVariable long id, @RequestParam(defaultValue = "") String at) {
        return page(id, at, null, "", PAGE);
    }

    /** What of it changes when somebody else reads. */
    @GetMapping("/runs/{id}/discharge/now")
    ModelAndView now(@PathVariable long id, @RequestParam(defaultValue = "") String at) {
        return page(id, at, null, "", PART).addObject("elsewhere", true);
    }

    /**
     * @param volts what was read; off where the amp was switched off just now
     * @param sight whether what was asked about is to stand
     */
    @PostMapping("/runs/{id}/discharge")
    ModelAndView enter(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String volts,
            @RequestParam(defaultValue = "") String instead,
            Sight sight,
            @RequestParam(defaultValue = "") String form,
            @RequestHeader(name = "HX-Request", required = false) String htmx,
            HttpServletRequest request) {
        String line = !instead.isBlank()
                ? instead
                : volts.strip().equalsIgnoreCase("off") ? "off" : "drained " + at + " " + volts.strip();
        EntryOutcome outcome = entries.enter(id, line, Devices.name(request), sight.choosing(instead), null, form);
        boolean taken = outcome instanceof EntryOutcome.Accepted;
        if (taken && htmx == null) {
            return new ModelAndView("redirect:/runs/" + id + "/discharge");
        }
        ModelAndView again = page(id, taken ? "" : at, outcome, volts, htmx != null ? PART : PAGE);
        if (!taken && htmx == null) {
            again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return again;
    }

    private ModelAndView page(long id, String at, EntryOutcome outcome, String typed, String view) {
        long notSeenFrom = changes.notSeenFrom();
        Run run = runs.run(id);
        Snapshot now = runs.wholeTimelines(List.of(run)).get(run).present();
        AmpSheet sheet = now.sheet();
        DischargeWalk walk =
                new DischargeWalk(sheet, now.moment(), run.clock(clock).instant());
        return new ModelAndView(view)
                .addObject("rail", Rail.ofRun(id, sheet.name(), Station.MAKE_SAFE, stations.progress(id, sheet), words))
                .addObject("notSeenFrom", notSeenFrom)
                .addObject("runId", id)
                .addObject("ampId", run.ampId())
                .addObject("open", run.isOpen())
                .addObject("typed", outcome instanceof EntryOutcome.Accepted ? "" : typed)
                .addObject("refused", outcome instanceof EntryOutcome.Refused refused ? refused.message() : "")
                .addObject("asked", outcome instanceof EntryOutcome.Asked asked ? asked : null)
                .addObject("form", UUID.randomUUID().toString())
                .addObject("view", DischargeView.of(walk, at, words));
    }
}
