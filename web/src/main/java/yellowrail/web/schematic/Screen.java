package yellowrail.web.schematic;

import jakarta.servlet.http.Cookie;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** What the browser last said of its screen, by a cookie; a browser that said nothing gets both drawings. */
final class Screen {

    private static final String COOKIE = "narrow";

    private Screen() {}

    static Optional<Boolean> isNarrow() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? cookies(request)
                        .filter(cookie -> cookie.getName().equals(COOKIE))
                        .findFirst()
                        .map(cookie -> cookie.getValue().equals("true"))
                : Optional.empty();
    }

    private static Stream<Cookie> cookies(ServletRequestAttributes request) {
        Cookie[] cookies = request.getRequest().getCookies();
        return cookies == null ? Stream.empty() : Arrays.stream(cookies);
    }
}
