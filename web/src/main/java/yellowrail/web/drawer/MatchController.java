package yellowrail.web.drawer;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.drawer.AmpOutlook;
import yellowrail.core.drawer.Comparison;
import yellowrail.core.match.Matching;
import yellowrail.core.quantity.Unit;
import yellowrail.core.tube.TubeType;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.bounds.Deadline;
import yellowrail.web.form.Faults;
import yellowrail.web.form.FormReader;
import yellowrail.web.layout.Rail;
import yellowrail.web.run.RunService;
import yellowrail.web.words.Words;

/** The best groups of a selection, and what each would do in an amp. */
@Controller
class MatchController {

    /** More go through matching, which tells why. */
    private static final int MOST_PLACED = 200;

    private final DrawerService drawer;
    private final AmpService amps;
    private final RunService runs;
    private final OwnTubeService own;
    private final Words words;

    MatchController(DrawerService drawer, AmpService amps, RunService runs, OwnTubeService own, Words words) {
        this.drawer = drawer;
        this.amps = amps;
        this.runs = runs;
        this.own = own;
        this.words = words;
    }

    /**
     * @param tubes ticked ones; all that the filter shows if there are none
     * @param tolerance greatest spread of current within a group, mA; blank for any
     * @param ampId the amp to foretell; 0 for none
     */
    @PostMapping("/drawer/match")
    ModelAndView match(
            @RequestParam(name = "tube", defaultValue = "") List<Long> tubes,
            @RequestParam(defaultValue = "") String type,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "2") int size,
            @RequestParam(defaultValue = "") String tolerance,
            @RequestParam(name = "amp", defaultValue = "0") long ampId) {
        Faults faults = new Faults(words);
        OptionalDouble apart = new FormReader(faults).number("tolerance", tolerance, Unit.MILLIAMP, 0, 1000);
        if (size < Matching.LEAST_GROUP || size > Matching.MOST_GROUP) {
            faults.say("size", "page.match.size", Matching.LEAST_GROUP, Matching.MOST_GROUP);
        }
        DrawerService.Selection selection = tubes.isEmpty()
                ? drawer.select(Matching.MOST_TUBES, new DrawerFilter(type, q))
                : new DrawerService.Selection(tubes.size(), drawer.tubes(tubes));
        if (selection.count() > Matching.MOST_TUBES) {
            faults.say("type", "page.match.too-many", selection.count(), Matching.MOST_TUBES);
        }
        List<Kept> selected = selection.first();
        String name = commonest(selected);
        Optional<TubeType> known = drawer.type(name);
        if (known.isEmpty()) {
            faults.add(
                    "type",
                    selected.isEmpty()
                            ? words.message("page.match.nothing-selected")
                            : words.say(drawer.unlisted(name)));
        }
        ModelAndView page = page(faults, tubes, type, q, size, tolerance, ampId);
        if (faults.any()) {
            return page;
        }
        List<Kept> alike = selected.stream()
                .filter(kept -> kept.tube().type().equals(name))
                .toList();
        Comparison comparison =
                Comparison.of(known.get(), alike.stream().map(Kept::tested).toList());
        Matching.Result result = new Matching(comparison.candidates(), size, apart).find(Deadline.fromNow());
        Optional<Amp> amp = ampId == 0 ? Optional.empty() : Optional.of(amps.newest(ampId));
        Map<Long, String> suspects = drawer.suspects(alike);
        Map<String, String> doubts = new HashMap<>();
        comparison.remarks().forEach((label, remarks) -> doubts.put(label, String.join("; ", words.say(remarks))));
        alike.stream()
                .filter(kept -> suspects.containsKey(kept.id()))
                .forEach(kept -> doubts.merge(kept.tube().label(), suspects.get(kept.id()), "%s; %s"::formatted));
        return page.addObject(
                "view",
                MatchView.of(
                        known.get(),
                        comparison,
                        doubts,
                        words,
                        result,
                        amp,
                        amp.map(runs::lastKnown).flatMap(AmpOutlook::of),
                        alike.stream()
                                .collect(Collectors.toMap(kept -> kept.tube().label(), Kept::id)),
                        own::traced,
                        selected.size() - alike.size()));
    }

    private ModelAndView page(
            Faults faults, List<Long> tubes, String type, String q, int size, String tolerance, long ampId) {
        ModelAndView page = new ModelAndView("drawer/match")
                .addObject("rail", Rail.plain(words.message("page.match.title")))
                .addObject("faults", faults)
                .addObject("type", type)
                .addObject("q", q)
                .addObject("size", size)
                .addObject("tolerance", tolerance)
                .addObject("tubes", tubes)
                .addObject("amps", amps.names())
                .addObject("ampId", ampId);
        page.setStatus(faults.any() ? HttpStatus.UNPROCESSABLE_CONTENT : HttpStatus.OK);
        return page;
    }

    /** From any selection to a seating: the nearest of the ticked tubes, or of all shown that are free and sound. */
    @PostMapping("/drawer/place")
    ModelAndView place(
            @RequestParam(name = "tube", defaultValue = "") List<Long> tubes,
            @RequestParam(defaultValue = "") String type,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(name = "amp", defaultValue = "0") long ampId) {
        Faults faults = new Faults(words);
        if (ampId == 0) {
            faults.say("amp", "page.match.which-amp");
        }
        List<Long> chosen = !tubes.isEmpty() || faults.any()
                ? tubes
                : drawer.free(
                        Matching.MOST_TUBES,
                        new DrawerFilter(type, q),
                        ampId,
                        amps.newest(ampId).sheet().tubeType());
        if (!faults.any() && (chosen.isEmpty() || chosen.size() > MOST_PLACED)) {
            faults.say("type", "page.match.place-of", MOST_PLACED, chosen.size());
        }
        if (faults.any()) {
            return page(faults, tubes, type, q, 2, "", ampId);
        }
        return new ModelAndView("redirect:/amps/%d/placing?tubes=%s"
                .formatted(ampId, chosen.stream().map(String::valueOf).collect(Collectors.joining(","))));
    }

    private static String commonest(List<Kept> selected) {
        Map<String, Long> counts = selected.stream()
                .collect(Collectors.groupingBy(kept -> kept.tube().type(), Collectors.counting()));
        return counts.entrySet().stream()
                .max(Comparator.comparingLong(Map.Entry::getValue))
                .map(Map.Entry::getKey)
                .orElse("");
    }
}
