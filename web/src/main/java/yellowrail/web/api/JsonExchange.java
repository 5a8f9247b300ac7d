package yellowrail.web.api;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import yellowrail.web.form.Faults;
import yellowrail.web.words.Words;

/** The way every JSON request goes: read whole, all faults told in one problem document, computed only without any. */
@Component
class JsonExchange {

    /** Some thousands of tubes; anything longer is a mistake. */
    private static final int LONGEST_BODY = 1 << 20;

    /** A fault as it is answered. */
    private record FieldError(String field, String message) {}

    private final Words words;

    JsonExchange(Words words) {
        this.words = words;
    }

    /**
     * Reads a request and gives the computation to do if nothing was wrong with it; that may find faults of its own.
     */
    @FunctionalInterface
    interface Asking {
        Supplier<Object> read(JsonFields fields, Faults faults);
    }

    /** @param title key of what cannot be done where there are faults */
    ResponseEntity<Object> answer(InputStream body, JsonShape shape, String title, Asking asking) throws IOException {
        return answer(body, LONGEST_BODY, shape, title, MediaType.APPLICATION_JSON, asking);
    }

    /** @param longest body that is read, bytes */
    ResponseEntity<Object> answer(InputStream body, int longest, JsonShape shape, String title, Asking asking)
            throws IOException {
        return answer(body, longest, shape, title, MediaType.APPLICATION_JSON, asking);
    }

    ResponseEntity<Object> answer(InputStream body, JsonShape shape, String title, MediaType as, Asking asking)
            throws IOException {
        return answer(body, LONGEST_BODY, shape, title, as, asking);
    }

    private ResponseEntity<Object> answer(
            InputStream body, int longest, JsonShape shape, String title, MediaType as, Asking asking)
            throws IOException {
        Faults faults = new Faults(words);
        try {
            return answer(JsonFields.parse(text(body, longest), shape, faults), faults, title, as, asking);
        } catch (JsonFields.NotAnObjectException e) {
            return problem(title, faults, e.fault());
        }
    }

    /** The same where the fields are a query, and the body is no JSON. */
    ResponseEntity<Object> answer(Map<String, String> query, JsonShape shape, String title, Asking asking) {
        Faults faults = new Faults(words);
        return answer(JsonFields.ofQuery(query, shape, faults), faults, title, MediaType.APPLICATION_JSON, asking);
    }

    private ResponseEntity<Object> answer(JsonFields fields, Faults faults, String title, MediaType as, Asking asking) {
        Supplier<Object> computation = asking.read(fields, faults);
        Object answer = faults.any() ? null : computation.get();
        return faults.any()
                ? problem(
                        title,
                        faults,
                        new RequestFault.FieldsCannotBeUsed(faults.byField().size()))
                : ResponseEntity.ok().contentType(as).body(answer);
    }

    /** The body as sent, whatever it is called: a form-encoding client sends good JSON too. */
    private static String text(InputStream body, int longest) throws IOException {
        byte[] bytes = body.readNBytes(longest + 1);
        if (bytes.length > longest) {
            throw new JsonFields.NotAnObjectException(new RequestFault.TooLong(longest));
        }
        return new String(bytes, StandardCharsets.UTF_8);
    }

    private ResponseEntity<Object> problem(String title, Faults faults, RequestFault detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, words.say(detail));
        problem.setTitle(words.message(title));
        problem.setProperty(
                "errors",
                faults.byField().entrySet().stream()
                        .map(fault -> new FieldError(fault.getKey(), fault.getValue()))
                        .toList());
        return ResponseEntity.badRequest()
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
