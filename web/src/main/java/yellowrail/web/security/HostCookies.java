package yellowrail.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.util.Arrays;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Over TLS every cookie of ours is called {@code __Host-}: browsers take such a name only from this very host and only
 * over TLS, so that nobody beside us can set it. The rest of the application calls them by their plain names.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 20)
class HostCookies extends OncePerRequestFilter {

    private static final String PREFIX = "__Host-";
    /** Set by a script of ours, and nothing depends on whether it is true. */
    private static final String OF_THE_SCREEN = "narrow";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.isSecure()) {
            chain.doFilter(new Plain(request), new Prefixed(response));
        } else {
            chain.doFilter(request, response);
        }
    }

    /** Tells the cookies by their plain names, and none that came without the prefix. */
    private static final class Plain extends HttpServletRequestWrapper {

        Plain(HttpServletRequest request) {
            super(request);
        }

        @Override
        public Cookie[] getCookies() {
            Cookie[] sent = super.getCookies();
            return sent == null
                    ? null
                    : Arrays.stream(sent)
                            .filter(cookie -> cookie.getName().startsWith(PREFIX)
                                    || cookie.getName().equals(OF_THE_SCREEN))
                            .map(Plain::plain)
                            .toArray(Cookie[]::new);
        }

        private static Cookie plain(Cookie sent) {
            return sent.getName().startsWith(PREFIX)
                    ? new Cookie(sent.getName().substring(PREFIX.length()), sent.getValue())
                    : sent;
        }
    }

    /** Sends the cookies with the prefix, and with what it demands. */
    private static final class Prefixed extends HttpServletResponseWrapper {

        Prefixed(HttpServletResponse response) {
            super(response);
        }

        @Override
        public void addCookie(Cookie cookie) {
            Cookie sent = new Cookie(PREFIX + cookie.getName(), cookie.getValue());
            cookie.getAttributes().forEach(sent::setAttribute);
            sent.setDomain(null);
            sent.setPath("/");
            sent.setSecure(true);
            super.addCookie(sent);
        }

        @Override
        public void addHeader(String name, String value) {
            super.addHeader(name, prefixed(name, value));
        }

        @Override
        public void setHeader(String name, String value) {
            super.setHeader(name, prefixed(name, value));
        }

        private static String prefixed(String name, String value) {
            if (!name.equalsIgnoreCase(HttpHeaders.SET_COOKIE)) {
                return value;
            }
            return PREFIX + value + (value.contains("; Secure") ? "" : "; Secure");
        }
    }
}
