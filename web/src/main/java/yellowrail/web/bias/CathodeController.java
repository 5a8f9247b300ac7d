package yellowrail.web.bias;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.BiasKind;
import yellowrail.core.amp.CurrentMethod;
import yellowrail.core.bias.cathode.CathodeDesign;
import yellowrail.core.bias.need.GridNeed;
import yellowrail.core.quantity.Unit;
import yellowrail.core.station.Station;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TubeModels;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
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
        BiasService.OnTheBench amp = bench.amp(id, sent.getOrDefault("type", ""));
        AmpSheet sheet = amp.sheet();
        String count = sent.getOrDefault("count", String.valueOf(shared(sheet)));
        String wanted = sent.getOrDefault("wanted", "");
        String own = sent.getOrDefault("own", own(sheet));
        Faults faults = new Faults(words);
        FormReader read = new FormReader(faults);
        int tubes = (int) read.count("count", count, 1, AmpSheet.MOST_SOCKETS);
        OptionalDouble amps = read.number("wanted", wanted, Unit.MILLIAMP, 1, 500);
        OptionalDouble ohms = read.number("own", own, Unit.OHM, 5, 20_000);
        ModelAndView page = new ModelAndView("bias/cathode")
                .addObject("rail", Rail.ofAmp(id, sheet.name(), Station.PLAN, words))
                .addObject("id", id)
                .addObject("title", words.say(sheet.told()))
                .addObject("faults", faults)
                .addObject("count", count)
                .addObject("wanted", wanted)
                .addObject("own", own)
                .addObject("type", amp.type().name())
                .addObject(
                        "types",
                        TubeModels.published().all().stream()
                                .map(KnownModel::type)
                                .map(type -> new Choice(type, type))
                                .toList())
                .addObject("basis", bench.basis(amp, words));
        if (amp.need().isPresent() && !faults.any()) {
            GridNeed need = amp.need().get();
            page.addObject(
                    "view",
                    CathodeView.of(
                            CathodeDesign.of(need, tubes, amp.lift(), amps.orElse(need.amps())),
                            ohms.isPresent() ? List.of(ohms.getAsDouble()) : List.of(),
                            need,
                            words));
        }
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    /** Tubes on a resistor. */
    private static long shared(AmpSheet sheet) {
        return sheet.bias() == BiasKind.CATHODE_SHARED ? sheet.sockets().size() / sheet.channels() : 1;
    }

    private static String own(AmpSheet sheet) {
        return Stream.of(sheet.current())
                .filter(sense -> sense.method() == CurrentMethod.CATHODE_RESISTOR
                        && sense.ohms().isPresent())
                .map(sense -> String.valueOf(Math.round(sense.ohms().getAsDouble())))
                .findFirst()
                .orElse("");
    }
}
