package yellowrail.web.signal;

import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.wav.WavWriter;
import yellowrail.web.bounds.InTurn;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.signal.SignalForm.Wanted;
import yellowrail.web.words.Words;

/** Tones to play through an amp. */
@Controller
class SignalController {

    private static final long DITHER = 20;

    private final InTurn inTurn;
    private final Words words;

    SignalController(InTurn inTurn, Words words) {
        this.inTurn = inTurn;
        this.words = words;
    }

    @GetMapping("/signal")
    ModelAndView page(@RequestParam Map<String, String> typed) {
        return drawn("signal/page", typed).addObject("rail", Rail.plain(words.message("page.signal.title")));
    }

    /** What changes with a field. */
    @GetMapping("/signal/drawn")
    ModelAndView fragment(@RequestParam Map<String, String> typed) {
        return drawn("signal/page :: drawn", typed);
    }

    private ModelAndView drawn(String view, Map<String, String> typed) {
        SignalForm form = SignalForm.of(typed);
        Faults faults = new Faults(words);
        Optional<Wanted> wanted = form.read(faults);
        ModelAndView page = new ModelAndView(view)
                .addObject("form", form)
                .addObject("faults", faults)
                .addObject("query", form.query())
                .addObject("run", run(typed))
                .addObject("shapes", Choice.of(SignalForm.Shape.values(), Enum::name, words));
        wanted.ifPresent(found -> page.addObject("view", SignalView.of(found.signal())));
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    /** The practice run into whose amp it can be played; null where there is none. */
    private static Long run(Map<String, String> typed) {
        String run = typed.getOrDefault("run", "");
        return run.matches("\\d{1,18}") ? Long.valueOf(run) : null;
    }

    /** @throws NotFoundException if the tone cannot be made */
    @GetMapping("/signal.wav")
    ResponseEntity<byte[]> file(@RequestParam Map<String, String> typed) {
        SignalForm form = SignalForm.of(typed);
        Wanted wanted = form.read(Faults.counted()).orElseThrow(() -> new NotFoundException("There is no such tone."));
        byte[] file = inTurn.take(
                () -> WavWriter.write(wanted.signal().samples(wanted.rate()), wanted.rate(), wanted.bits(), DITHER));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("audio/wav"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"tone.wav\"")
                .body(file);
    }
}
