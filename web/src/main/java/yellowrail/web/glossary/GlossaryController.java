package yellowrail.web.glossary;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.NotFoundException;
import yellowrail.web.layout.Rail;
import yellowrail.web.words.Words;

/** The glossary, whole or a term of it. */
@Controller
class GlossaryController {

    private final Words words;

    GlossaryController(Words words) {
        this.words = words;
    }

    /** A term as it is shown. */
    record Entry(String token, String name, String says) {}

    @GetMapping("/glossary")
    ModelAndView all() {
        List<Entry> entries = Arrays.stream(Term.values())
                .map(this::entry)
                .sorted(Comparator.comparing(Entry::name, String.CASE_INSENSITIVE_ORDER))
                .toList();
        return drawn("glossary/page")
                .addObject("entries", entries)
                .addObject("rail", Rail.plain(words.message("page.glossary.title")));
    }

    /** One term, to be shown where it was touched. */
    @GetMapping("/glossary/{term}")
    ModelAndView one(@PathVariable String term) {
        Entry entry = Term.of(term)
                .map(this::entry)
                .orElseThrow(() -> new NotFoundException("No such term is explained: " + term + "."));
        return drawn("glossary/entry :: alone").addObject("entry", entry);
    }

    private Entry entry(Term term) {
        return new Entry(
                term.token(),
                words.message("page.glossary.name." + term.token()),
                words.message("page.glossary.says." + term.token()));
    }

    private static ModelAndView drawn(String view) {
        return new ModelAndView(view)
                .addObject("classA", Waves.of(1))
                .addObject("classAb", Waves.of(0.5))
                .addObject("tooCold", Waves.tooCold());
    }
}
