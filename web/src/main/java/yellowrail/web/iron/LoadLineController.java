package yellowrail.web.iron;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.amp.AmpSheet;
import yellowrail.core.amp.ScreenSense.Connection;
import yellowrail.core.amp.Topology;
import yellowrail.core.csv.CsvText;
import yellowrail.core.iron.Hookup;
import yellowrail.core.quantity.Figures;
import yellowrail.core.quantity.Unit;
import yellowrail.core.root.UnsettledException;
import yellowrail.core.stage.FullDrive;
import yellowrail.core.stage.Netlist;
import yellowrail.core.stage.Opinion;
import yellowrail.core.stage.OutputStage;
import yellowrail.core.stage.Performance;
import yellowrail.core.stage.PlateChart;
import yellowrail.core.stage.StageFinding;
import yellowrail.core.stage.Sweep;
import yellowrail.core.stage.WorstCase;
import yellowrail.core.tube.Rating;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.web.drawer.OwnTubeService;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The load line of an amp: drawn, swept, kept, taken away as a file. */
@Controller
class LoadLineController {

    private static final int SWEPT = 60;

    private final IronService iron;
    private final Words words;

    LoadLineController(IronService iron, Words words) {
        this.iron = iron;
        this.words = words;
    }

    /** A stage as asked for, with what it takes to judge it. */
    private record Asked(
            IronService.AmpWithStage amp,
            LoadLineForm form,
            Optional<KnownModel> model,
            Optional<OwnTubeService.Own> own,
            Faults faults,
            Optional<OutputStage> stage) {

        boolean triode() {
            return model.filter(known -> known.model().isTriode()).isPresent();
        }

        AmpSheet sheet() {
            return amp.amp().sheet();
        }
    }

    private Asked asked(long id, Map<String, String> typed) {
        IronService.AmpWithStage amp = typed.containsKey("quick") ? iron.unread(id) : iron.amp(id);
        Optional<OwnTubeService.Own> named = iron.own(typed.getOrDefault("own", ""));
        LoadLineForm form = LoadLineForm.of(
                named.map(OwnTubeService.Own::type).orElse(amp.model().type()),
                amp.own().stage(),
                typed);
        Faults faults = new Faults(words);
        Optional<OwnTubeService.Own> own = named.filter(tube -> tube.type().equals(form.of("type")));
        Optional<KnownModel> model = own.map(OwnTubeService.Own::model).or(() -> iron.model(form.of("type")));
        return new Asked(amp, form, model, own, faults, form.stage(amp.own().stage(), model, faults));
    }

    private Rating rating(Asked asked) {
        String type = asked.form().of("type");
        return type.equals(asked.amp().type().name()) && !asked.amp().other()
                ? asked.sheet().rating(asked.amp().type())
                : iron.type(type).customaryRating();
    }

    @GetMapping("/amps/{id}/load-line")
    ModelAndView page(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        ModelAndView page = drawn("iron/loadline", asked, typed)
                .addObject("rail", Rail.ofAmp(id, asked.sheet().name(), null, words))
                .addObject("title", words.say(asked.sheet().told()))
                .addObject("types", types(asked))
                .addObject(
                        "perSides",
                        IntStream.rangeClosed(1, OutputStage.MOST_PER_SIDE)
                                .mapToObj(n -> new Choice(String.valueOf(n), String.valueOf(n)))
                                .toList())
                .addObject("connections", Choice.of(Connection.values(), Enum::name, words))
                .addObject(
                        "biases",
                        List.of(
                                new Choice("fixed", words.message("page.iron.loadline.fixed")),
                                new Choice("cathode", words.message("page.iron.loadline.cathode"))))
                .addObject("assumed", words.list(asked.amp().own().assumed()))
                .addObject("unusable", asked.amp().unusable(words))
                .addObject("grids", asked.own().isPresent() ? "" : asked.amp().grids(words))
                .addObject("other", asked.amp().other() ? asked.sheet().tubeType() : "");
        return page;
    }

    /** Those with a model, and the one of a tube that has its own. */
    private List<Choice> types(Asked asked) {
        List<Choice> types = new ArrayList<>(iron.types());
        asked.own()
                .map(own -> new Choice(own.type(), own.type()))
                .filter(own -> !types.contains(own))
                .ifPresent(types::add);
        return types;
    }

    /** What changes while something is dragged; {@code quick} leaves out the sweeps. */
    @GetMapping("/amps/{id}/load-line/drawn")
    ModelAndView fragment(@PathVariable long id, @RequestParam Map<String, String> typed) {
        return drawn("iron/loadline :: drawn", asked(id, typed), typed);
    }

    private ModelAndView drawn(String view, Asked asked, Map<String, String> typed) {
        ModelAndView page = new ModelAndView(view)
                .addObject("id", asked.amp().amp().id())
                .addObject("form", asked.form())
                .addObject("faults", asked.faults())
                .addObject("triode", asked.triode())
                .addObject("pushPull", asked.sheet().topology() == Topology.PUSH_PULL)
                .addObject("query", asked.form().query())
                .addObject("lines", typed.getOrDefault("lines", ""))
                .addObject("nominal", typed.getOrDefault("nominal", ""));
        if (asked.stage().isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        try {
            compute(page, asked, asked.stage().get(), typed);
        } catch (UnsettledException e) {
            asked.faults().add("load", words.say(new StageFinding.Unsettled(e.rounds())));
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return page;
    }

    private void compute(ModelAndView page, Asked asked, OutputStage stage, Map<String, String> typed) {
        KnownModel model = asked.model().orElseThrow();
        Performance found = performance(asked);
        WorstCase worst = WorstCase.of(stage);
        Rating rating = rating(asked);
        LoadLineView view = LoadLineView.of(
                found,
                worst,
                rating,
                words.say(opinion(asked, found, worst, model, rating)),
                words,
                SpeakerLines.read(typed.getOrDefault("lines", "")),
                SpeakerLines.nominal(typed.getOrDefault("nominal", "")),
                frame(typed, found));
        if (!typed.containsKey("quick")) {
            page.addObject(
                            "sweeps",
                            List.of(
                                    SweepView.loads(stage, own(asked.sheet(), stage), words),
                                    SweepView.idles(stage, found.idle().meanPlateAmps(), rating.plateWatts(), words)))
                    .addObject(
                            "kept",
                            iron.kept(asked.amp().amp().id()).stream()
                                    .map(kept -> KeptLine.of(
                                            kept,
                                            asked.amp().own().stage(),
                                            iron.own(kept.form().of("own")),
                                            iron.model(kept.form().of("type")),
                                            words))
                                    .toList());
        }
        page.addObject("view", view);
    }

    private static List<StageFinding> opinion(
            Asked asked, Performance found, WorstCase worst, KnownModel model, Rating rating) {
        List<StageFinding> opinion = new ArrayList<>(
                Opinion.of(found, worst, model, rating, asked.sheet().fittings()));
        asked.own()
                .ifPresent(own -> opinion.add(new StageFinding.OwnTubeTaken(
                        own.name(),
                        own.rests().tests(),
                        own.rests().settings(),
                        own.rests().points())));
        return opinion;
    }

    /** The frame of the chart that is being dragged, else one that fits. */
    private static PlateChart.Frame frame(Map<String, String> typed, Performance found) {
        OptionalDouble volts =
                new FormReader(Faults.counted()).number("volts", typed.get("toVolts"), Unit.VOLT, 50, 10_000);
        OptionalDouble amps = new FormReader(Faults.counted())
                .number("milliamps", typed.get("toMilliamps"), Unit.MILLIAMP, 1, 10_000);
        return volts.isPresent() && amps.isPresent()
                ? new PlateChart.Frame(volts.getAsDouble(), amps.getAsDouble())
                : PlateChart.Frame.around(found);
    }

    /** The builder\u2019s own speakers as loads on the tubes. */
    private static List<SweepView.Named> own(AmpSheet sheet, OutputStage stage) {
        List<SweepView.Named> own = new ArrayList<>();
        double nominal = sheet.fittings().loadOhms().orElse(stage.loadOhms());
        double tap = sheet.fittings().iron().taps().stream().findFirst().orElse(8.0);
        for (String written : sheet.fittings().iron().hookups()) {
            Hookup hookup = Hookup.parse(written);
            own.add(new SweepView.Named(
                    written.replace("||", " || "),
                    hookup.reflected(nominal, sheet.fittings().iron().taps().contains(8.0) ? 8.0 : tap)));
        }
        return own;
    }

    @PostMapping("/amps/{id}/load-line/kept")
    ModelAndView keep(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        if (asked.stage().isPresent()
                && !iron.keep(id, KeptDocument.of(asked.form(), asked.stage().get()))) {
            asked.faults().add("kept", words.message("page.load-line.kept-full", IronService.MOST_KEPT));
        }
        if (asked.faults().any()) {
            ModelAndView page = page(id, typed).addObject("faults", asked.faults());
            page.setStatus(HttpStatus.CONFLICT);
            return page;
        }
        return new ModelAndView(
                "redirect:/amps/%d/load-line?%s#kept".formatted(id, asked.form().query()));
    }

    @PostMapping("/amps/{id}/load-line/kept/{kept}/drop")
    ModelAndView drop(@PathVariable long id, @PathVariable long kept, @RequestParam Map<String, String> typed) {
        iron.drop(id, kept);
        return new ModelAndView("redirect:/amps/%d/load-line?%s#kept"
                .formatted(id, asked(id, typed).form().query()));
    }

    @GetMapping("/amps/{id}/load-line.cir")
    ResponseEntity<String> netlist(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        return file(
                asked,
                "stage.cir",
                Download.TEXT,
                () -> new Netlist(
                                performance(asked),
                                "%s, %s"
                                        .formatted(
                                                asked.sheet().name(),
                                                asked.form().of("type")))
                        .write());
    }

    @GetMapping("/amps/{id}/plate-curves.csv")
    ResponseEntity<String> curves(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        return file(
                asked,
                "plate-curves.csv",
                Download.CSV,
                () -> CsvText.write(
                        List.of("grid_v", "plate_v", "plate_ma"),
                        curves(asked).stream()
                                .flatMap(curve -> curve.points().stream()
                                        .map(point -> List.of(
                                                Figures.fixed(curve.gridVolts(), 1),
                                                Figures.fixed(point.x(), 2),
                                                Figures.fixed(1e3 * point.y(), 4))))
                                .toList()));
    }

    @GetMapping("/amps/{id}/load-sweep.csv")
    ResponseEntity<String> loads(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        return file(
                asked,
                "load-sweep.csv",
                Download.CSV,
                () -> SweepView.csv(
                        Sweep.loads(
                                asked.stage().orElseThrow(),
                                asked.stage().orElseThrow().loadOhms() / 4,
                                asked.stage().orElseThrow().loadOhms() * 4,
                                SWEPT),
                        "load_ohm",
                        1));
    }

    @GetMapping("/amps/{id}/idle-sweep.csv")
    ResponseEntity<String> idles(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Asked asked = asked(id, typed);
        return file(asked, "idle-sweep.csv", Download.CSV, () -> {
            double most =
                    rating(asked).plateWatts() / asked.stage().orElseThrow().plateVolts();
            return SweepView.csv(
                    Sweep.idles(asked.stage().orElseThrow(), 0.1 * most, most, SWEPT), "idle_plate_ma", 1e3);
        });
    }

    private List<PlateChart.Curve> curves(Asked asked) {
        Performance found = performance(asked);
        return PlateChart.of(found, rating(asked).plateWatts(), PlateChart.Frame.around(found))
                .curves();
    }

    private static Performance performance(Asked asked) {
        return new FullDrive(
                        asked.stage().orElseThrow(),
                        FullDrive.STEPS,
                        asked.form().drive(Faults.counted()))
                .compute();
    }

    private ResponseEntity<String> file(Asked asked, String name, MediaType type, Supplier<String> text) {
        Optional<String> written = Optional.empty();
        try {
            written = asked.stage().isPresent() ? Optional.of(text.get()) : written;
        } catch (UnsettledException e) {
            asked.faults().add("load", words.say(new StageFinding.Unsettled(e.rounds())));
        }
        if (written.isEmpty()) {
            return ResponseEntity.unprocessableContent()
                    .contentType(MediaType.TEXT_PLAIN)
                    .body(String.join(
                            "\n",
                            asked.faults().byField().entrySet().stream()
                                    .map(fault -> fault.getKey() + ": " + fault.getValue())
                                    .toList()));
        }
        return Download.of(type, name).body(written.get());
    }
}
