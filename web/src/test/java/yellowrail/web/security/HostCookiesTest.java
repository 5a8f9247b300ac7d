package yellowrail.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class HostCookiesTest {

    private final MockHttpServletRequest request = new MockHttpServletRequest();
    private final MockHttpServletResponse response = new MockHttpServletResponse();
    private Cookie[] seen;

    private void exchange() throws Exception {
        new HostCookies().doFilter(request, response, (asked, answered) -> {
            seen = ((HttpServletRequest) asked).getCookies();
            Cookie token = new Cookie("XSRF-TOKEN", "abc");
            token.setPath("/somewhere");
            token.setHttpOnly(true);
            ((HttpServletResponse) answered).addCookie(token);
            ((HttpServletResponse) answered).addHeader("Set-Cookie", "theme=dim; Path=/; HttpOnly");
            ((HttpServletResponse) answered).setHeader("X-Other", "untouched");
        });
    }

    @Test
    void overTlsTheyCarryThePrefixAndWhatItDemands() throws Exception {
        request.setSecure(true);
        request.setCookies(
                new Cookie("__Host-theme", "dim"),
                new Cookie("XSRF-TOKEN", "set by another"),
                new Cookie("narrow", "true"));
        exchange();
        assertThat(seen).extracting(Cookie::getName).containsExactly("theme", "narrow");
        assertThat(response.getCookie("__Host-XSRF-TOKEN")).satisfies(token -> {
            assertThat(token.getSecure()).isTrue();
            assertThat(token.getPath()).isEqualTo("/");
            assertThat(token.isHttpOnly()).isTrue();
        });
        assertThat(response.getHeaders("Set-Cookie"))
                .anySatisfy(cookie ->
                        assertThat(cookie).startsWith("__Host-theme=dim").contains("Secure"));
        assertThat(response.getHeader("X-Other")).isEqualTo("untouched");
    }

    @Test
    void withoutTlsTheyStayAsTheyAre() throws Exception {
        request.setCookies(new Cookie("theme", "dim"));
        exchange();
        assertThat(seen).extracting(Cookie::getName).containsExactly("theme");
        assertThat(response.getCookie("XSRF-TOKEN")).isNotNull();
    }
}
