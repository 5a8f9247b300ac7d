package yellowrail.web.bias;

import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.station.Station;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** Cathode resistors for an amp's tubes: what is in, or what would make its fixed bias cathode bias. */
@Controller
class CathodeController {

    private final BiasService bench;
    private final Words words;

    CathodeController(BiasService bench, Words words) {
        this.bench = bench;
        this.words = words;
    }

    @GetMapping("/amps/{id}/cathode")
    ModelAndView page(@PathVariable long id, @RequestParam Map<String, String> sent) {
        BiasService.OnTheBench amp = bench.amp(id, sent.getOrDefault("type", ""), CathodeForm.plates(sent));
        return drawn("bias/cathode", amp, sent)
                .addObject("rail", Rail.ofAmp(id, amp.sheet().name(), Station.PLAN, words))
                .addObject("title", words.say(amp.sheet().told()))
                .addObject("types", bench.types())
                .addObject("basis", bench.basis(amp, words));
    }

    /** What changes while the resistor is dragged. */
    @GetMapping("/amps/{id}/cathode/drawn")
    ModelAndView fragment(@PathVariable long id, @RequestParam Map<String, String> sent) {
        return drawn(
                "bias/cathode :: drawn", bench.amp(id, sent.getOrDefault("type", ""), CathodeForm.plates(sent)), sent);
    }

    private ModelAndView drawn(String view, BiasService.OnTheBench amp, Map<String, String> sent) {
        CathodeForm form = CathodeForm.of(amp, sent);
        Faults faults = new Faults(words);
        CathodeForm.Asked asked = form.read(faults);
        ModelAndView page = new ModelAndView(view)
                .addObject("id", amp.amp().id())
                .addObject("fixed", !amp.sheet().bias().isCathode())
                .addObject("form", form)
                .addObject("query", form.query())
                .addObject("faults", faults);
        if (amp.need().isPresent() && !faults.any()) {
            GridNeed need = amp.need().get();
            page.addObject("view", CathodeView.of(asked, asked.design(amp), need, words));
            if (!amp.tubes().isEmpty()) {
                page.addObject("own", OwnView.of(amp, asked.design(amp), words));
            }
        }
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }
}
