package yellowrail.web.tubes;

import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.finding.Code;
import yellowrail.core.tube.RatingSystem;
import yellowrail.core.tube.TubeKind;
import yellowrail.core.tube.TubeType;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.form.RecordFields;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The catalogue page and the form for the builder's own figures. */
@Controller
class TubeController {

    private final TubeService tubes;
    private final Words words;

    TubeController(TubeService tubes, Words words) {
        this.tubes = tubes;
        this.words = words;
    }

    /** @param removed the type whose figures were deleted just now */
    @GetMapping("/tubes")
    ModelAndView catalogue(@RequestParam(defaultValue = "") String q, @RequestParam(defaultValue = "") String removed) {
        List<String> gone = tubes.removed();
        return new ModelAndView("tubes/page")
                .addObject("rail", Rail.plain(words.message("page.tubes.title")))
                .addObject(
                        "rows",
                        tubes.catalogue().types().stream()
                                .filter(type -> type.isCalled(q))
                                .flatMap(type -> TubeRow.of(type, words))
                                .toList())
                .addObject("q", q.strip())
                .addObject("removed", gone)
                .addObject("justRemoved", gone.contains(removed) ? removed : "");
    }

    /** @param removed false to bring them back */
    @PostMapping("/tubes/own/removed")
    ModelAndView remove(@RequestParam String name, @RequestParam(defaultValue = "true") boolean removed) {
        if (tubes.remove(name, removed)) {
            return new ModelAndView("redirect:/tubes").addAllObjects(removed ? Map.of("removed", name) : Map.of());
        }
        ModelAndView again = catalogue("", "").addObject("fault", words.message("page.tubes.removed.named", name));
        again.setStatus(HttpStatus.CONFLICT);
        return again;
    }

    /** The form, empty or with the figures of a type to start from. */
    @GetMapping("/tubes/own")
    ModelAndView form(@RequestParam(defaultValue = "") String from) {
        return form(stored(from), new Faults(words));
    }

    private TubeForm stored(String name) {
        return tubes.catalogue()
                .find(name)
                .map(type -> TubeForm.of(
                        type, type.rating(RatingSystem.OWN).orElse(type.customaryRating()), tubes.version(type.name())))
                .orElse(TubeForm.empty());
    }

    @PostMapping("/tubes/own")
    ModelAndView save(@ModelAttribute TubeForm form) {
        Faults faults = new Faults(words);
        TubeType own = form.type(faults);
        if (faults.any()) {
            ModelAndView again = form(form, faults);
            again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return again;
        }
        return tubes.save(form.version(), own) ? new ModelAndView("redirect:/tubes") : conflict(form, own.name());
    }

    /** What was typed stays in the form; what is stored under the name is told beside it. */
    private ModelAndView conflict(TubeForm form, String name) {
        TubeForm stored = stored(name);
        Faults faults = new Faults(words);
        Map<String, String> told = RecordFields.of(stored);
        told.remove("version");
        faults.storedMeanwhile(told, RecordFields.of(form));
        ModelAndView again = form(form.withVersion(stored.version()), faults);
        again.setStatus(HttpStatus.CONFLICT);
        return again;
    }

    private ModelAndView form(TubeForm form, Faults faults) {
        return new ModelAndView("tubes/form")
                .addObject("rail", Rail.plain(words.message("page.tubes.own")))
                .addObject("form", form)
                .addObject("kinds", Choice.of(TubeKind.values(), Code::of, words))
                .addObject("faults", faults);
    }
}
