package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.validation.BindException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import yellowrail.web.words.Vocabularies;

/** What every page needs and what every page may run into. */
@ControllerAdvice
public class LayoutAdvice {

    private final Vocabularies vocabularies;

    public LayoutAdvice(Vocabularies vocabularies) {
        this.vocabularies = vocabularies;
    }

    /** {@code light}, {@code dim}, or blank to follow the system. */
    @ModelAttribute("theme")
    String theme(@CookieValue(name = ThemeController.COOKIE, defaultValue = "") String theme) {
        return theme.equals("light") || theme.equals("dim") ? theme : "";
    }

    /** The language of the page, as browsers write it. */
    @ModelAttribute("language")
    String language() {
        return vocabularies.present().toLanguageTag();
    }

    /** What else the page could speak. */
    @ModelAttribute("otherWords")
    List<Vocabularies.Other> otherWords() {
        return vocabularies.others(vocabularies.present());
    }

    /** An address with letters where a number belongs leads nowhere. */
    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    void wrongAddress(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.NOT_FOUND.value());
    }

    /** A form whose rows or fields do not fit together was not made by our pages. */
    @ExceptionHandler(BindException.class)
    void wrongForm(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }
}
