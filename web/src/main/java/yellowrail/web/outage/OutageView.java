package yellowrail.web.outage;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.Rail;
import yellowrail.web.once.Sent;
import yellowrail.web.words.Words;

/**
 * The page that stands in for another while the database is away.
 *
 * @param says what the matter is
 * @param asked the address that was asked
 * @param then what is to be done once the database is back
 * @param once the name under which it is sent again
 * @param fields what was sent
 */
record OutageView(String says, String asked, Then then, String once, List<Field> fields) {

    private static final Set<String> OURS = Set.of("_csrf", Sent.FIELD, Sent.AGAIN_FIELD);

    /** A field as it was sent. */
    record Field(String name, String value) {}

    /** What is to be done once the database is back. */
    enum Then {
        /** The page is asked for again, by itself. */
        LOAD,
        /** What was sent is sent again, by itself. */
        SEND,
        /** It may have been stored: whoever sent it looks first. */
        LOOK_FIRST,
        /** There was a file among it, which no page can keep. */
        CHOOSE_AGAIN,
        /** Nothing: it is stored. */
        NOTHING;

        public boolean hasForm() {
            return this == SEND || this == LOOK_FIRST;
        }
    }

    static ModelAndView of(String says, HttpServletRequest request, Words words) {
        String query = request.getQueryString();
        String asked = path(request) + (query == null ? "" : "?" + query);
        if (!request.getMethod().equals("POST")) {
            return page(new OutageView(says, asked, Then.LOAD, "", List.of()), words);
        }
        Sent sent = Sent.of(request).orElse(null);
        String number = sent == null ? null : sent.number().orElse(null);
        String once = number == null ? UUID.randomUUID().toString() : number;
        return page(new OutageView(says, asked, then(request, sent, number), once, fields(request)), words);
    }

    /** What was asked for, also where a filter led here. */
    static String path(HttpServletRequest request) {
        return request.getAttribute(RequestDispatcher.FORWARD_REQUEST_URI) instanceof String asked
                ? asked
                : request.getRequestURI();
    }

    private static Then then(HttpServletRequest request, Sent sent, String number) {
        if (String.valueOf(request.getContentType()).startsWith("multipart/")) {
            return Then.CHOOSE_AGAIN;
        }
        return number == null && sent != null && sent.isUnsure() ? Then.LOOK_FIRST : Then.SEND;
    }

    static ModelAndView stored(Words words) {
        return page(new OutageView(words.message("page.outage.was-stored"), "/", Then.NOTHING, "", List.of()), words);
    }

    private static ModelAndView page(OutageView view, Words words) {
        return new ModelAndView(
                "outage", Map.of("outage", view, "rail", Rail.plain(words.message("page.outage.title"))));
    }

    private static List<Field> fields(HttpServletRequest request) {
        return request.getParameterMap().entrySet().stream()
                .filter(field -> !OURS.contains(field.getKey()))
                .flatMap(field -> Stream.of(field.getValue()).map(value -> new Field(field.getKey(), value)))
                .toList();
    }
}
