package yellowrail.web.soak;

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
        return Back.keeping(back, COOKIE, scale.equals(PERCENT) ? PERCENT : "");
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
