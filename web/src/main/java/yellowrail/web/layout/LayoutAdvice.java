package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.validation.BindException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import yellowrail.web.postgres.SqlState;
import yellowrail.web.words.Words;

/** What every page may run into. */
@ControllerAdvice
public class LayoutAdvice {

    private final Words words;

    public LayoutAdvice(Words words) {
        this.words = words;
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
