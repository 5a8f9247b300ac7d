package yellowrail.web.practice;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.practice.Exercise;
import yellowrail.core.station.Station;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The practice page and the practice bench below a run. */
@Controller
class PracticeController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private final PracticeService practice;
    private final Words words;
    private final SimulatedScpiMeter meter;
    private final Clock clock;

    PracticeController(PracticeService practice, SimulatedScpiMeter meter, Clock clock, Words words) {
        this.practice = practice;
        this.words = words;
        this.meter = meter;
        this.clock = clock;
    }

    /** A try, for the list of them; {@code result} is blank until it is marked. */
    record Try(long runId, String name, String begun, String result) {}

    /** @param seed which amps to begin with; blank for ones by chance */
    @GetMapping("/practice")
    ModelAndView page(@RequestParam(defaultValue = "") String seed) {
        List<Try> tries = practice.tries().stream()
                .map(row -> new Try(
                        row.runId(),
                        name(Exercise.valueOf(row.exercise())),
                        DAY.format(row.lookedAt().atZoneSameInstant(clock.getZone())),
                        row.marking() == null
                                ? ""
                                : words.message(
                                        practice.markings().read(row.marking()).passed()
                                                ? "page.practice.passed"
                                                : "page.practice.not-passed")))
                .toList();
        return new ModelAndView("practice/page")
                .addObject("rail", Rail.plain(words.message("page.practice.title")))
                .addObject("tries", tries)
                .addObject("book", PracticeBook.of(practice.records(), words))
                .addObject("seed", seed.matches("\\d{1,9}") ? seed : "")
                .addObject("scpi", meter.address());
    }

    private String name(Exercise exercise) {
        return exercise == Exercise.NOTHING_WRONG
                ? words.message("page.practice.healthy")
                : words.message("page.practice.exercise-numbered", exercise.ordinal());
    }

    /**
     * @param exercise its number; 0 is the healthy amp
     * @param seed which amp; blank for one by chance
     */
    @PostMapping("/practice")
    ModelAndView start(@RequestParam(defaultValue = "0") int exercise, @RequestParam(defaultValue = "") String seed) {
        if (exercise < 0 || exercise >= Exercise.values().length) {
            throw new NotFoundException("There is no exercise " + exercise + ".");
        }
        OptionalDouble chosen =
                seed.matches("\\d{1,9}") ? OptionalDouble.of(Double.parseDouble(seed)) : OptionalDouble.empty();
        return new ModelAndView("redirect:/runs/" + practice.start(Exercise.values()[exercise], chosen));
    }

    @GetMapping("/runs/{id}/practice")
    ModelAndView bench(@PathVariable long id) {
        return panel(practice.look(id), "practice/bench :: bench", null);
    }

    /**
     * The hint that comes next, if it is another than what is shown.
     *
     * @param at the station that is looked at
     * @param shown the name of the hint that stands there
     */
    @GetMapping("/runs/{id}/practice/hint")
    ModelAndView hint(
            @PathVariable long id,
            @RequestParam String at,
            @RequestParam(defaultValue = "") String shown,
            HttpServletResponse response) {
        Station station =
                Station.of(at).orElseThrow(() -> new NotFoundException("There is no such station: " + at + "."));
        Optional<HintView> hint = practice.hint(id, station).map(next -> HintView.of(next, station, words));
        if (hint.map(HintView::name).orElse("").equals(shown)) {
            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
            return null;
        }
        return new ModelAndView("practice/guide :: guide")
                .addObject("hint", hint.orElse(null))
                .addObject("runId", id)
                .addObject("at", at);
    }

    /** To the bias supply of the practice amp. */
    @GetMapping("/runs/{id}/practice/bias-bench")
    ModelAndView biasBench(@PathVariable long id) {
        return new ModelAndView("redirect:/amps/%d/bias".formatted(practice.amp(id)));
    }

    /** The meter's display, asked for again and again: time goes by on the bench. */
    @GetMapping("/runs/{id}/practice/display")
    ModelAndView display(@PathVariable long id, HttpServletResponse response) {
        return panel(practice.look(id), "practice/bench :: display", response);
    }

    @PostMapping("/runs/{id}/practice/power")
    ModelAndView power(
            @PathVariable long id,
            HttpServletResponse response,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        return answer(practice.power(id), response, htmx);
    }

    @PostMapping("/runs/{id}/practice/turn")
    ModelAndView turn(
            @PathVariable long id,
            @RequestParam int pot,
            @RequestParam double position,
            HttpServletResponse response,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        return answer(practice.turn(id, pot, position / 100), response, htmx);
    }

    @PostMapping("/runs/{id}/practice/probe")
    ModelAndView place(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String probe,
            HttpServletResponse response,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        return answer(practice.place(id, probe), response, htmx);
    }

    @PostMapping("/runs/{id}/practice/wait")
    ModelAndView pass(
            @PathVariable long id,
            @RequestParam(defaultValue = "1") int minutes,
            HttpServletResponse response,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        return answer(practice.pass(id, Math.max(1, Math.min(30, minutes))), response, htmx);
    }

    @PostMapping("/runs/{id}/practice/swap")
    ModelAndView swap(
            @PathVariable long id,
            HttpServletResponse response,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        return answer(practice.swap(id), response, htmx);
    }

    @PostMapping("/runs/{id}/practice/mark")
    ModelAndView mark(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String said,
            HttpServletResponse response,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        Exercise exercise =
                Exercise.of(said).orElseThrow(() -> new NotFoundException("That is none of the diagnoses."));
        return answer(practice.mark(id, exercise), response, htmx);
    }

    private ModelAndView answer(PracticeService.Done done, HttpServletResponse response, String htmx) {
        return htmx == null
                ? new ModelAndView("redirect:/runs/" + done.row().runId())
                : panel(done, "practice/bench :: bench", response);
    }

    /** Tells the rest of the page when the run below it has changed. */
    private ModelAndView panel(PracticeService.Done done, String view, HttpServletResponse response) {
        if (done.changed() && response != null) {
            response.setHeader("HX-Trigger", "bench-changed");
        }
        return new ModelAndView(view)
                .addObject(
                        "bench",
                        PracticeView.of(done, done.marking(practice.markings()).orElse(null), words));
    }
}
