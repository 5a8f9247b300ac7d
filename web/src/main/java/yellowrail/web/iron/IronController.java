package yellowrail.web.iron;

import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.iron.ImpedanceFile;
import yellowrail.core.iron.SmallSignalSpeaker;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.Rating;
import yellowrail.web.bounds.TextUpload;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The output transformer and what hangs on it: ratio bench, taps against speakers, the speaker over frequency. */
@Controller
class IronController {

    private static final double MILLIHENRY = 1e-3;

    private final IronService iron;
    private final Words words;

    IronController(IronService iron, Words words) {
        this.iron = iron;
        this.words = words;
    }

    @GetMapping("/amps/{id}/iron")
    ModelAndView page(@PathVariable long id, @RequestParam Map<String, String> typed) {
        return page(id, typed, new Faults(words));
    }

    /** The ratio bench alone, while something is read on it. */
    @GetMapping("/amps/{id}/iron/bench")
    ModelAndView bench(@PathVariable long id, @RequestParam Map<String, String> typed) {
        IronService.AmpWithStage amp = iron.unread(id);
        Faults faults = new Faults(words);
        ModelAndView page = new ModelAndView("iron/bench :: bench").addObject("id", id);
        LeadBench.put(page, amp.amp().sheet(), amp.own().stage().loadOhms(), typed, faults, words);
        return page;
    }

    private ModelAndView page(long id, Map<String, String> typed, Faults faults) {
        IronService.AmpWithStage amp = iron.amp(id);
        AmpSheet sheet = amp.amp().sheet();
        Rating rating = amp.other() ? amp.type().customaryRating() : sheet.rating(amp.type());
        ModelAndView page = new ModelAndView("iron/page")
                .addObject("rail", Rail.ofAmp(id, sheet.name(), null, words))
                .addObject("id", id)
                .addObject("title", words.say(sheet.told()))
                .addObject("typed", typed)
                .addObject("faults", faults)
                .addObject(
                        "taps",
                        TapsView.of(sheet, amp.own().stage(), rating, typed.getOrDefault("cabinet", ""), faults, words))
                .addObject("assumed", words.list(amp.own().assumed()))
                .addObject("unusable", amp.unusable(words))
                .addObject("other", amp.other() ? sheet.tubeType() : "");
        LeadBench.put(page, sheet, amp.own().stage().loadOhms(), typed, faults, words);
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    /** Writes what the ratio bench found on the sheet. */
    @PostMapping("/amps/{id}/iron/sheet")
    ModelAndView write(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String load,
            @RequestParam(defaultValue = "") String taps) {
        Faults faults = new Faults(words);
        double ohms = new FormReader(faults)
                .required("load", load, Unit.OHM, LoadLineForm.LEAST_LOAD, LoadLineForm.MOST_LOAD);
        if (!taps.matches("([1-9]\\d? ?){1,4}")) {
            faults.add("load", words.message("page.iron.taps-as-speakers"));
        }
        if (faults.any()) {
            return page(id, Map.of(), faults);
        }
        List<Double> meant =
                Arrays.stream(taps.strip().split(" ")).map(Double::valueOf).toList();
        if (!iron.write(id, ohms, meant)) {
            faults.say("load", "page.iron.sheet-saved");
            ModelAndView again = page(id, Map.of(), faults);
            again.setStatus(HttpStatus.CONFLICT);
            return again;
        }
        return new ModelAndView("redirect:/amps/%d/iron#taps".formatted(id));
    }

    /** A speaker by its parameters or by a measured file. */
    @PostMapping("/amps/{id}/iron/speaker")
    ModelAndView speaker(
            @PathVariable long id,
            @RequestParam Map<String, String> sent,
            @RequestParam(name = "file", required = false) MultipartFile file)
            throws IOException {
        Map<String, String> typed = new HashMap<>(sent);
        Faults faults = new Faults(words);
        FormReader read = new FormReader(faults);
        double nominal = read.required("nominal", typed.get("nominal"), Unit.OHM, 1, 100);
        Optional<SpeakerView> view = Optional.empty();
        double primary = iron.amp(id).own().stage().loadOhms();
        if (file != null && !file.isEmpty()) {
            ImpedanceFile measured = ImpedanceFile.parse(TextUpload.text(file));
            if (!measured.faults().isEmpty()) {
                faults.add("file", String.join("; ", words.say(measured.faults())));
            }
            view = measured.speaker()
                    .filter(found -> !faults.any())
                    .map(found -> SpeakerView.of(found, nominal, primary, words.say(measured.remarks()), words));
        } else {
            double re = read.required("re", typed.get("re"), Unit.OHM, 0.5, 100);
            double fs = read.count("fs", typed.get("fs"), 10, 2000);
            double qms = read.count("qms", typed.get("qms"), 0.1, 50);
            double qes = read.count("qes", typed.get("qes"), 0.05, 50);
            double le = read.count("le", typed.get("le"), 0, 50);
            double exponent = read.count("exponent", typed.get("exponent"), 0.3, 1);
            if (!faults.any()) {
                view = Optional.of(SpeakerView.of(
                        new SmallSignalSpeaker(re, fs, qms, qes, le * MILLIHENRY, exponent),
                        nominal,
                        primary,
                        List.of(),
                        words));
            }
        }
        return page(id, typed, faults).addObject("speaker", view.orElse(null));
    }
}
