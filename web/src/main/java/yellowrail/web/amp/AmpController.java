package yellowrail.web.amp;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.station.Station;
import yellowrail.core.tube.TubeCatalogue;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.schematic.SchematicView;
import yellowrail.web.seat.SeatService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** The amp sheet: shown, made, edited. */
@Controller
class AmpController {

    /** The fields that an amp is drawn from. */
    private static final String[] DRAWN = {
        "stage.", "sockets", "pots", "screen.", "meter.mainsVolts", "supply.", "fittings."
    };

    private final AmpService amps;
    private final TubeService tubes;
    private final SeatService seats;
    private final Words words;

    AmpController(AmpService amps, TubeService tubes, SeatService seats, Words words) {
        this.amps = amps;
        this.tubes = tubes;
        this.seats = seats;
        this.words = words;
    }

    @GetMapping("/amps/{id}")
    ModelAndView sheet(@PathVariable long id) {
        Amp amp = amps.newest(id);
        return new ModelAndView("amp/page")
                .addObject("rail", Rail.ofAmp(id, amp.sheet().name(), Station.PLAN, words))
                .addObject("away", amps.away().contains(id))
                .addObject("removed", amps.removed().contains(id))
                .addObject("view", AmpView.of(amp, tubes.catalogue(), seats.labels(id), words));
    }

    @GetMapping("/amps/new")
    ModelAndView blank() {
        return form("/amps", new AmpFormDraft(tubes.catalogue()).first(), new Faults(words));
    }

    /** A form as it was typed; its sheet counts where there is no fault. */
    private record Read(AmpForm form, Faults faults, AmpSheet sheet) {}

    private Read read(AmpForm typed) {
        AmpForm form = new AmpFormDraft(tubes.catalogue()).follow(typed);
        Faults faults = new Faults(words);
        return new Read(form, faults, new AmpFormReader(form, tubes.catalogue(), faults).sheet());
    }

    @PostMapping("/amps")
    ModelAndView create(@ModelAttribute AmpForm typed) {
        Read read = read(typed);
        return read.faults().any()
                ? refused(form("/amps", read.form(), read.faults()), HttpStatus.UNPROCESSABLE_CONTENT)
                : new ModelAndView("redirect:/amps/" + amps.create(read.sheet()));
    }

    @GetMapping("/amps/{id}/edit")
    ModelAndView edit(@PathVariable long id) {
        Amp amp = amps.newest(id);
        return form("/amps/" + id, AmpFormWriter.form(amp.sheet(), amp.version()), new Faults(words));
    }

    @PostMapping("/amps/{id}")
    ModelAndView save(@PathVariable long id, @ModelAttribute AmpForm typed) {
        AmpSheet stored = amps.newest(id).sheet();
        Read read = read(typed);
        if (read.faults().any()) {
            return refused(form("/amps/" + id, read.form(), read.faults()), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        Optional<Integer> saved = amps.save(
                id, read.form().version(), read.sheet().with(stored.chart()).with(stored.biasSupply()));
        return saved.isPresent() ? new ModelAndView("redirect:/amps/" + id) : conflict(id, read.form());
    }

    /** Somebody else saved in the meantime: what was typed stays in the form, what is stored is shown beside it. */
    private ModelAndView conflict(long id, AmpForm form) {
        Amp stored = amps.newest(id);
        AmpForm theirs = AmpFormWriter.form(stored.sheet(), stored.version());
        AmpForm mine = form.with(stored.version());
        return refused(
                form("/amps/" + id, mine, new Faults(words))
                        .addObject(
                                "conflict",
                                FormDifference.between(
                                        theirs, mine, AmpChoices.of(tubes.catalogue(), mine, words), words)),
                HttpStatus.CONFLICT);
    }

    /** The form again after a choice that others follow from. */
    @PostMapping("/amps/form")
    ModelAndView redraw(
            @ModelAttribute AmpForm form,
            @RequestParam(defaultValue = "") String changed,
            @RequestParam(defaultValue = "/amps") String action,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        String safeAction = action.matches("/amps(/\\d{1,18})?") ? action : "/amps";
        Faults faults = new Faults(words);
        String type = form.stage().typed();
        if (tubes.catalogue().find(type).isEmpty()) {
            faults.add("stage.tubeType", tubes.catalogue().unlisted(type));
        }
        ModelAndView page = form(safeAction, new AmpFormDraft(tubes.catalogue()).redrawn(form, changed), faults);
        if (htmx != null) {
            page.setViewName("amp/form :: fields");
        }
        return page;
    }

    /** The amp as the form tells it so far; the drawing stays as it is while something that it shows is at fault. */
    @PostMapping("/amps/drawn")
    ModelAndView drawn(@ModelAttribute AmpForm typed, HttpServletResponse response) {
        Read read = read(typed);
        if (read.faults().under(DRAWN)) {
            response.setHeader("HX-Reswap", "none");
            return new ModelAndView("schematic/drawing :: nothing");
        }
        return new ModelAndView("schematic/drawing :: both(both=${schematic})")
                .addObject("schematic", SchematicView.of(read.sheet(), tubes.catalogue(), Map.of(), words));
    }

    /** Row numbers far beyond any form of ours: the binder cannot make a list with such holes. */
    @ExceptionHandler(IndexOutOfBoundsException.class)
    void impossibleRows(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }

    private ModelAndView form(String action, AmpForm form, Faults faults) {
        TubeCatalogue catalogue = tubes.catalogue();
        String title = words.message(action.equals("/amps") ? "page.amp.new" : "page.amp.edit");
        return new ModelAndView("amp/form")
                .addObject("rail", Rail.plain(title))
                .addObject("action", action)
                .addObject("form", form)
                .addObject("faults", faults)
                .addObject("choices", AmpChoices.of(catalogue, form, words));
    }

    private static ModelAndView refused(ModelAndView page, HttpStatus status) {
        page.setStatus(status);
        return page;
    }
}
