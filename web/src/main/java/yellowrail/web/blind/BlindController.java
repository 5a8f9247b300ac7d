package yellowrail.web.blind;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.blind.BlindPlan;
import yellowrail.core.station.Station;
import yellowrail.web.amp.Amp;
import yellowrail.web.blind.BlindService.Blind;
import yellowrail.web.bounds.InTurn;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** Comparisons by ear: begun on a run, played from two pages, opened. */
@Controller
class BlindController {

    private static final int LONGEST_WORDS = 300;

    private final RunService runs;
    private final StationService stations;
    private final BlindService service;
    private final InTurn inTurn;
    private final Words words;

    BlindController(RunService runs, StationService stations, BlindService service, InTurn inTurn, Words words) {
        this.runs = runs;
        this.stations = stations;
        this.service = service;
        this.inTurn = inTurn;
        this.words = words;
    }

    @GetMapping("/runs/{id}/blind")
    ModelAndView of(@PathVariable long id) {
        return begin(id, new BlindForm(service.offered(runs.run(id))), new Faults(words));
    }

    private ModelAndView begin(long id, BlindForm form, Faults faults) {
        Run run = runs.run(id);
        return page("blind/begin", run)
                .addObject("open", run.isOpen())
                .addObject("form", form)
                .addObject("faults", faults)
                .addObject("rows", IntStream.range(0, BlindForm.ROWS).boxed().toList())
                .addObject("kept", service.ofRun(id).stream().map(Blind::row).toList());
    }

    private ModelAndView page(String view, Run run) {
        Amp amp = runs.amp(run);
        return new ModelAndView(view)
                .addObject("runId", run.id())
                .addObject(
                        "rail",
                        Rail.ofRun(
                                run.id(),
                                amp.sheet().name(),
                                Station.PROVE,
                                stations.progress(run.id(), amp.sheet()),
                                words));
    }

    /** @param kind marks or guesses */
    @PostMapping("/runs/{id}/blind")
    ModelAndView begun(
            @PathVariable long id,
            @RequestParam(defaultValue = "marks") String kind,
            @RequestParam Map<String, String> typed) {
        Run run = runs.run(id);
        BlindForm form = new BlindForm(typed);
        Faults faults = new Faults(words);
        BlindPlan.Kind asked = kind.equals("guesses") ? BlindPlan.Kind.GUESSES : BlindPlan.Kind.MARKS;
        List<BlindDocument.Setting> settings = form.read(runs.timeline(run).present(), asked, faults, words);
        if (!run.isOpen()) {
            faults.say("name0", "run.closed");
        } else if (service.ofRun(id).size() >= BlindService.MOST) {
            faults.say("name0", "page.blind.no-room", BlindService.MOST);
        }
        if (faults.any()) {
            ModelAndView again = begin(id, form, faults);
            again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return again;
        }
        return new ModelAndView("redirect:/blind/" + service.begin(id, asked, settings));
    }

    /** Where both pages are reached, and what came of it. */
    @GetMapping("/blind/{id}")
    ModelAndView whole(@PathVariable long id) {
        Blind blind = service.blind(id);
        ModelAndView page = page("blind/page", runs.run(blind.row().runId()))
                .addObject("id", id)
                .addObject("opened", blind.isOpened())
                .addObject("canBeOpened", blind.canBeOpened())
                .addObject("rounds", blind.wholeRounds());
        if (blind.isOpened()) {
            page.addObject("view", inTurn.take(() -> OpenedView.of(blind, words)))
                    .addObject("marked", blind.document().kind() == BlindPlan.Kind.MARKS);
        }
        return page;
    }

    /** What the listener sees: a letter, never what it stands for. */
    @GetMapping("/blind/{id}/listen")
    ModelAndView listen(@PathVariable long id) {
        return listener(id, "blind/listen");
    }

    @GetMapping("/blind/{id}/listen/now")
    ModelAndView listenNow(@PathVariable long id) {
        return listener(id, "blind/listen :: now");
    }

    private ModelAndView listener(long id, String view) {
        Blind blind = service.blind(id);
        ModelAndView page = both(view, id, blind)
                .addObject("canBeOpened", blind.canBeOpened())
                .addObject("guesses", blind.document().kind() == BlindPlan.Kind.GUESSES)
                .addObject("marks", IntStream.rangeClosed(1, 9).boxed().toList());
        if (!blind.isDone()) {
            page.addObject("label", blind.step().label())
                    .addObject("unknown", blind.step().label().equals(BlindPlan.UNKNOWN))
                    .addObject("round", blind.step().round());
        }
        return page;
    }

    private ModelAndView both(String view, long id, Blind blind) {
        return new ModelAndView(view)
                .addObject("rail", Rail.plain(words.message("page.blind.title")))
                .addObject("id", id)
                .addObject("position", blind.row().position())
                .addObject("ready", blind.row().ready())
                .addObject("over", blind.isOpened() || blind.isDone());
    }

    /** What is to be set now: its reading, never its letter. */
    @GetMapping("/blind/{id}/set")
    ModelAndView set(@PathVariable long id) {
        return setter(id, "blind/set");
    }

    @GetMapping("/blind/{id}/set/now")
    ModelAndView setNow(@PathVariable long id) {
        return setter(id, "blind/set :: now");
    }

    private ModelAndView setter(long id, String view) {
        Blind blind = service.blind(id);
        ModelAndView page = both(view, id, blind);
        if (!blind.isDone()) {
            page.addObject(
                    "setting", blind.document().settings().get(blind.step().setting()));
        }
        return page;
    }

    @PostMapping("/blind/{id}/set")
    String isSet(@PathVariable long id, @RequestParam int position) {
        service.set(id, position);
        return "redirect:/blind/" + id + "/set";
    }

    /**
     * What was heard.
     *
     * @param mark 1 to 9, where one is asked for
     * @param answer A or B, where a guess is
     */
    @PostMapping("/blind/{id}/listen")
    String heard(
            @PathVariable long id,
            @RequestParam int position,
            @RequestParam(defaultValue = "0") int mark,
            @RequestParam(defaultValue = "") String answer,
            @RequestParam(defaultValue = "") String heard) {
        Blind blind = service.blind(id);
        if (!blind.isDone()) {
            boolean guesses = blind.document().kind() == BlindPlan.Kind.GUESSES;
            boolean asked = guesses && blind.step().label().equals(BlindPlan.UNKNOWN);
            boolean answered = guesses ? !asked || answer.matches("[AB]") : mark >= 1 && mark <= 9;
            if (answered) {
                service.note(
                        id,
                        position,
                        guesses ? null : mark,
                        asked ? answer : "",
                        heard.substring(0, Math.min(heard.length(), LONGEST_WORDS))
                                .strip());
            }
        }
        return "redirect:/blind/" + id + "/listen";
    }

    @PostMapping("/blind/{id}/open")
    String open(@PathVariable long id) {
        service.open(id);
        return "redirect:/blind/" + id;
    }

    /** The chosen setting becomes the target by ear. */
    @PostMapping("/blind/{id}/take")
    ModelAndView take(@PathVariable long id, @RequestParam int setting) {
        boolean taken = service.take(id, setting);
        return whole(id).addObject("taken", words.message(taken ? "page.blind.taken" : "page.blind.not-taken"));
    }
}
