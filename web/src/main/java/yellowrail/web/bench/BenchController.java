package yellowrail.web.bench;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import yellowrail.web.layout.Rail;

/** The first page. */
@Controller
class BenchController {

    private final BenchService bench;

    BenchController(BenchService bench) {
        this.bench = bench;
    }

    @GetMapping("/")
    String bench(Model model) {
        model.addAttribute("rail", Rail.plain("Bench"));
        model.addAttribute("lines", bench.lines());
        return "bench/page";
    }
}
