package yellowrail.web.layout;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.boot.webmvc.autoconfigure.error.ErrorViewResolver;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Whatever goes wrong is told in our look, on one page. */
@Component
class ErrorPages implements ErrorViewResolver {

    @Override
    public ModelAndView resolveErrorView(HttpServletRequest request, HttpStatus status, Map<String, Object> model) {
        return new ModelAndView("error", Map.of("status", status.value(),
                "rail", Rail.plain(status == HttpStatus.NOT_FOUND ? "Not here" : "That did not work")), status);
    }
}
