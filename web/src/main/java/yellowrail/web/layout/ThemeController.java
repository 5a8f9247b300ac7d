package yellowrail.web.layout;

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
        return Back.keeping(back, COOKIE, known ? theme : "");
    }
}
