package yellowrail.web.licence;

import java.io.IOException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The licences of all that ships. */
@Controller
class LicenceController {

    private final Words words;

    LicenceController(Words words) {
        this.words = words;
    }

    @GetMapping("/licences")
    ModelAndView licences() throws IOException {
        return new ModelAndView("licence/page")
                .addObject("parts", Part.all())
                .addObject("rail", Rail.plain(words.message("page.licences.title")));
    }
}
