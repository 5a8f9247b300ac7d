package yellowrail.web.soak;

import java.time.Duration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import yellowrail.web.layout.Back;

/** Whether curves are drawn in percent or in the meter's unit, kept by the browser. */
@Controller
class SoakScaleController {

    private static final String COOKIE = "soak-scale";
    private static final String PERCENT = "percent";

    @PostMapping("/soak/scale")
    ResponseEntity<Void> choose(
            @RequestParam(defaultValue = "") String scale, @RequestParam(defaultValue = "/") String back) {
        boolean percent = scale.equals(PERCENT);
        ResponseCookie cookie = ResponseCookie.from(COOKIE, percent ? PERCENT : "")
                .path("/")
                .httpOnly(true)
                .sameSite("Lax")
                .maxAge(percent ? Duration.ofDays(3650) : Duration.ZERO)
                .build();
        return Back.to(back).header(HttpHeaders.SET_COOKIE, cookie.toString()).build();
    }

    /** The browser's choice, for every page that draws a soak. */
    @ControllerAdvice
    static class Chosen {

        @ModelAttribute("soakPercent")
        boolean percent(@CookieValue(name = COOKIE, defaultValue = "") String scale) {
            return scale.equals(PERCENT);
        }
    }
}
