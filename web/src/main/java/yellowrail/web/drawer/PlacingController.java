package yellowrail.web.drawer;

import java.util.Arrays;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.core.station.Station;
import yellowrail.web.amp.Amp;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** Who sits in which socket of an amp: shown, and logged when it is done. */
@Controller
class PlacingController {

    private final PlacingService placing;
    private final Words words;

    PlacingController(PlacingService placing, Words words) {
        this.placing = placing;
        this.words = words;
    }

    /** @param tubes numbers of the drawer, as many as there are sockets or more; blank for those that sit in the amp */
    @GetMapping("/amps/{id}/placing")
    ModelAndView show(@PathVariable long id, @RequestParam(defaultValue = "") String tubes) {
        return page(id, tubes, "", HttpStatus.OK);
    }

    @PostMapping("/amps/{id}/placing")
    ModelAndView place(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String tubes,
            @RequestParam(defaultValue = "") String by) {
        PlacingService.Outcome outcome = placing.place(id, numbers(tubes), by);
        return outcome.fault().isEmpty()
                ? new ModelAndView("redirect:/runs/%d?at=%s".formatted(outcome.run(), Station.TUBES.token()))
                : page(id, tubes, outcome.fault(), HttpStatus.CONFLICT);
    }

    private ModelAndView page(long id, String tubes, String fault, HttpStatus status) {
        Amp amp = placing.amp(id);
        PlacingService.Proposal proposal = placing.propose(amp, numbers(tubes));
        ModelAndView page = new ModelAndView("drawer/placing")
                .addObject("rail", Rail.ofAmp(id, amp.sheet().name(), Station.TUBES, words))
                .addObject("id", id)
                .addObject("tubes", tubes)
                .addObject("fault", fault)
                .addObject("view", PlacingView.of(amp, proposal, words));
        page.setStatus(status);
        return page;
    }

    private static List<Long> numbers(String tubes) {
        return Arrays.stream(tubes.split(","))
                .filter(number -> number.matches("\\d{1,18}"))
                .map(Long::valueOf)
                .distinct()
                .toList();
    }
}
