package yellowrail.web.bench;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
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
     */
    @GetMapping("/")
    ModelAndView bench(@RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String away) {
        ModelAndView page = page(find, away.equals("all"));
        if (away.matches("\\d{1,18}")) {
            long id = Long.parseLong(away);
            amps.newest(List.of(id)).values().stream()
                    .filter(amp -> amps.away().contains(id))
                    .forEach(amp -> page.addObject("left", amp));
        }
        return page;
    }

    private ModelAndView page(String find, boolean allAway) {
        return new ModelAndView("bench/page")
                .addObject("rail", Rail.plain(words.message("page.bench.title")))
                .addObject("bench", bench.view(find, allAway));
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
        ModelAndView again = page("", false).addObject("fault", words.message("page.bench.still-open", name));
        again.setStatus(HttpStatus.CONFLICT);
        return again;
    }
}
