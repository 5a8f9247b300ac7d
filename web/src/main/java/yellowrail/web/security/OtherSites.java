package yellowrail.web.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import yellowrail.web.layout.ProblemAnswer;
import yellowrail.web.words.Words;

/**
 * Whatever stores or computes is asked by our own pages, or by a program that is no browser. A browser says on whose
 * behalf it asks: on behalf of another site nothing is written, and nothing of {@code /api} is told. A page of another
 * site can send a form or plain text without asking first, so JSON is only taken under its name.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class OtherSites extends OncePerRequestFilter {

    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
    /** Our own page, or whoever types the address. */
    private static final Set<String> OWN = Set.of("same-origin", "none");

    private static final int USUAL = 80;
    private static final int USUAL_OVER_TLS = 443;

    private static final String INTERFACE = "/api/";
    /** Takes a sound, which no page can send without asking first either. */
    private static final String SOUND = "/api/spectrum";

    private final Words words;
    private final ProblemAnswer problem;

    OtherSites(Words words, ProblemAnswer problem) {
        this.words = words;
        this.problem = problem;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean writes = !READS.contains(request.getMethod());
        boolean inInterface = request.getRequestURI().startsWith(INTERFACE);
        if ((writes || inInterface) && isOfAnotherSite(request)) {
            problem.write(response, HttpStatus.FORBIDDEN, words.message("page.error.other-site"));
        } else if (writes && inInterface && !takesThis(request)) {
            problem.write(response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, words.message("page.error.json-only"));
        } else {
            chain.doFilter(request, response);
        }
    }

    private static boolean isOfAnotherSite(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        return site != null && !OWN.contains(site) || origin != null && !origin.equalsIgnoreCase(own(request));
    }

    /** As a browser writes it: the usual port is left out. */
    private static String own(HttpServletRequest request) {
        boolean usual = request.getServerPort() == (request.isSecure() ? USUAL_OVER_TLS : USUAL);
        String port = usual ? "" : ":" + request.getServerPort();
        return request.getScheme() + "://" + request.getServerName() + port;
    }

    private static boolean takesThis(HttpServletRequest request) {
        if (request.getRequestURI().startsWith(SOUND)) {
            return true;
        }
        try {
            String type = request.getContentType();
            return type != null && MediaType.parseMediaType(type).equalsTypeAndSubtype(MediaType.APPLICATION_JSON);
        } catch (InvalidMediaTypeException none) {
            return false;
        }
    }
}
