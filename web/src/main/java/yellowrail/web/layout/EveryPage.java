package yellowrail.web.layout;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.WebUtils;
import yellowrail.web.words.Vocabularies;

/**
 * What the frame of every page needs, also of one that tells of a failure: it is laid on the request before anything.
 */
@Component
class EveryPage implements HandlerInterceptor, WebMvcConfigurer {

    private final Vocabularies vocabularies;
    private final Edition edition;

    EveryPage(Vocabularies vocabularies, Edition edition) {
        this.vocabularies = vocabularies;
        this.edition = edition;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(Ordered.HIGHEST_PRECEDENCE);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        Locale language = vocabularies.present();
        request.setAttribute("theme", theme(request));
        request.setAttribute("language", language.toLanguageTag());
        request.setAttribute("otherWords", vocabularies.others(language));
        request.setAttribute("files", edition.address());
        return true;
    }

    /** {@code light}, {@code dim}, or blank to follow the system. */
    private static String theme(HttpServletRequest request) {
        Cookie cookie = WebUtils.getCookie(request, ThemeController.COOKIE);
        String theme = cookie == null ? "" : cookie.getValue();
        return theme.equals("light") || theme.equals("dim") ? theme : "";
    }
}
