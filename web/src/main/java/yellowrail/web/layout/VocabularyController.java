package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.LocaleResolver;
import yellowrail.web.words.Vocabularies;

/** The vocabulary, kept by the browser. */
@Controller
class VocabularyController {

    private final LocaleResolver locales;
    private final Vocabularies vocabularies;

    VocabularyController(LocaleResolver locales, Vocabularies vocabularies) {
        this.locales = locales;
        this.vocabularies = vocabularies;
    }

    /** @param words the tag of a vocabulary; anything else goes by the browser again */
    @PostMapping("/words")
    ResponseEntity<Void> choose(
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request,
            HttpServletResponse response) {
        Locale chosen = Locale.forLanguageTag(words);
        locales.setLocale(request, response, vocabularies.all().contains(chosen) ? chosen : null);
        return Back.to(back).build();
    }
}
