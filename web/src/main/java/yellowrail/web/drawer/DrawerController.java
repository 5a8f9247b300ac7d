package yellowrail.web.drawer;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.drawer.DrawerFinding;
import yellowrail.core.drawer.DrawerRow;
import yellowrail.core.drawer.Microphony;
import yellowrail.core.drawer.TesterReading;
import yellowrail.core.drawer.TubeState;
import yellowrail.core.finding.Finding;
import yellowrail.web.amp.AmpService;
import yellowrail.web.form.Choice;
import yellowrail.web.form.Faults;
import yellowrail.web.layout.Rail;
import yellowrail.web.sitting.Sat;
import yellowrail.web.words.Words;

/** The drawer: the list, a tube, its tests, the file in and out. */
@Controller
class DrawerController {

    private final DrawerService drawer;
    private final OwnTubeService own;
    private final AmpService amps;
    private final Words words;

    DrawerController(DrawerService drawer, OwnTubeService own, AmpService amps, Words words) {
        this.drawer = drawer;
        this.own = own;
        this.amps = amps;
        this.words = words;
    }

    /** @param removed all, for those that were deleted; or the number of the one that was deleted just now */
    @GetMapping("/drawer")
    ModelAndView list(
            @RequestParam(defaultValue = "") String type,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "") String removed) {
        DrawerFilter filter = new DrawerFilter(type, q, removed.equals("all"));
        ModelAndView list = new ModelAndView("drawer/page")
                .addObject("rail", Rail.plain(words.message("page.drawer.title")))
                .addObject("types", drawer.types())
                .addObject("filter", filter)
                .addObject("found", drawer.find(filter, page))
                .addObject("amps", amps.names());
        if (removed.matches("\\d{1,18}")) {
            drawer.tubes(List.of(Long.parseLong(removed))).stream()
                    .filter(kept -> drawer.isRemoved(kept.id()))
                    .forEach(kept -> list.addObject("gone", kept));
        }
        return list;
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
        List<Sat> stays = drawer.sat(id);
        List<OwnTubeService.InRun> runs = own.runs(stays);
        ModelAndView page = TubePage.of(kept, drawer.tests(id), stays, words)
                .addObject("runs", TubeRuns.of(runs, words))
                .addObject("amps", amps.names())
                .addObject("removed", drawer.isRemoved(id))
                .addObject("beside", own.of(id, runs).map(this::beside).orElse(""))
                .addObject("rail", Rail.plain(kept.name()));
        page.setStatus(status);
        return choices(page, typed, faults);
    }

    private String beside(OwnTubeService.Own found) {
        List<Finding> says = new ArrayList<>();
        found.beside().ifPresent(tube -> {
            says.add(new DrawerFinding.BesideItsType(
                    found.type(),
                    tube.current(),
                    tube.currentPlusMinus(),
                    tube.mu(),
                    tube.muPlusMinus(),
                    found.rests().tests(),
                    found.rests().settings(),
                    found.rests().points()));
            if (!tube.isUsual()) {
                says.add(new DrawerFinding.FarFromItsType());
            }
        });
        List<String> said = new ArrayList<>(words.say(says));
        found.traced()
                .ifPresent(points -> said.add(words.message(
                        "page.trace.its-curves", words.say(found.model().trust()))));
        return String.join(" ", said);
    }

    @GetMapping("/drawer/{id}/edit")
    ModelAndView edit(@PathVariable long id) {
        Kept kept = drawer.tube(id);
        return form("/drawer/" + id, versioned(written(kept), kept.version()), Map.of(), false);
    }

    private static Map<String, String> written(Kept kept) {
        List<String> written = new DrawerRow(kept.tube(), Optional.empty(), Map.of()).written();
        return DrawerRow.COLUMNS.stream()
                .collect(Collectors.toMap(column -> column, column -> written.get(DrawerRow.COLUMNS.indexOf(column))));
    }

    private static Map<String, String> versioned(Map<String, String> typed, int version) {
        Map<String, String> fields = new HashMap<>(typed);
        fields.put("version", String.valueOf(version));
        return fields;
    }

    @PostMapping("/drawer/{id}")
    ModelAndView change(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "0") int version) {
        drawer.tube(id);
        DrawerRow row =
                DrawerRow.read(column -> DrawerRow.OF_A_TEST.contains(column) ? "" : typed.getOrDefault(column, ""));
        if (!row.faults().isEmpty()) {
            return form("/drawer/" + id, typed, said(row.faults()), false);
        }
        return switch (drawer.change(id, version, row.tube())) {
            case MADE -> new ModelAndView("redirect:/drawer/" + id);
            case LABEL_TAKEN ->
                form(
                        "/drawer/" + id,
                        typed,
                        Map.of(
                                "label",
                                words.message(
                                        "page.drawer.label-taken-by-another",
                                        row.tube().type())),
                        false);
            case CHANGED_MEANWHILE -> conflict(drawer.tube(id), typed);
        };
    }

    /** What was typed stays in the form; what somebody else has stored since is told beside it. */
    private ModelAndView conflict(Kept stored, Map<String, String> typed) {
        Map<String, String> told = written(stored);
        DrawerRow.OF_A_TEST.forEach(told::remove);
        Faults faults = new Faults(words);
        faults.storedMeanwhile(told, typed);
        if (!faults.any()) {
            return new ModelAndView("redirect:/drawer/" + stored.id());
        }
        ModelAndView page = form("/drawer/" + stored.id(), versioned(typed, stored.version()), faults.byField(), false);
        page.setStatus(HttpStatus.CONFLICT);
        return page;
    }

    /** @param removed false to bring it back */
    @PostMapping("/drawer/{id}/removed")
    ModelAndView remove(@PathVariable long id, @RequestParam(defaultValue = "true") boolean removed) {
        if (drawer.remove(id, removed)) {
            return new ModelAndView("redirect:/drawer" + (removed ? "?removed=" : "/") + id);
        }
        return tube(id, drawer.tube(id), Map.of(), Map.of(), HttpStatus.CONFLICT)
                .addObject("fault", words.message("page.drawer.removed.sits"));
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
                .addObject("offers", drawer.offers())
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

    private Map<String, String> said(Map<String, Finding> faults) {
        return faults.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, fault -> words.say(fault.getValue())));
    }
}
