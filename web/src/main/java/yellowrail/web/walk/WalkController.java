package yellowrail.web.walk;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import yellowrail.core.finding.Code;
import yellowrail.core.walk.Route;
import yellowrail.core.walk.Stop;
import yellowrail.web.device.Devices;
import yellowrail.web.run.EntryOutcome;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunEntries;
import yellowrail.web.run.RunService;
import yellowrail.web.run.Sight;

/** The walk round the chassis: one node at a time, by the number keys and Enter. */
@Controller
class WalkController {

    /** Behind the last stop. */
    static final String END = "end";

    private static final String PAGE = "walk/page";
    private static final String HEAD = PAGE + " :: head";
    private static final String BACK = "b";

    private final RunService runs;
    private final RunEntries entries;
    private final WalkPages pages;

    WalkController(RunService runs, RunEntries entries, WalkPages pages) {
        this.runs = runs;
        this.entries = entries;
        this.pages = pages;
    }

    /** @param node what is typed before the number of the stop to stand at; the first of all, if blank */
    @GetMapping("/runs/{id}/walk")
    ModelAndView walk(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String node,
            @RequestParam(defaultValue = "") String route,
            HttpServletRequest request) {
        return pages.page(id, route(route), node, null, "", Devices.name(request), PAGE);
    }

    /** What of it changes when somebody else reads. */
    @GetMapping("/runs/{id}/walk/now")
    ModelAndView now(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String node,
            @RequestParam(defaultValue = "") String route,
            HttpServletRequest request) {
        return pages.page(id, route(route), node, null, "", Devices.name(request), HEAD)
                .addObject("elsewhere", true);
    }

    /** Where the current goes. */
    @GetMapping("/runs/{id}/walk/audit")
    ModelAndView audit(@PathVariable long id) {
        return pages.audit(id);
    }

    /** The walk of an amp's newest run, or an invitation to begin one. */
    @GetMapping("/amps/{ampId}/walk")
    ModelAndView ofAmp(@PathVariable long ampId) {
        return new ModelAndView(runs.newestOf(ampId)
                .filter(Run::isOpen)
                .map(run -> "redirect:/runs/" + run.id() + "/walk")
                .orElse("redirect:/amps/" + ampId + "/run"));
    }

    /** The chart as it was read, as part of another page; nothing where there is none. */
    @GetMapping("/amps/{ampId}/chart/drawing")
    ModelAndView drawing(@PathVariable long ampId, @RequestParam(defaultValue = "false") boolean stage) {
        return pages.drawing(ampId, stage);
    }

    /**
     * A number is entered and the walk goes on; nothing skips, b goes back.
     *
     * @param back whatever, where one goes back
     * @param pulsing whatever, where what was typed swings
     * @param instead a line chosen in answer to a question about what was typed
     * @param sight whether what was asked about is to stand
     * @param form the one-time number of the form it came with
     */
    @PostMapping("/runs/{id}/walk")
    ModelAndView enter(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String node,
            @RequestParam(defaultValue = "") String route,
            @RequestParam(defaultValue = "") String volts,
            @RequestParam(defaultValue = "") String back,
            @RequestParam(defaultValue = "") String pulsing,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String instead,
            Sight sight,
            @RequestParam(defaultValue = "") String form,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Route way = route(route);
        String typed = back.isEmpty() ? volts.strip() : BACK;
        Run run = runs.run(id);
        List<Stop> stops = Stop.of(runs.amp(run).sheet(), way);
        int at = Stop.indexOf(stops, node).orElse(stops.size() - 1);
        if (instead.isBlank() && (typed.isEmpty() || typed.equalsIgnoreCase(BACK))) {
            return on(id, way, stops, typed.isEmpty() ? at + 1 : at - 1, null, by, htmx);
        }
        String line = instead.isBlank() ? node + " " + typed + (pulsing.isEmpty() ? "" : " pulsing") : instead;
        EntryOutcome outcome = entries.enter(id, line, by, sight.choosing(instead), null, form);
        if (outcome instanceof EntryOutcome.Accepted) {
            return on(id, way, stops, at + 1, outcome, by, htmx);
        }
        ModelAndView again = pages.page(id, way, node, outcome, typed, by, htmx != null ? HEAD : PAGE);
        if (htmx == null) {
            again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return again;
    }

    private ModelAndView on(
            long id, Route way, List<Stop> stops, int to, EntryOutcome outcome, String by, String htmx) {
        String next = to >= stops.size() ? END : stops.get(Math.max(0, to)).typed();
        return htmx != null
                ? pages.page(id, way, next, outcome, "", by, HEAD)
                : new ModelAndView("redirect:"
                        + UriComponentsBuilder.fromPath("/runs/" + id + "/walk")
                                .queryParam("route", Code.of(way))
                                .queryParam("node", "{node}")
                                .build(next));
    }

    private static Route route(String name) {
        return name.equals("listed") ? Route.LISTED : Route.NEAREST;
    }
}
