package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.boot.webmvc.autoconfigure.error.ErrorViewResolver;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.words.Words;

/** Whatever goes wrong is told in our look, on one page. */
@Component
class ErrorPages implements ErrorViewResolver {

    private final Words words;

    ErrorPages(Words words) {
        this.words = words;
    }

    @Override
    public ModelAndView resolveErrorView(HttpServletRequest request, HttpStatus status, Map<String, Object> model) {
        return new ModelAndView(
                "error",
                Map.of(
                        "says",
                        words.message(WordedErrors.key(status.value())),
                        "status",
                        status.value(),
                        "rail",
                        Rail.plain(words.message(
                                status == HttpStatus.NOT_FOUND ? "page.error.not-here" : "page.error.did-not-work"))),
                status);
    }
}
