package yellowrail.web.bias;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.station.Station;
import yellowrail.core.work.WorkPlan;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** What is drawn on the bias bench, or computed for the cathodes, as a parts list and an order of work. */
@Controller
class WorkController {

    private final BiasService bench;
    private final WorkService work;
    private final Words words;

    WorkController(BiasService bench, WorkService work, Words words) {
        this.bench = bench;
        this.work = work;
        this.words = words;
    }

    @GetMapping("/amps/{id}/bias/work")
    ModelAndView supply(@PathVariable long id, @RequestParam Map<String, String> typed) {
        BiasService.OnTheBench amp = amp(id, typed);
        BiasForm form = form(amp, typed);
        Faults faults = new Faults(words);
        Optional<WorkPlan> plan = plan(faults, reads -> work.ofSupply(amp, form, reads));
        return page(amp, plan, faults)
                .addObject("fields", amp.sheet().bias().isCathode() ? null : form.fields())
                .addObject("hint", words.message("page.work.edit-hint-fixed"))
                .addObject("example", amp.example())
                .addObject("version", amp.amp().version())
                .addObject("back", "/amps/%d/bias?%s".formatted(id, form.query()))
                .addObject("csv", "/amps/%d/bias/parts.csv?%s".formatted(id, form.query()));
    }

    @GetMapping("/amps/{id}/cathode/work")
    ModelAndView cathode(@PathVariable long id, @RequestParam Map<String, String> typed) {
        BiasService.OnTheBench amp = amp(id, typed);
        CathodeForm form = CathodeForm.of(amp, typed);
        Faults faults = new Faults(words);
        Optional<WorkPlan> plan = plan(faults, reads -> work.ofCathodes(amp, form, reads));
        return page(amp, plan, faults)
                .addObject("hint", words.message("page.work.edit-hint"))
                .addObject("back", "/amps/%d/cathode?%s".formatted(id, form.query()))
                .addObject("csv", "/amps/%d/cathode/parts.csv?%s".formatted(id, form.query()));
    }

    /** The amp as it was read, or with the plate volts that were typed for its cathodes. */
    private BiasService.OnTheBench amp(long id, Map<String, String> typed) {
        return bench.amp(id, typed.getOrDefault("type", ""), CathodeForm.plates(typed));
    }

    private static BiasForm form(BiasService.OnTheBench amp, Map<String, String> typed) {
        return BiasForm.of(amp.supply(), amp.type().name(), typed);
    }

    private Optional<WorkPlan> plan(Faults faults, Function<Faults, Optional<WorkPlan>> planned) {
        try {
            return planned.apply(faults);
        } catch (UnsettledException e) {
            faults.say("winding", "review.unsettled", e.rounds());
            return Optional.empty();
        }
    }

    private ModelAndView page(BiasService.OnTheBench amp, Optional<WorkPlan> plan, Faults faults) {
        ModelAndView page = new ModelAndView("bias/work")
                .addObject("rail", Rail.ofAmp(amp.amp().id(), amp.sheet().name(), Station.PLAN, words))
                .addObject("id", amp.amp().id())
                .addObject("title", words.say(amp.sheet().told()))
                .addObject("faults", faults)
                .addObject("view", plan.map(found -> WorkView.of(found, words)).orElse(null));
        page.setStatus(plan.isPresent() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    /** It is soldered: keeps the supply, and begins the run that measures it before the tubes go in. */
    @PostMapping("/amps/{id}/bias/work")
    ModelAndView begin(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "0") int version) {
        BiasService.OnTheBench amp = amp(id, typed);
        Faults faults = new Faults(words);
        Optional<Long> run = form(amp, typed).supply(faults).flatMap(supply -> work.begin(amp.amp(), version, supply));
        if (run.isPresent()) {
            return new ModelAndView("redirect:/runs/%d?at=%s".formatted(run.get(), Station.MAKE_SAFE.token()));
        }
        boolean typedWrong = faults.any();
        if (!typedWrong) {
            faults.say("kept", "page.bias.saved-meanwhile");
        }
        ModelAndView again = supply(id, typed).addObject("faults", faults);
        again.setStatus(typedWrong ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.CONFLICT);
        return again;
    }

    @GetMapping("/amps/{id}/bias/parts.csv")
    ResponseEntity<String> supplyParts(@PathVariable long id, @RequestParam Map<String, String> typed) {
        BiasService.OnTheBench amp = amp(id, typed);
        BiasForm form = form(amp, typed);
        return csv(faults -> work.ofSupply(amp, form, faults));
    }

    @GetMapping("/amps/{id}/cathode/parts.csv")
    ResponseEntity<String> cathodeParts(@PathVariable long id, @RequestParam Map<String, String> typed) {
        BiasService.OnTheBench amp = amp(id, typed);
        return csv(faults -> work.ofCathodes(amp, CathodeForm.of(amp, typed), faults));
    }

    private ResponseEntity<String> csv(Function<Faults, Optional<WorkPlan>> planned) {
        Faults faults = new Faults(words);
        Optional<WorkPlan> plan = plan(faults, planned);
        if (plan.isEmpty()) {
            return ResponseEntity.unprocessableContent()
                    .body(String.join("\n", faults.byField().values()));
        }
        return Download.of(Download.CSV, "bias-parts.csv")
                .body(WorkView.of(plan.get(), words).csv());
    }
}
