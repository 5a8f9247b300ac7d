package yellowrail.web.trace;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.csv.CsvTable;
import yellowrail.core.quantity.Figures;
import yellowrail.core.trace.PointDoubt;
import yellowrail.core.trace.PointSource;
import yellowrail.core.trace.TraceCsv;
import yellowrail.core.trace.TracePlan;
import yellowrail.core.trace.TraceRow;
import yellowrail.core.tube.TubeType;
import yellowrail.core.tube.model.KnownModel;
import yellowrail.core.tube.model.TracedPoint;
import yellowrail.core.tube.model.TubeModel;
import yellowrail.web.bounds.TextUpload;
import yellowrail.web.drawer.PointRow;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Download;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.meter.MeterException;
import yellowrail.web.words.Words;

/** Curve tracing by hand: the next point, the points that were read, the tube's own curves. */
@Controller
class TraceController {

    private final TraceService trace;
    private final Words words;

    TraceController(TraceService trace, Words words) {
        this.trace = trace;
        this.words = words;
    }

    @GetMapping("/drawer/{id}/curves")
    ModelAndView page(@PathVariable long id, @RequestParam Map<String, String> typed) {
        return page(trace.tube(id), typed, new Faults(words), List.of());
    }

    /** A point: typed, or of a meter that is asked for its current. */
    @PostMapping("/drawer/{id}/curves")
    ModelAndView add(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "typed") String by) {
        TraceService.OnStand tube = trace.tube(id);
        TubeType type = listed(tube);
        Faults faults = new Faults(words);
        TraceForm form = new TraceForm(typed);
        Map<String, String> fields = new HashMap<>(typed);
        PointSource source = source(by);
        if (source == PointSource.METER) {
            fields.put("plate_milliamps", "");
            asked(form, faults).ifPresent(read -> fields.put("plate_milliamps", read));
        } else if (source == PointSource.PRACTICE) {
            fields.put("plate_milliamps", "0");
            fields.put("screen_milliamps", "");
        }
        if (!faults.any()) {
            TraceRow row = TraceRow.read(column -> fields.getOrDefault(column, ""), type);
            row.faults().forEach(faults::add);
            if (!faults.any()) {
                trace.keep(
                        id,
                        List.of(source == PointSource.PRACTICE ? practised(tube, row.point()) : row.point()),
                        source);
                return new ModelAndView("redirect:" + form.page(id));
            }
        }
        return page(tube, typed, faults, List.of());
    }

    private static PointSource source(String by) {
        return switch (by) {
            case "meter" -> PointSource.METER;
            case "practice" -> PointSource.PRACTICE;
            default -> PointSource.TYPED;
        };
    }

    private Optional<String> asked(TraceForm form, Faults faults) {
        var link = form.link(faults);
        OptionalDouble sense = form.sense(faults);
        if (faults.any()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Figures.typed(OptionalDouble.of(trace.amps(link, sense)), 1e3));
        } catch (MeterException e) {
            faults.add("meter", e.fault());
            return Optional.empty();
        }
    }

    private TracedPoint practised(TraceService.OnStand tube, TracedPoint at) {
        if (tube.seed().isEmpty() || tube.typical().isEmpty()) {
            throw new NotFoundException(
                    "Tube %d is a real one.".formatted(tube.kept().id()));
        }
        return trace.practice(tube, at);
    }

    /** Points as text or as a file: all or none. */
    @PostMapping("/drawer/{id}/curves/lines")
    ModelAndView lines(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "file", required = false) MultipartFile file)
            throws IOException {
        TraceService.OnStand tube = trace.tube(id);
        String text = file == null || file.isEmpty() ? typed.getOrDefault("lines", "") : TextUpload.text(file);
        CsvTable<TraceRow> table = TraceCsv.parse(text, listed(tube));
        if (table.faults().isEmpty() && !table.rows().isEmpty()) {
            trace.keep(id, table.rows().stream().map(TraceRow::point).toList(), PointSource.FILE);
            return new ModelAndView("redirect:" + new TraceForm(typed).page(id));
        }
        Faults faults = new Faults(words);
        if (table.faults().isEmpty()) {
            faults.say("lines", "page.trace.no-lines");
        }
        Map<String, String> kept = new HashMap<>(typed);
        kept.put("lines", text);
        return page(tube, kept, faults, table.faults());
    }

    @PostMapping("/drawer/{id}/curves/{point}")
    ModelAndView leave(
            @PathVariable long id,
            @PathVariable long point,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "true") boolean out) {
        trace.leave(id, point, out);
        return new ModelAndView("redirect:" + new TraceForm(typed).page(id) + "#points");
    }

    /** A made-up tube of the same type, to practise on. */
    @PostMapping("/drawer/{id}/curves/practice")
    ModelAndView practice(@PathVariable long id) {
        long made = trace.makePractice(id, "practice", words.message("page.trace.made-up"));
        return new ModelAndView("redirect:/drawer/" + made + "/curves");
    }

    @GetMapping("/drawer/{id}/curves.csv")
    ResponseEntity<String> csv(@PathVariable long id) {
        return Download.of(Download.CSV, "curves-%d.csv".formatted(id))
                .body(TraceCsv.write(trace.tube(id).points().stream()
                        .filter(row -> !row.leftOut())
                        .map(PointRow::point)
                        .toList()));
    }

    private static TubeType listed(TraceService.OnStand tube) {
        return tube.type()
                .orElseThrow(() -> new NotFoundException("The catalogue lists no %s."
                        .formatted(tube.kept().tube().type())));
    }

    private ModelAndView page(
            TraceService.OnStand tube, Map<String, String> typed, Faults faults, List<CsvTable.Fault> wrong) {
        ModelAndView page = new ModelAndView("trace/page")
                .addObject(
                        "rail",
                        Rail.plain(words.message("page.trace.title", tube.kept().name())))
                .addObject("tube", tube)
                .addObject("typed", typed)
                .addObject("faults", faults)
                .addObject(
                        "wrong",
                        wrong.stream()
                                .map(fault -> new Wrong(fault.line(), fault.column(), words.say(fault.says())))
                                .toList())
                .addObject("view", null);
        if (tube.type().isPresent()) {
            drawn(page, tube, tube.type().get(), new TraceForm(typed), faults);
        }
        page.setStatus(faults.any() || !wrong.isEmpty() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    /** A fault of a line. */
    record Wrong(long line, String column, String message) {}

    private void drawn(ModelAndView page, TraceService.OnStand tube, TubeType type, TraceForm form, Faults faults) {
        boolean tied = form.tied() && !type.isTriode();
        OptionalDouble held = form.screen(faults);
        Optional<TubeModel> expected = tube.expected();
        TracePlan plan = expected.map(model -> TracePlan.of(
                        new TracePlan.Stand(
                                type, tube.typical().map(KnownModel::model).orElse(model), model, tied),
                        held,
                        tube.counted()))
                .orElse(new TracePlan(List.of()));
        OptionalDouble screen = type.isTriode() || tied
                ? OptionalDouble.empty()
                : plan.steps().isEmpty()
                        ? held.isPresent() ? held : screenOf(tube)
                        : plan.steps().get(0).screen();
        page.addObject("view", TraceView.of(tube, plan, screen, words))
                .addObject("next", NextPoint.of(plan, form.of("step"), type, words))
                .addObject("doubts", doubts(tube, type))
                .addObject("tied", tied)
                .addObject("triode", type.isTriode())
                .addObject("screen", screen.isPresent() ? Figures.plain(screen.getAsDouble()) : "")
                .addObject(
                        "says",
                        tube.own()
                                .filter(own -> own.traced().isPresent())
                                .map(own -> words.say(own.model().trust()))
                                .orElse(""));
    }

    /** Of the newest point, as long as it counts. */
    private List<String> doubts(TraceService.OnStand tube, TubeType type) {
        List<PointRow> points = tube.points();
        return points.isEmpty() || points.get(points.size() - 1).leftOut()
                ? List.of()
                : words.say(PointDoubt.of(
                        points.get(points.size() - 1).point(),
                        type,
                        tube.typical().map(KnownModel::model)));
    }

    /** Of the newest point, where no plan tells one. */
    private static OptionalDouble screenOf(TraceService.OnStand tube) {
        List<PointRow> points = tube.points();
        return points.isEmpty()
                ? OptionalDouble.empty()
                : points.get(points.size() - 1).point().screen();
    }
}
