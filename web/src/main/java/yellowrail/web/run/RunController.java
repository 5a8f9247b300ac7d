package yellowrail.web.run;

import java.time.Clock;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.idle.TubeIdle;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;

/** The run page, its entry line, and what can be opened from it. */
@Controller
class RunController {

    private final RunService runs;
    private final AmpService amps;
    private final Clock clock;

    RunController(RunService runs, AmpService amps, Clock clock) {
        this.runs = runs;
        this.amps = amps;
        this.clock = clock;
    }

    /** The run of an amp where one stopped, or an invitation to begin one. */
    @GetMapping("/amps/{ampId}/run")
    ModelAndView ofAmp(@PathVariable long ampId) {
        return toNewest(ampId, "");
    }

    @GetMapping("/amps/{ampId}/compare")
    ModelAndView compareOfAmp(@PathVariable long ampId) {
        return toNewest(ampId, "/compare");
    }

    private ModelAndView toNewest(long ampId, String page) {
        Amp amp = amps.newest(ampId);
        Optional<Run> run = runs.newestOf(ampId);
        return run.isPresent() ? new ModelAndView("redirect:/runs/" + run.get().id() + page)
                : new ModelAndView("run/none").addObject("rail", Rail.ofAmp(ampId, amp.sheet().name(), page.isEmpty() ? "Measure" : "Compare"))
                .addObject("ampId", ampId);
    }

    @PostMapping("/amps/{ampId}/runs")
    ModelAndView begin(@PathVariable long ampId) {
        return new ModelAndView("redirect:/runs/" + runs.begin(ampId).id());
    }

    /** The runs of an amp, as a part of its sheet's page. */
    @GetMapping("/amps/{ampId}/runs")
    ModelAndView history(@PathVariable long ampId) {
        return new ModelAndView("run/history :: runs").addObject("runs", runs.ofAmp(ampId).stream()
                .map(run -> HistoryLine.of(run, runs, clock)).toList());
    }

    @GetMapping("/runs/{id}")
    ModelAndView page(@PathVariable long id) {
        return page(id, null, null, "run/page");
    }

    /**
     * @param instead   a line chosen in answer to a question about the typed one
     * @param confirmed true where the typed one is to stand all the same
     */
    @PostMapping("/runs/{id}/readings")
    ModelAndView enter(@PathVariable long id, @RequestParam(defaultValue = "") String line, @RequestParam(defaultValue = "") String by,
                       @RequestParam(defaultValue = "") String instead, @RequestParam(defaultValue = "") String confirmed,
                       @RequestHeader(name = "HX-Request", required = false) String htmx) {
        EntryOutcome outcome = runs.enter(id, instead.isBlank() ? line : instead, by, confirmed.equals("true"));
        if (htmx != null) {
            return page(id, by, outcome, "run/page :: live");
        }
        if (outcome instanceof EntryOutcome.Accepted) {
            return new ModelAndView("redirect:/runs/" + id);
        }
        ModelAndView again = page(id, by, outcome, "run/page");
        again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return again;
    }

    @PostMapping("/runs/{id}/readings/{readingId}/strike")
    ModelAndView strike(@PathVariable long id, @PathVariable long readingId, @RequestParam(defaultValue = "") String by,
                        @RequestHeader(name = "HX-Request", required = false) String htmx) {
        runs.strike(id, readingId);
        return htmx != null ? page(id, by, null, "run/page :: live") : new ModelAndView("redirect:/runs/" + id);
    }

    @PostMapping("/runs/{id}/close")
    ModelAndView close(@PathVariable long id) {
        runs.close(id);
        return new ModelAndView("redirect:/amps/" + runs.run(id).ampId());
    }

    /** A verdict opened to its arithmetic. */
    @GetMapping("/runs/{id}/tubes/{label}")
    ModelAndView arithmetic(@PathVariable long id, @PathVariable String label,
                            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        StageIdle stage = runs.stage(amp.sheet());
        TubeIdle tube = stage.at(runs.moment(id, Long.MAX_VALUE)).stream()
                .filter(each -> each.socket().label().toLowerCase(Locale.ROOT).equals(label.toLowerCase(Locale.ROOT))).findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such socket on this amp."));
        return new ModelAndView(htmx != null ? "run/arithmetic :: arithmetic" : "run/arithmetic")
                .addObject("rail", Rail.ofAmp(amp.id(), amp.sheet().name(), "Measure")).addObject("runId", id)
                .addObject("view", ArithmeticView.of(tube, stage, clock.getZone()));
    }

    @GetMapping("/runs/{id}/log")
    ModelAndView log(@PathVariable long id, @RequestParam(defaultValue = "" + Long.MAX_VALUE) long before) {
        Amp amp = runs.amp(runs.run(id));
        var rows = runs.rowsBefore(id, before);
        return new ModelAndView("run/log").addObject("rail", Rail.ofAmp(amp.id(), amp.sheet().name(), "Measure")).addObject("runId", id)
                .addObject("lines", rows.stream().map(row -> RunView.line(row, clock)).toList())
                .addObject("older", rows.size() == RunService.RECENT ? rows.get(rows.size() - 1).id() : 0);
    }

    @GetMapping("/runs/{id}/compare")
    ModelAndView compare(@PathVariable long id, @RequestParam(defaultValue = "0") long a, @RequestParam(defaultValue = "0") long b) {
        Amp amp = runs.amp(runs.run(id));
        return new ModelAndView("run/compare").addObject("rail", Rail.ofAmp(amp.id(), amp.sheet().name(), "Compare"))
                .addObject("runId", id)
                .addObject("view", CompareView.of(id, runs.stage(amp.sheet()), runs.log(id), a, b, clock).orElse(null));
    }

    /** @param by who measures; null for whoever measured last */
    private ModelAndView page(long id, String by, EntryOutcome outcome, String view) {
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        RunLog log = runs.log(id);
        return new ModelAndView(view).addObject("rail", Rail.ofAmp(amp.id(), amp.sheet().name(), "Measure"))
                .addObject("ampId", amp.id()).addObject("by", by != null ? by : log.lastBy())
                .addObject("refused", outcome instanceof EntryOutcome.Refused refused ? refused : null)
                .addObject("asked", outcome instanceof EntryOutcome.Asked asked ? asked : null)
                .addObject("view", RunView.of(run, amp, runs.stage(amp.sheet()), log, clock));
    }
}
