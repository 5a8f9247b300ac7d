package yellowrail.web.layout;

import java.net.URI;
import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;

/** Back to where a setting was made. */
public final class Back {

    private static final int LONGEST = 2000;

    private Back() {}

    /** @param to an address of ours; anywhere else leads to the bench */
    public static ResponseEntity.BodyBuilder to(String to) {
        if (to.length() > LONGEST) {
            throw new BadRequestException("an address of %d characters".formatted(to.length()));
        }
        boolean ours = to.matches("/(?:[\\w/?=&.+,:*~-]|%\\p{XDigit}{2})*") && !to.startsWith("//");
        return ResponseEntity.status(HttpStatus.SEE_OTHER).location(URI.create(ours ? to : "/"));
    }

    /**
     * The same, with something the browser is to keep for good.
     *
     * @param value blank to forget it
     */
    public static ResponseEntity<Void> keeping(String to, String cookie, String value) {
        ResponseCookie kept = ResponseCookie.from(cookie, value)
                .path("/")
                .httpOnly(true)
                .sameSite("Strict")
                .maxAge(value.isEmpty() ? Duration.ZERO : Duration.ofDays(3650))
                .build();
        return to(to).header(HttpHeaders.SET_COOKIE, kept.toString()).build();
    }
}
