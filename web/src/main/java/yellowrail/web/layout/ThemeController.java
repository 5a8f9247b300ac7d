package yellowrail.web.layout;

import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The light or the dim theme, kept by the browser. */
@Controller
class ThemeController {

    static final String COOKIE = "theme";

    @PostMapping("/theme")
    ResponseEntity<Void> choose(
            @RequestParam(defaultValue = "") String theme, @RequestParam(defaultValue = "/") String back) {
        boolean known = theme.equals("light") || theme.equals("dim");
        ResponseCookie cookie = ResponseCookie.from(COOKIE, known ? theme : "")
                .path("/")
                .httpOnly(true)
                .sameSite("Lax")
                .maxAge(known ? Duration.ofDays(3650) : Duration.ZERO)
                .build();
        return Back.to(back).header(HttpHeaders.SET_COOKIE, cookie.toString()).build();
    }
}
