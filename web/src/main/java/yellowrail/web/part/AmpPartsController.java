package yellowrail.web.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.bias.review.BiasRemark;
import yellowrail.core.part.SenseResistor.Kind;
import yellowrail.core.part.stress.CapacitorReview;
import yellowrail.core.part.stress.MainsDraw;
import yellowrail.core.part.stress.PlateSupply;
import yellowrail.core.part.stress.RectifiedSupply;
import yellowrail.core.part.stress.RectifiedSupply.Drawn;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.station.Station;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.part.AmpPartsForm.Parts;
import yellowrail.web.part.AmpPartsService.AmpWithParts;
import yellowrail.web.words.Words;

/** The parts about an amp's output stage against what it asks of them: sense resistor, stoppers, capacitor, fuses. */
@Controller
class AmpPartsController {

    private final AmpPartsService service;
    private final Words words;

    AmpPartsController(AmpPartsService service, Words words) {
        this.service = service;
        this.words = words;
    }

    @GetMapping("/amps/{id}/parts")
    ModelAndView page(@PathVariable long id, @RequestParam Map<String, String> typed) {
        AmpWithParts amp = service.amp(id);
        return drawn("part/amp", amp, typed)
                .addObject("rail", Rail.ofAmp(id, amp.sheet().name(), Station.PLAN, words))
                .addObject("title", words.say(amp.sheet().told()))
                .addObject("kinds", Choice.of(Kind.values(), Enum::name, words));
    }

    /** What changes while something is dragged. */
    @GetMapping("/amps/{id}/parts/drawn")
    ModelAndView fragment(@PathVariable long id, @RequestParam Map<String, String> typed) {
        return drawn("part/amp :: drawn", service.amp(id), typed);
    }

    private ModelAndView drawn(String view, AmpWithParts amp, Map<String, String> typed) {
        AmpPartsForm form = AmpPartsForm.of(amp.sheet(), typed);
        Faults faults = new Faults(words);
        Parts parts = form.read(faults);
        ModelAndView page = new ModelAndView(view)
                .addObject("id", amp.amp().id())
                .addObject("form", form)
                .addObject("faults", faults)
                .addObject("known", amp.flows().isPresent())
                .addObject(
                        "assumed",
                        amp.stage().map(stage -> words.list(stage.assumed())).orElse(""));
        if (!faults.any()) {
            try {
                page.addObject("sections", sections(amp, parts));
            } catch (UnsettledException e) {
                faults.add("winding", new BiasRemark.Unsettled(e.rounds()));
            }
            amp.flows()
                    .ifPresent(flows -> page.addObject(
                            "senses", SenseView.beside(parts.sense(), flows.idle(), flows.drive(), words)));
        }
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    private List<PartsOfAmpView> sections(AmpWithParts amp, Parts parts) {
        List<PartsOfAmpView> sections = new ArrayList<>();
        amp.flows().ifPresent(flows -> {
            sections.add(PartsOfAmpView.sense(parts.sense(), flows, words));
            sections.add(PartsOfAmpView.stopper(parts, flows, words));
        });
        OptionalDouble running = running(amp);
        if (running.isPresent()) {
            supply(amp, parts, running.getAsDouble(), sections);
        }
        return sections;
    }

    /** Of the plate supply, to ground, V. */
    private static OptionalDouble running(AmpWithParts amp) {
        OptionalDouble plates = amp.read().plateVolts();
        return plates.isPresent()
                ? OptionalDouble.of(plates.getAsDouble() + amp.read().cathodeVolts())
                : amp.stage().isPresent()
                        ? OptionalDouble.of(amp.stage().get().stage().plateVolts())
                        : OptionalDouble.empty();
    }

    private void supply(AmpWithParts amp, Parts parts, double running, List<PartsOfAmpView> sections) {
        AmpSheet sheet = amp.sheet();
        CapacitorReview review =
                new CapacitorReview(sheet.with(sheet.supply().withSecondary(parts.winding())), running, parts.high());
        Optional<PlateSupply> supply = amp.flows()
                .map(flows -> PlateSupply.of(
                        parts.winding(), parts.farads(), sheet.mainsHertz(), running, flows.supplyIdle()));
        Optional<RectifiedSupply> fitted = supply.flatMap(PlateSupply::fitted);
        Optional<Drawn> driven =
                fitted.map(found -> found.drawing(amp.flows().orElseThrow().supplyDrive()));
        sections.add(PartsOfAmpView.capacitor(
                parts, review, driven, supply.map(PlateSupply::says).orElse(List.of()), words));
        amp.flows().ifPresent(flows -> {
            sections.add(PartsOfAmpView.plateFuse(parts.plateFuse(), flows, words));
            fitted.ifPresent(found -> sections.add(PartsOfAmpView.mainsFuse(
                    parts.mainsFuse(),
                    mains(amp, found.voltAmperes(found.drawing(flows.supplyIdle()))),
                    mains(amp, found.voltAmperes(driven.orElseThrow())),
                    words)));
        });
    }

    private static MainsDraw mains(AmpWithParts amp, double voltAmperes) {
        return new MainsDraw(amp.heaterWatts(), voltAmperes, amp.sheet().mainsVolts());
    }
}
