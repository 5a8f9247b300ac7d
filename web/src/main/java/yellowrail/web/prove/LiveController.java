package yellowrail.web.prove;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.proof.Climb;
import yellowrail.core.tone.CardScale;
import yellowrail.core.wav.WavException;
import yellowrail.web.run.RunService;
import yellowrail.web.words.Words;

/** The newest of a recording that goes on, a part of its page; nothing of it is stored. */
@Controller
class LiveController {

    /** Some seconds of it. */
    private static final int MOST_BYTES = 1 << 22;

    private final RunService runs;
    private final ProveService service;
    private final Words words;

    LiveController(RunService runs, ProveService service, Words words) {
        this.runs = runs;
        this.service = service;
        this.words = words;
    }

    /** @param query of a {@link ClimbForm} */
    @PostMapping(path = "/runs/{id}/proof/live", consumes = "audio/wav")
    ModelAndView live(@PathVariable long id, @RequestParam Map<String, String> query, InputStream sound)
            throws IOException {
        ModelAndView page = new ModelAndView("prove/drawn :: live");
        ClimbForm form = new ClimbForm(query);
        int mains = (int) runs.amp(runs.run(id)).sheet().mainsHertz();
        OptionalDouble full =
                service.card(id).stream().mapToDouble(CardScale::volts).findFirst();
        try {
            LiveHeard heard = LiveHeard.of(service.measure(sound.readNBytes(MOST_BYTES), mains), full, form.load());
            Optional<Climb.Next> next =
                    form.climb().map(climb -> climb.next(heard.at(form.level().getAsDouble(), climb), form.before()));
            return page.addObject("live", LiveView.of(heard, next, words));
        } catch (WavException e) {
            return page.addObject("live", LiveView.refused(words.say(e.why())));
        }
    }
}
