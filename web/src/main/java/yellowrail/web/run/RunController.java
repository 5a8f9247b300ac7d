package yellowrail.web.run;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import yellowrail.core.closing.AmpHistory;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.StageSummary;
import yellowrail.core.idle.TubeIdle;
import yellowrail.core.station.Safety;
import yellowrail.core.station.Station;
import yellowrail.core.timeline.Snapshot;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.live.Changes;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** The run page, its entry line, and what can be opened from it. */
@Controller
class RunController {

    private final RunService runs;
    private final AmpService amps;
    private final StationService stations;
    private final RunPages pages;
    private final RunEntries entries;
    private final Changes changes;
    private final Words words;
    private final Clock clock;

    RunController(
            RunService runs,
            AmpService amps,
            StationService stations,
            RunPages pages,
            RunEntries entries,
            Changes changes,
            Words words,
            Clock clock) {
        this.runs = runs;
        this.amps = amps;
        this.stations = stations;
        this.pages = pages;
        this.entries = entries;
        this.changes = changes;
        this.words = words;
        this.clock = clock;
    }

    /** The run of an amp where one stopped, or an invitation to begin one. */
    @GetMapping("/amps/{ampId}/run")
    ModelAndView ofAmp(@PathVariable long ampId, @RequestParam(defaultValue = "") String at) {
        return toNewest(ampId, at.isBlank() ? "" : "?at=" + at.replaceAll("[^a-z-]", ""));
    }

    @GetMapping("/amps/{ampId}/compare")
    ModelAndView compareOfAmp(@PathVariable long ampId) {
        return toNewest(ampId, "/compare");
    }

    private ModelAndView toNewest(long ampId, String page) {
        Amp amp = amps.newest(ampId);
        Optional<Run> run = runs.newestOf(ampId);
        return run.isPresent()
                ? new ModelAndView("redirect:/runs/" + run.get().id() + page)
                : new ModelAndView("run/none")
                        .addObject("rail", Rail.ofAmp(ampId, amp.sheet().name(), Station.PLAN, words))
                        .addObject("ampId", ampId);
    }

    @PostMapping("/amps/{ampId}/runs")
    ModelAndView begin(@PathVariable long ampId) {
        return new ModelAndView("redirect:/runs/" + runs.begin(ampId).id());
    }

    /** The runs of an amp, as a part of its sheet's page. */
    @GetMapping("/amps/{ampId}/runs")
    ModelAndView history(@PathVariable long ampId) {
        List<Run> ofAmp = runs.ofAmp(ampId);
        Map<Long, StageSummary> summaries = runs.summaries(ofAmp);
        Map<Long, List<String>> said = runs.said(ofAmp);
        List<AmpHistory.Point> points = ofAmp.stream()
                .filter(run -> !run.isOpen())
                .sorted(Comparator.comparing(Run::closedAt))
                .flatMap(run -> AmpHistory.of(run.closedAt().toInstant(), run.id(), summaries.get(run.id())).stream())
                .toList();
        return new ModelAndView("run/history :: runs")
                .addObject("drawing", points.isEmpty() ? null : HistoryDrawing.of(points, clock.getZone(), words))
                .addObject(
                        "runs",
                        ofAmp.stream()
                                .map(run -> HistoryLine.of(
                                        run,
                                        summaries.get(run.id()),
                                        said.getOrDefault(run.id(), List.of()),
                                        words,
                                        clock))
                                .toList());
    }

    /**
     * A device that was let in measures under its name, unless another is typed.
     *
     * @param at the station to stand at; where the work goes on, if blank
     * @param span half the range of mains to look at, percent
     */
    @GetMapping("/runs/{id}")
    ModelAndView page(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "10") String span,
            HttpServletRequest request) {
        return pages.page(id, at, span, request.getRemoteUser(), null, "run/page");
    }

    /** The run below the rail alone, for what changed it from elsewhere on the page. */
    @GetMapping("/runs/{id}/live")
    ModelAndView live(@PathVariable long id, @RequestParam(defaultValue = "") String at, HttpServletRequest request) {
        return pages.page(id, at, "", request.getRemoteUser(), null, "run/page :: live")
                .addObject("elsewhere", true);
    }

    /** Tells the page of a run when something of it was stored, by whomever. */
    @GetMapping(path = "/runs/{id}/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter changes(@PathVariable long id) {
        return changes.follow(id, runs.run(id).ampId());
    }

    /** The verdicts and curves of the soak alone. */
    @GetMapping("/runs/{id}/soak")
    ModelAndView soak(@PathVariable long id) {
        return pages.soak(id);
    }

    /**
     * @param instead a line chosen in answer to a question about the typed one, which has been asked and counts
     * @param form the one-time number of the form it came with
     * @param sight what stood on the page, and whether the typed line is to stand all the same
     */
    @PostMapping("/runs/{id}/readings")
    ModelAndView enter(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String line,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String instead,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "") String form,
            Sight sight,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        EntryOutcome outcome =
                entries.enter(id, instead.isBlank() ? line : instead, by, sight.choosing(instead), null, form);
        if (htmx != null) {
            return pages.page(id, at, "", by, outcome, "run/page :: live");
        }
        if (outcome instanceof EntryOutcome.Accepted taken && !taken.again()) {
            return pages.toStation(id, at);
        }
        ModelAndView again = pages.page(id, at, "", by, outcome, "run/page");
        again.setStatus(outcome instanceof EntryOutcome.Accepted ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return again;
    }

    @PostMapping("/runs/{id}/strike")
    ModelAndView strike(
            @PathVariable long id,
            @RequestParam("reading") long readingId,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String at,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        entries.strike(id, readingId);
        return htmx != null ? pages.page(id, at, "", by, null, "run/page :: live") : pages.toStation(id, at);
    }

    /** The station is done, skipped with a word why, or taken up again; then on to where the work goes on. */
    @PostMapping("/runs/{id}/stations/{token}")
    ModelAndView station(
            @PathVariable long id,
            @PathVariable String token,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String why) {
        Run run = runs.run(id);
        Station station =
                Station.of(token).orElseThrow(() -> new NotFoundException("There is no station " + token + "."));
        if (run.isOpen()) {
            switch (what) {
                case "done" -> stations.done(id, station);
                case "skip" -> {
                    if (why.isBlank()) {
                        ModelAndView again = pages.page(id, token, "", null, null, "run/page")
                                .addObject("skipFault", words.message("page.station.say-why"));
                        again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
                        return again;
                    }
                    stations.skip(id, station, why);
                }
                case "reopen" -> stations.reopen(id, station);
                default -> throw new NotFoundException("A station is done, skipped or reopened.");
            }
        }
        return what.equals("reopen")
                ? pages.toStation(id, token)
                : pages.toStation(
                        id, Station.values()[Math.min(station.ordinal() + 1, Station.values().length - 1)].token());
    }

    /** @param line what was typed when it was held for this item; tried again once nothing more holds it */
    @PostMapping("/runs/{id}/ticks/{item}")
    ModelAndView tick(
            @PathVariable long id,
            @PathVariable String item,
            @RequestParam(defaultValue = "false") boolean ticked,
            @RequestParam(defaultValue = "") String line,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String form,
            @RequestParam(defaultValue = "") String at,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Run run = runs.run(id);
        var progress = stations.progress(id, runs.amp(run).sheet());
        if (progress.item(item).isEmpty() && !item.equals(Safety.ALL)) {
            throw new NotFoundException("There is no item " + item + ".");
        }
        if (run.isOpen()) {
            progress.called(item).forEach(each -> stations.tick(id, each, ticked));
        }
        EntryOutcome outcome = line.isBlank() ? null : entries.enter(id, line, by, Sight.NOTHING, null, form);
        if (htmx != null) {
            return pages.page(id, at, "", line.isBlank() ? null : by, outcome, "run/page :: live");
        }
        return outcome == null || outcome instanceof EntryOutcome.Accepted
                ? pages.toStation(id, at)
                : pages.page(id, at, "", by, outcome, "run/page");
    }

    @PostMapping("/runs/{id}/close")
    ModelAndView close(@PathVariable long id) {
        runs.close(id);
        return new ModelAndView("redirect:/amps/" + runs.run(id).ampId());
    }

    /** A verdict opened to its arithmetic. */
    @GetMapping("/runs/{id}/tubes/{label}")
    ModelAndView arithmetic(
            @PathVariable long id,
            @PathVariable String label,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        Snapshot now = runs.timeline(run).present();
        StageIdle stage = StageIdle.of(now);
        TubeIdle tube = stage.at(now).stream()
                .filter(each -> each.socket().label().equalsIgnoreCase(label))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such socket on this amp."));
        return new ModelAndView(htmx != null ? "run/arithmetic :: arithmetic" : "run/arithmetic")
                .addObject("rail", rail(run, amp, Station.MEASURE))
                .addObject("runId", id)
                .addObject("view", ArithmeticView.of(tube, stage, clock.getZone(), words));
    }

    @GetMapping("/runs/{id}/log")
    ModelAndView log(@PathVariable long id, @RequestParam(defaultValue = "" + Long.MAX_VALUE) long before) {
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        var rows = runs.rowsBefore(id, before);
        return new ModelAndView("run/log")
                .addObject("rail", rail(run, amp, Station.MEASURE))
                .addObject("runId", id)
                .addObject(
                        "lines",
                        rows.stream()
                                .map(row -> RunView.line(row, clock, words))
                                .toList())
                .addObject(
                        "older",
                        rows.size() == RunService.RECENT
                                ? rows.get(rows.size() - 1).id()
                                : 0);
    }

    @GetMapping("/runs/{id}/compare")
    ModelAndView compare(
            @PathVariable long id, @RequestParam(defaultValue = "0") long a, @RequestParam(defaultValue = "0") long b) {
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        return new ModelAndView("run/compare")
                .addObject("rail", rail(run, amp, Station.MEASURE))
                .addObject("runId", id)
                .addObject(
                        "view",
                        CompareView.of(id, runs.log(run, amp), a, b, words, clock)
                                .orElse(null));
    }

    private Rail rail(Run run, Amp amp, Station here) {
        return Rail.ofRun(run.id(), amp.sheet().name(), here, stations.progress(run.id(), amp.sheet()), words);
    }
}
