package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.validation.BindException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import yellowrail.web.postgres.SqlState;
import yellowrail.web.words.Vocabularies;
import yellowrail.web.words.Words;

/** What every page needs and what every page may run into. */
@ControllerAdvice
public class LayoutAdvice {

    private final Vocabularies vocabularies;
    private final Words words;
    private final Edition edition;

    public LayoutAdvice(Vocabularies vocabularies, Words words, Edition edition) {
        this.vocabularies = vocabularies;
        this.words = words;
        this.edition = edition;
    }

    /** {@code light}, {@code dim}, or blank to follow the system. */
    @ModelAttribute("theme")
    String theme(@CookieValue(name = ThemeController.COOKIE, defaultValue = "") String theme) {
        return theme.equals("light") || theme.equals("dim") ? theme : "";
    }

    /** What the addresses of styles and scripts begin with. */
    @ModelAttribute("files")
    String files() {
        return edition.address();
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

    /** An address with letters where a number belongs leads nowhere; elsewhere it is no request of ours. */
    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    void wrongAddress(MethodArgumentTypeMismatchException e, HttpServletResponse response) throws IOException {
        boolean inThePath = e.getParameter().hasParameterAnnotation(PathVariable.class);
        response.sendError(inThePath ? HttpStatus.NOT_FOUND.value() : HttpStatus.BAD_REQUEST.value());
    }

    /** Parameters that cannot be decoded. */
    @ExceptionHandler(InvalidParameterException.class)
    void unreadable(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }

    /** A file of more than fits where it was sent. */
    @ExceptionHandler(MaxUploadSizeExceededException.class)
    void tooLong(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.CONTENT_TOO_LARGE.value());
    }

    /** Parts without a boundary. The page of errors would try to read them again. */
    @ExceptionHandler(MultipartException.class)
    ResponseEntity<String> unreadableParts() {
        return ResponseEntity.badRequest().contentType(MediaType.TEXT_PLAIN).body(words.message("page.error.parts"));
    }

    /** A form whose rows or fields do not fit together was not made by our pages. */
    @ExceptionHandler(BindException.class)
    void wrongForm(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }

    /** Text with a character that the database has no place for, which nobody types. */
    @ExceptionHandler(DataIntegrityViolationException.class)
    void unstorable(DataIntegrityViolationException e, HttpServletResponse response) throws IOException {
        if (!(e.getMostSpecificCause() instanceof SQLException cause && SqlState.NO_CHARACTER.isOf(cause))) {
            throw e;
        }
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }

    /** Two have stored the same at one moment, or one has pressed twice: the other was first. */
    @ExceptionHandler(DuplicateKeyException.class)
    void atTheSameMoment(HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.CONFLICT.value());
    }
}
