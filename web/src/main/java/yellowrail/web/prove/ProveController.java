package yellowrail.web.prove;

import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.idle.StageIdle;
import yellowrail.core.practice.PracticeClimb;
import yellowrail.core.practice.PracticeOutput;
import yellowrail.core.quantity.Figures;
import yellowrail.core.signal.TestSignal;
import yellowrail.core.station.Station;
import yellowrail.core.tone.CardPad;
import yellowrail.core.tone.CardScale;
import yellowrail.core.tone.Hearing;
import yellowrail.web.amp.Amp;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.live.Changes;
import yellowrail.web.practice.PracticeSound;
import yellowrail.web.prove.ProveService.Kept;
import yellowrail.web.prove.ProveService.Measured;
import yellowrail.web.prove.ProveService.Taken;
import yellowrail.web.recording.Recordings;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.signal.SignalForm;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** What a sound card heard of the amp of a run. */
@Controller
class ProveController {

    private static final String PAGE = "prove/page";
    private static final String FILE = "file";

    private final RunService runs;
    private final StationService stations;
    private final ProveService service;
    private final Recordings recordings;
    private final ProofSheetService sheets;
    private final PracticeSound sounds;
    private final Changes changes;
    private final Words words;
    private final Clock clock;

    ProveController(
            RunService runs,
            StationService stations,
            ProveService service,
            Recordings recordings,
            ProofSheetService sheets,
            PracticeSound sounds,
            Changes changes,
            Words words,
            Clock clock) {
        this.runs = runs;
        this.stations = stations;
        this.service = service;
        this.recordings = recordings;
        this.sheets = sheets;
        this.sounds = sounds;
        this.changes = changes;
        this.words = words;
        this.clock = clock;
    }

    /**
     * @param recording to be shown; the newest, if 0
     * @param channel 1 or 2
     * @param scale linear, or logarithmic if blank
     * @param dropped what was left out just now, to be taken back
     */
    @GetMapping("/runs/{id}/proof")
    ModelAndView page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long recording,
            @RequestParam(defaultValue = "0") int channel,
            @RequestParam(defaultValue = "") String scale,
            @RequestParam(defaultValue = "0") long dropped) {
        return page(id, recording, channel, scale, new ProveForm(Map.of()), new Faults(words))
                .addObject("dropped", dropped == 0 ? null : dropped);
    }

    /** What of it changes when somebody else records. */
    @GetMapping("/runs/{id}/proof/kept")
    ModelAndView kept(@PathVariable long id, @RequestParam(defaultValue = "0") long recording) {
        long notSeenFrom = changes.notSeenFrom();
        Run run = runs.run(id);
        List<Kept> kept = service.ofRun(id);
        return list(
                        new ModelAndView(PAGE + " :: kept"),
                        run,
                        kept,
                        Recordings.shown(kept, Kept::id, recording),
                        ProveService.scale(kept))
                .addObject("notSeenFrom", notSeenFrom);
    }

    /** Settings side by side, as part of another page. */
    @GetMapping("/runs/{id}/proof/sheet")
    ModelAndView sheet(@PathVariable long id) {
        return new ModelAndView("prove/sheet :: sheet").addObject("sheet", sheets.of(runs.run(id), service.ofRun(id)));
    }

    /** A file is measured and kept, or refused with what was typed beside it. */
    @PostMapping("/runs/{id}/proof")
    ModelAndView take(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) MultipartFile file)
            throws IOException {
        Run run = runs.run(id);
        ProveForm form = new ProveForm(typed);
        Faults faults = new Faults(words);
        ProveService.Told told = form.read(faults);
        recordings.check(run, file, FILE, faults);
        return faults.any()
                ? refused(id, form, faults)
                : kept(run, service.keep(run, Recordings.name(file), file.getBytes(), mains(run), told), form, faults);
    }

    /** A tone goes through the practice amp of the run, and what the card heard is kept. */
    @PostMapping("/runs/{id}/proof/practice")
    ModelAndView practise(@PathVariable long id, @RequestParam(defaultValue = "") String signal) {
        Faults faults = new Faults(words);
        Optional<SignalForm.Wanted> wanted = SignalForm.ofQuery(signal).read(faults);
        Run run = practising(id, faults);
        return faults.any() || wanted.isEmpty()
                ? refused(id, new ProveForm(Map.of()), faults)
                : played(
                        run,
                        words.message("page.prove.practice-file"),
                        wanted.get().signal(),
                        wanted.get().rate(),
                        faults);
    }

    /** A cell of the grid on the practice amp: a tone is made louder to what is asked for, and that is kept. */
    @PostMapping("/runs/{id}/proof/practice/climb")
    ModelAndView climb(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Faults faults = new Faults(words);
        ClimbForm form = new ClimbForm(typed);
        Run run = practising(id, faults);
        if (!faults.any()) {
            PracticeClimb.Climbed climbed = sounds.climb(id, form.goal());
            if (climbed.says().isThere()) {
                return played(run, form.name(), climbed.signal(), PracticeClimb.RATE, faults);
            }
            faults.add(FILE, climbed.says());
        }
        return refused(id, new ProveForm(Map.of()), faults);
    }

    private Run practising(long id, Faults faults) {
        Run run = runs.run(id);
        if (!run.isOpen() || !run.isPractice()) {
            faults.say(FILE, "run.closed");
        } else {
            recordings.checkRoom(run, 0, FILE, faults);
        }
        return run;
    }

    private ModelAndView played(Run run, String name, TestSignal signal, int rate, Faults faults) {
        PracticeOutput.Played played = sounds.play(run.id(), signal, rate);
        ProveService.Told told =
                new ProveService.Told("", OptionalDouble.of(PracticeOutput.LOAD), OptionalDouble.of(played.volts()));
        Taken taken = service.keep(run, name, played.wav(), mains(run), told);
        return kept(run, taken, new ProveForm(Map.of()), faults);
    }

    private ModelAndView kept(Run run, Taken taken, ProveForm form, Faults faults) {
        if (taken.id().isPresent()) {
            return new ModelAndView("redirect:/runs/%d/proof?recording=%d"
                    .formatted(run.id(), taken.id().get()));
        }
        faults.add(FILE, String.join(" ", words.say(taken.faults())));
        return refused(run.id(), form, faults);
    }

    private ModelAndView refused(long id, ProveForm form, Faults faults) {
        ModelAndView page = page(id, 0, 0, "", form, faults);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private int mains(Run run) {
        return (int) runs.amp(run).sheet().mainsHertz();
    }

    /** @param what drop, or restore */
    @PostMapping("/runs/{id}/proof/{recording}")
    String drop(@PathVariable long id, @PathVariable long recording, @RequestParam(defaultValue = "drop") String what) {
        boolean dropped = what.equals("drop");
        recordings.drop(id, recording, dropped);
        return "redirect:/runs/%d/proof?%s=%d".formatted(id, dropped ? "dropped" : "recording", recording);
    }

    private ModelAndView page(long id, long recording, int channel, String scale, ProveForm form, Faults faults) {
        long notSeenFrom = changes.notSeenFrom();
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        List<Kept> kept = service.ofRun(id);
        Optional<CardScale> card = ProveService.scale(kept);
        Optional<Kept> shown = Recordings.shown(kept, Kept::id, recording);
        ModelAndView page = list(new ModelAndView(PAGE), run, kept, shown, card)
                .addObject("notSeenFrom", notSeenFrom)
                .addObject(
                        "rail",
                        Rail.ofRun(id, amp.sheet().name(), Station.PROVE, stations.progress(id, amp.sheet()), words))
                .addObject("open", run.isOpen())
                .addObject("mainsHertz", mains(run))
                .addObject("practice", run.isOpen() && run.isPractice())
                .addObject("form", shown.map(each -> filled(form, each)).orElse(form))
                .addObject("faults", faults)
                .addObject("linear", scale.equals("linear"))
                .addObject("card", CardView.of(card, most(run), load(kept), words));
        shown.ifPresent(each -> show(page, id, each, card, channel, scale));
        return page;
    }

    private ModelAndView list(
            ModelAndView page, Run run, List<Kept> kept, Optional<Kept> shown, Optional<CardScale> card) {
        long here = shown.map(Kept::id).orElse(0L);
        shown.ifPresent(each -> page.addObject("mains", each.heard().mainsHertz())
                .addObject("twice", 2 * each.heard().mainsHertz()));
        return page.addObject("runId", run.id())
                .addObject("here", here)
                .addObject("sheet", sheets.of(run, kept))
                .addObject(
                        "kept",
                        kept.stream()
                                .map(each -> HeardView.of(each, each.figures(), card, here == each.id(), words, clock))
                                .toList());
    }

    /** What the tubes in it may give, W. */
    private double most(Run run) {
        return CardPad.most(StageIdle.of(runs.timeline(run).present()).occupants().stream()
                .flatMap(tube -> tube.rating().stream())
                .mapToDouble(rating -> rating.plateWatts())
                .sum());
    }

    /** That was told last. */
    private static OptionalDouble load(List<Kept> kept) {
        return kept.stream()
                .flatMap(each -> Stream.ofNullable(each.heard().loadOhms()))
                .reduce((one, later) -> later)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    private void show(ModelAndView page, long id, Kept kept, Optional<CardScale> card, int channel, String scale) {
        int at = channel(kept, channel);
        page.addObject("channel", at + 1)
                .addObject("channels", channels(kept))
                .addObject("shown", HeardView.of(kept, kept.heard().channels().get(at), card, true, words, clock));
        recordings
                .sound(id, kept.id())
                .ifPresentOrElse(
                        sound -> draw(
                                page, service.measure(sound, kept.heard().mainsHertz()), at, scale.equals("linear")),
                        () -> page.addObject("notes", List.of(words.message("page.prove.no-sound"))));
    }

    private void draw(ModelAndView page, Measured measured, int channel, boolean linear) {
        Hearing heard = measured.channels().get(channel);
        double[] samples = measured.sound().channels().get(channel);
        int perSecond = measured.sound().hertz();
        page.addObject(
                "notes",
                Stream.concat(measured.sound().notes().stream(), heard.outcome().notes().stream())
                        .map(words::say)
                        .toList());
        heard.outcome()
                .tone()
                .ifPresent(tone -> page.addObject(
                                "spectrum", SpectrumView.of(heard.part(samples, perSecond), perSecond, tone, linear))
                        .addObject("wave", WaveView.of(tone)));
    }

    /** The one asked for, if it has a tone; else the first that has. */
    private static int channel(Kept kept, int asked) {
        List<HeardDocument.Figures> channels = kept.heard().channels();
        return asked >= 1 && asked <= channels.size() && channels.get(asked - 1) != null
                ? asked - 1
                : channels.indexOf(kept.figures());
    }

    /** Those with a tone, where there are two. */
    private static List<Integer> channels(Kept kept) {
        List<HeardDocument.Figures> channels = kept.heard().channels();
        return channels.size() == 2 && channels.get(0) != null && channels.get(1) != null ? List.of(1, 2) : List.of();
    }

    /** What was told of the recording before, as long as nothing else is typed. */
    private static ProveForm filled(ProveForm form, Kept kept) {
        Map<String, String> fields = new TreeMap<>(form.typed());
        Double load = kept.heard().loadOhms();
        if (load != null) {
            fields.putIfAbsent("load", Figures.plain(load));
        }
        fields.putIfAbsent("setting", kept.heard().setting());
        return new ProveForm(fields);
    }
}
