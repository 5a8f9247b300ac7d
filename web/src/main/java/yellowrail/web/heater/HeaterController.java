package yellowrail.web.heater;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.node.HeaterWinding;
import yellowrail.core.heater.HeaterBudget;
import yellowrail.core.heater.HeaterText;
import yellowrail.core.reading.Moment;
import yellowrail.core.reading.Reading;
import yellowrail.core.reading.ReadingKind;
import yellowrail.core.station.Station;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.Rail;
import yellowrail.web.run.RunService;
import yellowrail.web.tubes.TubeService;
import yellowrail.web.words.Words;

/** The heaters of an amp by winding: what hangs on each, summed up; what it gives bare and loaded. */
@Controller
class HeaterController {

    private final AmpService amps;
    private final RunService runs;
    private final TubeService tubes;
    private final Words words;

    HeaterController(AmpService amps, RunService runs, TubeService tubes, Words words) {
        this.amps = amps;
        this.runs = runs;
        this.tubes = tubes;
        this.words = words;
    }

    @GetMapping("/amps/{id}/heaters")
    ModelAndView heaters(@PathVariable long id) {
        Amp amp = amps.newest(id);
        return page(amp, HeaterText.write(amp.sheet().chart().windings()), amp.version(), List.of());
    }

    @PostMapping("/amps/{id}/heaters")
    ModelAndView save(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "0") int version) {
        Amp amp = amps.newest(id);
        HeaterText read = HeaterText.parse(text);
        if (!read.faults().isEmpty()) {
            ModelAndView again = page(
                    amp, text, version, read.faults().stream().map(words::say).toList());
            again.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return again;
        }
        Optional<Integer> saved =
                amps.save(id, version, amp.sheet().with(amp.sheet().chart().withWindings(read.windings())));
        if (saved.isPresent()) {
            return new ModelAndView("redirect:/amps/" + id + "/heaters");
        }
        ModelAndView again = page(amp, text, amp.version(), List.of(words.message("page.walk.saved-meanwhile")));
        again.setStatus(HttpStatus.CONFLICT);
        return again;
    }

    private ModelAndView page(Amp amp, String text, int version, List<String> wrong) {
        List<HeaterWinding> windings = wrong.isEmpty()
                ? HeaterText.parse(text).windings()
                : amp.sheet().chart().windings();
        Moment read = runs.newestOf(amp.id())
                .map(run -> runs.timeline(run).present().moment())
                .orElse(Moment.EMPTY);
        return new ModelAndView("heater/page")
                .addObject("rail", Rail.ofAmp(amp.id(), amp.sheet().name(), Station.POWER_UP, words))
                .addObject("id", amp.id())
                .addObject("text", text)
                .addObject("version", version)
                .addObject("wrong", wrong)
                .addObject(
                        "windings",
                        IntStream.range(0, windings.size())
                                .mapToObj(i -> HeaterView.of(budget(windings.get(i), i == 0, read), words))
                                .toList());
    }

    /** The first winding is the one that the run reads. */
    private HeaterBudget budget(HeaterWinding winding, boolean first, Moment read) {
        OptionalDouble bare = first ? value(read, ReadingKind.HEATER_BARE) : OptionalDouble.empty();
        OptionalDouble loaded = first ? value(read, ReadingKind.HEATER) : OptionalDouble.empty();
        return new HeaterBudget(
                winding,
                bare.isPresent() ? bare : winding.bare(),
                loaded.isPresent() ? loaded : winding.loaded(),
                tubes.catalogue());
    }

    private static OptionalDouble value(Moment read, ReadingKind kind) {
        return read.last(kind).map(Reading::value).map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }
}
