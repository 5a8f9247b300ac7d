package yellowrail.web.bench;

import java.util.Set;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.amp.Amp;
import yellowrail.web.amp.AmpService;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The first page, and what stands on it. */
@Controller
class BenchController {

    private final BenchService bench;
    private final AmpService amps;
    private final Words words;

    BenchController(BenchService bench, AmpService amps, Words words) {
        this.bench = bench;
        this.amps = amps;
        this.words = words;
    }

    /**
     * @param find a part of a name
     * @param away all, for those that have left the bench; or the number of the one that left it just now
     * @param removed the number of the one that was deleted just now
     */
    @GetMapping("/")
    ModelAndView bench(
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "") String away,
            @RequestParam(defaultValue = "") String removed) {
        boolean allAway = away.equals("all");
        Set<Long> deleted = amps.removed();
        ModelAndView page = page(find, allAway, deleted)
                .addObject("left", named(away, amps::away))
                .addObject("gone", named(removed, () -> deleted));
        return allAway ? page.addObject("deleted", amps.newest(deleted).values()) : page;
    }

    /** The amp of a number, if it is one of these. */
    private Amp named(String number, Supplier<Set<Long>> of) {
        return number.matches("\\d{1,18}") && of.get().contains(Long.parseLong(number))
                ? amps.newest(Long.parseLong(number))
                : null;
    }

    private ModelAndView page(String find, boolean allAway, Set<Long> deleted) {
        return new ModelAndView("bench/page")
                .addObject("rail", Rail.plain(words.message("page.bench.title")))
                .addObject("bench", bench.view(find, allAway))
                .addObject("anyDeleted", !deleted.isEmpty());
    }

    /** @param away false to bring it back */
    @PostMapping("/amps/{id}/away")
    ModelAndView putAway(@PathVariable long id, @RequestParam(defaultValue = "true") boolean away) {
        String name = amps.newest(id).sheet().name();
        if (!away) {
            bench.bringBack(id);
            return new ModelAndView("redirect:/");
        }
        if (bench.putAway(id)) {
            return new ModelAndView("redirect:/?away=" + id);
        }
        ModelAndView again =
                page("", false, amps.removed()).addObject("fault", words.message("page.bench.still-open", name));
        again.setStatus(HttpStatus.CONFLICT);
        return again;
    }

    /** @param removed false to bring it back to those that have left the bench */
    @PostMapping("/amps/{id}/removed")
    ModelAndView remove(@PathVariable long id, @RequestParam(defaultValue = "true") boolean removed) {
        amps.remove(id, removed);
        return new ModelAndView(removed ? "redirect:/?away=all&removed=" + id : "redirect:/?away=all");
    }
}
