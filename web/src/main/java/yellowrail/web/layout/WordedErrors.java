package yellowrail.web.layout;

import java.util.Map;
import org.springframework.boot.web.error.ErrorAttributeOptions;
import org.springframework.boot.webmvc.error.DefaultErrorAttributes;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.WebRequest;
import yellowrail.web.words.Words;

/** What a program that asked for no page is told of an error: the same sentence as on the page. */
@Component
class WordedErrors extends DefaultErrorAttributes {

    private final Words words;

    WordedErrors(Words words) {
        this.words = words;
    }

    @Override
    public Map<String, Object> getErrorAttributes(WebRequest request, ErrorAttributeOptions options) {
        Map<String, Object> told = super.getErrorAttributes(request, options);
        told.put("message", words.message(key((int) told.getOrDefault("status", 500))));
        return told;
    }

    static String key(int status) {
        return switch (status) {
            case 404 -> "page.error.there-is-nothing-at-this";
            case 409 -> "page.error.at-the-same-moment";
            case 403 -> "page.error.the-page-had-grown-old";
            default -> status < 500 ? "page.error.the-form-could-not-be" : "page.error.something-went-wrong-here-not";
        };
    }
}
