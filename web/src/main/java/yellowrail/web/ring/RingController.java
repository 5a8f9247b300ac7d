package yellowrail.web.ring;

import java.io.IOException;
import java.time.Clock;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
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
import yellowrail.core.amp.Socket;
import yellowrail.core.station.Station;
import yellowrail.web.amp.Amp;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.live.Changes;
import yellowrail.web.practice.PracticeSound;
import yellowrail.web.prove.ProveService;
import yellowrail.web.recording.Recordings;
import yellowrail.web.ring.RingService.Kept;
import yellowrail.web.ring.RingService.Taken;
import yellowrail.web.run.Run;
import yellowrail.web.run.RunService;
import yellowrail.web.station.StationService;
import yellowrail.web.words.Words;

/** Tubes of a run tapped one by one. */
@Controller
class RingController {

    private static final String PAGE = "ring/page";
    private static final String FILE = "file";
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);

    private final RunService runs;
    private final StationService stations;
    private final RingService service;
    private final Recordings recordings;
    private final ProveService proofs;
    private final PracticeSound sounds;
    private final Changes changes;
    private final Words words;
    private final Clock clock;

    RingController(
            RunService runs,
            StationService stations,
            RingService service,
            Recordings recordings,
            ProveService proofs,
            PracticeSound sounds,
            Changes changes,
            Words words,
            Clock clock) {
        this.runs = runs;
        this.stations = stations;
        this.service = service;
        this.recordings = recordings;
        this.proofs = proofs;
        this.sounds = sounds;
        this.changes = changes;
        this.words = words;
        this.clock = clock;
    }

    /**
     * @param recording to be shown; the newest, if 0
     * @param dropped what was left out just now, to be taken back
     */
    @GetMapping("/runs/{id}/taps")
    ModelAndView page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long recording,
            @RequestParam(defaultValue = "0") long dropped) {
        return page(id, recording, new TapForm(Map.of()), new Faults(words))
                .addObject("dropped", dropped == 0 ? null : dropped);
    }

    /** What of it changes when somebody else records. */
    @GetMapping("/runs/{id}/taps/kept")
    ModelAndView kept(@PathVariable long id, @RequestParam(defaultValue = "0") long recording) {
        long notSeenFrom = changes.notSeenFrom();
        runs.run(id);
        List<Kept> kept = service.ofRun(id);
        return list(new ModelAndView(PAGE + " :: kept"), id, kept, Recordings.shown(kept, Kept::id, recording))
                .addObject("notSeenFrom", notSeenFrom);
    }

    /** A recording is heard and kept, or refused with what was typed beside it. */
    @PostMapping("/runs/{id}/taps")
    ModelAndView take(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) MultipartFile file)
            throws IOException {
        Run run = runs.run(id);
        TapForm form = new TapForm(typed);
        Faults faults = new Faults(words);
        TapForm.Told told = form.read(faults);
        recordings.check(run, file, FILE, faults);
        return faults.any()
                ? refused(id, form, faults)
                : kept(run, form, service.keep(run, Recordings.name(file), file.getBytes(), mains(run), told), faults);
    }

    /**
     * A tube of the practice amp is tapped.
     *
     * @param socket by its name
     */
    @PostMapping("/runs/{id}/taps/practice")
    ModelAndView practise(@PathVariable long id, @RequestParam(defaultValue = "") String socket) {
        Run run = runs.run(id);
        Faults faults = new Faults(words);
        List<String> sockets = sockets(run);
        TapForm form = new TapForm(Map.of("tube", socket));
        if (!run.isOpen() || !run.isPractice()) {
            faults.say(FILE, "run.closed");
        } else if (!sockets.contains(socket)) {
            faults.say(FILE, "page.ring.no-socket");
        } else {
            recordings.checkRoom(run, 0, FILE, faults);
        }
        if (faults.any()) {
            return refused(id, form, faults);
        }
        byte[] sound = sounds.tapped(id, sockets.indexOf(socket));
        return kept(
                run,
                form,
                service.keep(run, words.message("page.prove.practice-file"), sound, mains(run), form.read(faults)),
                faults);
    }

    private ModelAndView kept(Run run, TapForm form, Taken taken, Faults faults) {
        if (taken.id().isPresent()) {
            return new ModelAndView("redirect:/runs/%d/taps?recording=%d"
                    .formatted(run.id(), taken.id().get()));
        }
        faults.add(FILE, String.join(" ", words.say(taken.faults())));
        return refused(run.id(), form, faults);
    }

    private ModelAndView refused(long id, TapForm form, Faults faults) {
        ModelAndView page = page(id, 0, form, faults);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    /** @param what drop, or restore */
    @PostMapping("/runs/{id}/taps/{recording}")
    String drop(@PathVariable long id, @PathVariable long recording, @RequestParam(defaultValue = "drop") String what) {
        boolean dropped = what.equals("drop");
        recordings.drop(id, recording, dropped);
        return "redirect:/runs/%d/taps?%s=%d".formatted(id, dropped ? "dropped" : "recording", recording);
    }

    private int mains(Run run) {
        return (int) runs.amp(run).sheet().mainsHertz();
    }

    private List<String> sockets(Run run) {
        return runs.amp(run).sheet().sockets().stream().map(Socket::label).toList();
    }

    private ModelAndView page(long id, long recording, TapForm form, Faults faults) {
        long notSeenFrom = changes.notSeenFrom();
        Run run = runs.run(id);
        Amp amp = runs.amp(run);
        List<Kept> kept = service.ofRun(id);
        Optional<Kept> shown = Recordings.shown(kept, Kept::id, recording);
        ModelAndView page = list(new ModelAndView(PAGE), id, kept, shown)
                .addObject("notSeenFrom", notSeenFrom)
                .addObject(
                        "rail",
                        Rail.ofRun(id, amp.sheet().name(), Station.PROVE, stations.progress(id, amp.sheet()), words))
                .addObject("open", run.isOpen())
                .addObject("practice", run.isOpen() && run.isPractice())
                .addObject("sockets", sockets(run))
                .addObject("form", form)
                .addObject("faults", faults);
        shown.ifPresent(each -> show(page, id, each));
        return page;
    }

    private ModelAndView list(ModelAndView page, long id, List<Kept> kept, Optional<Kept> shown) {
        long here = shown.map(Kept::id).orElse(0L);
        return page.addObject("runId", id)
                .addObject("here", here)
                .addObject("tubes", TubesView.of(RingService.tubes(kept), proofs.card(id), words))
                .addObject(
                        "kept",
                        kept.stream().map(each -> line(each, here == each.id())).toList());
    }

    private void show(ModelAndView page, long id, Kept kept) {
        page.addObject("shown", line(kept, true));
        recordings
                .sound(id, kept.id())
                .map(sound -> service.again(kept, sound))
                .ifPresentOrElse(
                        heard -> page.addObject(
                                        "notes",
                                        words.say(heard.notes(kept.tapped().mainsHertz())))
                                .addObject("drawing", TapsView.of(heard)),
                        () -> page.addObject("notes", List.of(words.message("page.prove.no-sound"))));
    }

    /**
     * @param says what of it
     * @param here whether it is drawn
     */
    record Line(long id, String tube, String at, String says, boolean here) {}

    private Line line(Kept kept, boolean here) {
        return new Line(
                kept.id(),
                kept.tapped().tube(),
                TIME.format(kept.at().atZoneSameInstant(clock.getZone())),
                words.say(RingService.tubes(List.of(kept)).get(0).verdict()),
                here);
    }
}
