package yellowrail.web.outage;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;
import yellowrail.web.layout.ProblemAnswer;
import yellowrail.web.once.StoredAlreadyException;
import yellowrail.web.words.Words;

/**
 * Answers a request that the database could not serve: a program with a problem document, a piece of a page with a
 * sentence, a page with one that sends what was typed again by itself.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OutageResolver implements HandlerExceptionResolver {

    private static final String SECONDS_UNTIL_LOOKING_AGAIN = "2";

    private final DatabaseWatch watch;
    private final Words words;
    private final ProblemAnswer problem;

    OutageResolver(DatabaseWatch watch, Words words, ProblemAnswer problem) {
        this.watch = watch;
        this.words = words;
        this.problem = problem;
    }

    @Override
    public ModelAndView resolveException(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception e) {
        Optional<Outage> outage = Outage.of(e);
        if (response.isCommitted() || outage.isEmpty() && !(e instanceof StoredAlreadyException)) {
            return null;
        }
        try {
            response.resetBuffer();
            return outage.isPresent() ? away(outage.get(), request, response) : stored(request, response);
        } catch (IOException gone) {
            return new ModelAndView();
        }
    }

    private ModelAndView away(Outage outage, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        watch.doubt();
        String says = words.message(outage == Outage.AWAY && !watch.isOurs() ? "page.outage.theirs" : outage.says());
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, SECONDS_UNTIL_LOOKING_AGAIN);
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        if (OutageView.path(request).startsWith("/api/")) {
            problem.write(response, HttpStatus.SERVICE_UNAVAILABLE, says);
            return new ModelAndView();
        }
        if (isForAPiece(request)) {
            return sentence(response, says);
        }
        return OutageView.of(says, request, words);
    }

    private ModelAndView stored(HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (isForAPiece(request)) {
            response.setHeader("HX-Refresh", "true");
            return sentence(response, words.message("page.outage.was-stored"));
        }
        return OutageView.stored(words);
    }

    private static boolean isForAPiece(HttpServletRequest request) {
        return request.getHeader("HX-Request") != null || "empty".equals(request.getHeader("Sec-Fetch-Dest"));
    }

    private static ModelAndView sentence(HttpServletResponse response, String text) throws IOException {
        response.setContentType(MediaType.TEXT_PLAIN_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(text);
        return new ModelAndView();
    }
}
