package yellowrail.web.once;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;

/** What is known of one request that stores something: its one-time number, and how far its storing got. */
public final class Sent {

    static final String HEADER = "X-Once";
    /** The same in a form. */
    public static final String FIELD = "once";

    /** Whether it was sent before and no answer came. */
    static final String AGAIN_HEADER = "X-Again";

    public static final String AGAIN_FIELD = "again";

    private static final String ATTRIBUTE = Sent.class.getName();

    private final Optional<String> number;
    private final boolean again;
    private boolean storing;
    private boolean stored;

    private Sent(Optional<String> number, boolean again) {
        this.number = number;
        this.again = again;
    }

    static Sent begin(HttpServletRequest request) {
        Sent sent = new Sent(
                Once.number(either(request, HEADER, FIELD)), either(request, AGAIN_HEADER, AGAIN_FIELD) != null);
        request.setAttribute(ATTRIBUTE, sent);
        return sent;
    }

    private static String either(HttpServletRequest request, String header, String field) {
        String told = request.getHeader(header);
        return told == null ? request.getParameter(field) : told;
    }

    public static Optional<Sent> of(HttpServletRequest request) {
        return Optional.ofNullable((Sent) request.getAttribute(ATTRIBUTE));
    }

    public Optional<String> number() {
        return number;
    }

    boolean again() {
        return again;
    }

    void storing() {
        storing = true;
    }

    void stored() {
        stored = true;
    }

    /** Whether it was handed to the database for good and no answer came: it may be stored, or not. */
    public boolean isUnsure() {
        return storing && !stored;
    }
}
