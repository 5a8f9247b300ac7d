package yellowrail.web.drawer;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.drawer.DrawerCsv;
import yellowrail.core.drawer.DrawerFinding;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.Microphony;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.TubeState;
import yellowrail.web.amp.AmpService;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.seat.SeatService;
import yellowrail.web.words.Words;

/** The drawer: the list, a tube, its tests, the file in and out. */
@Controller
class DrawerController {

    private static final int PAGE = 100;

    private final DrawerService drawer;
    private final SeatService seats;
    private final AmpService amps;
    private final Words words;

    DrawerController(DrawerService drawer, SeatService seats, AmpService amps, Words words) {
        this.drawer = drawer;
        this.seats = seats;
        this.amps = amps;
        this.words = words;
    }

    @GetMapping("/drawer")
    ModelAndView list(
            @RequestParam(defaultValue = "") String type,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "0") int page) {
        Map<Long, String> suspects = drawer.suspects();
        Map<Long, String> sits = sits();
        String wanted = q.strip().toLowerCase(Locale.ROOT);
        List<DrawerLine> lines = drawer.all(type).stream()
                .map(kept -> DrawerLine.of(
                        kept, sits.getOrDefault(kept.id(), ""), Optional.ofNullable(suspects.get(kept.id())), words))
                .filter(line -> wanted.isEmpty()
                        || (line.label() + " " + line.maker() + " " + line.state() + " " + line.sits())
                                .toLowerCase(Locale.ROOT)
                                .contains(wanted))
                .toList();
        int from = Math.max(0, Math.min(page, (lines.size() - 1) / PAGE)) * PAGE;
        return new ModelAndView("drawer/page")
                .addObject("rail", Rail.plain(words.message("page.drawer.title")))
                .addObject("types", drawer.types())
                .addObject("type", type)
                .addObject("q", q)
                .addObject("lines", lines.subList(from, Math.min(lines.size(), from + PAGE)))
                .addObject("total", lines.size())
                .addObject("page", from / PAGE)
                .addObject("more", from + PAGE < lines.size())
                .addObject("amps", amps.all());
    }

    private Map<Long, String> sits() {
        Map<Long, String> names = amps.all().stream()
                .collect(Collectors.toMap(amp -> amp.id(), amp -> amp.sheet().name()));
        return seats.all().stream()
                .filter(seat -> seat.until() == null)
                .collect(Collectors.toMap(
                        seat -> seat.tubeId(),
                        seat -> words.message(
                                "page.drawer.socket-of",
                                seat.socket(),
                                names.getOrDefault(seat.ampId(), words.message("page.drawer.practice-amp")))));
    }

    @GetMapping("/drawer/new")
    ModelAndView blank(@RequestParam(defaultValue = "") String type) {
        return form("/drawer", Map.of("type", type), Map.of(), true);
    }

    @PostMapping("/drawer")
    ModelAndView add(@RequestParam Map<String, String> typed) {
        DrawerRow row = read(typed);
        if (!row.faults().isEmpty()) {
            return form("/drawer", typed, said(row.faults()), true);
        }
        Optional<Long> added = drawer.add(row);
        return added.isPresent()
                ? new ModelAndView("redirect:/drawer/" + added.get())
                : form(
                        "/drawer",
                        typed,
                        Map.of(
                                "label",
                                words.message(
                                        "page.drawer.label-taken", row.tube().type())),
                        true);
    }

    @GetMapping("/drawer/{id}")
    ModelAndView tube(@PathVariable long id) {
        return tube(id, drawer.tube(id), Map.of(), Map.of(), HttpStatus.OK);
    }

    private ModelAndView tube(
            long id, Kept kept, Map<String, String> typed, Map<String, String> faults, HttpStatus status) {
        ModelAndView page = TubePage.of(kept, drawer.tests(id), drawer.stays(id), words)
                .addObject(
                        "rail",
                        Rail.plain("%s %s"
                                .formatted(kept.tube().type(), kept.tube().label())));
        page.setStatus(status);
        return choices(page, typed, faults);
    }

    @GetMapping("/drawer/{id}/edit")
    ModelAndView edit(@PathVariable long id) {
        List<String> written = new DrawerRow(drawer.tube(id).tube(), Optional.empty(), Map.of()).written();
        return form(
                "/drawer/" + id,
                DrawerRow.COLUMNS.stream()
                        .collect(Collectors.toMap(
                                column -> column, column -> written.get(DrawerRow.COLUMNS.indexOf(column)))),
                Map.of(),
                false);
    }

    @PostMapping("/drawer/{id}")
    ModelAndView change(@PathVariable long id, @RequestParam Map<String, String> typed) {
        drawer.tube(id);
        DrawerRow row =
                DrawerRow.read(column -> DrawerRow.OF_A_TEST.contains(column) ? "" : typed.getOrDefault(column, ""));
        if (!row.faults().isEmpty()) {
            return form("/drawer/" + id, typed, said(row.faults()), false);
        }
        return drawer.change(id, row.tube())
                ? new ModelAndView("redirect:/drawer/" + id)
                : form(
                        "/drawer/" + id,
                        typed,
                        Map.of(
                                "label",
                                words.message(
                                        "page.drawer.label-taken-by-another",
                                        row.tube().type())),
                        false);
    }

    @PostMapping("/drawer/{id}/tests")
    ModelAndView addTest(@PathVariable long id, @RequestParam Map<String, String> typed) {
        Kept kept = drawer.tube(id);
        DrawerRow row = DrawerRow.read(column -> switch (column) {
            case "type" -> kept.tube().type();
            case "label" -> kept.tube().label();
            default -> DrawerRow.OF_A_TEST.contains(column) ? typed.getOrDefault(column, "") : "";
        });
        if (!row.faults().isEmpty() || row.test().isEmpty()) {
            return tube(
                    id,
                    kept,
                    typed,
                    row.test().isEmpty()
                            ? Map.of("milliamps", words.message("page.drawer.tester-showed"))
                            : said(row.faults()),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        drawer.addTest(id, row.test().get());
        return new ModelAndView("redirect:/drawer/" + id);
    }

    @GetMapping("/drawer.csv")
    ResponseEntity<String> export() {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"tube-drawer.csv\"")
                .body(drawer.csv());
    }

    /** Takes a file whole; with bad rows nothing is stored before the builder says so. */
    @PostMapping("/drawer/import")
    ModelAndView take(
            @RequestParam(name = "file", required = false) MultipartFile file,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String keep)
            throws IOException {
        String read = file == null ? text : new String(file.getBytes(), StandardCharsets.UTF_8);
        DrawerCsv csv = DrawerCsv.parse(read);
        boolean kept = !csv.rows().isEmpty() && (csv.faults().isEmpty() || keep.equals("good"));
        if (kept) {
            drawer.keep(csv.rows());
        }
        ModelAndView page = new ModelAndView("drawer/import")
                .addObject("rail", Rail.plain(words.message("page.drawer.from-file")))
                .addObject("rows", csv.rows().size())
                .addObject("more", csv.more())
                .addObject("bad", csv.faults().stream().map(this::told).toList())
                .addObject("kept", kept)
                .addObject("text", kept ? "" : read);
        page.setStatus(kept ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private static DrawerRow read(Map<String, String> typed) {
        return DrawerRow.read(column -> typed.getOrDefault(column, ""));
    }

    private ModelAndView form(String action, Map<String, String> typed, Map<String, String> faults, boolean withTest) {
        ModelAndView page = choices(new ModelAndView("drawer/form"), typed, faults)
                .addObject("rail", Rail.plain(words.message(withTest ? "page.drawer.new" : "page.drawer.edit")))
                .addObject("action", action)
                .addObject("withTest", withTest);
        page.setStatus(faults.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private ModelAndView choices(ModelAndView page, Map<String, String> typed, Map<String, String> faults) {
        Faults beside = new Faults(words);
        faults.forEach(beside::add);
        return page.addObject("typed", typed)
                .addObject("faults", beside)
                .addObject("states", list(TubeState.values()))
                .addObject("taps", list(Microphony.values()))
                .addObject("currents", list(TesterReading.Current.values()));
    }

    /** As a file writes them; what is not noted is blank there. */
    private List<Choice> list(Enum<?>[] values) {
        return Stream.of(values)
                .map(value -> value == Microphony.UNKNOWN
                        ? new Choice("", words.message("page.drawer.not-noted"))
                        : new Choice(DrawerRow.written(value), words.name(value)))
                .toList();
    }

    private Map<String, String> said(Map<String, DrawerFinding> faults) {
        return faults.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, fault -> words.say(fault.getValue())));
    }

    /** A fault of a file. */
    record Bad(long line, String column, String message) {}

    private Bad told(DrawerCsv.Fault fault) {
        return new Bad(fault.line(), fault.column(), words.say(fault.says()));
    }
}
