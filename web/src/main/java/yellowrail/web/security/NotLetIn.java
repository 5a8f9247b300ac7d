package yellowrail.web.security;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.WebAttributes;
import org.springframework.stereotype.Component;
import yellowrail.web.layout.ProblemAnswer;
import yellowrail.web.outage.Outage;
import yellowrail.web.words.Words;

/** Leads a device that was not let in to the page that asks for the code; anything but a page is refused in words. */
@Component
class NotLetIn implements AuthenticationEntryPoint {

    private static final String SECONDS_UNTIL_LOOKING_AGAIN = "5";

    private final Words words;
    private final ProblemAnswer problem;

    NotLetIn(Words words, ProblemAnswer problem) {
        this.words = words;
        this.problem = problem;
    }

    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException e)
            throws IOException, ServletException {
        if (request.getAttribute(WebAttributes.AUTHENTICATION_EXCEPTION)
                instanceof AuthenticationServiceException away) {
            if (request.getMethod().equals("GET")) {
                // The scripts of the page, which would see to it, cannot be had either.
                response.setHeader("Refresh", SECONDS_UNTIL_LOOKING_AGAIN);
            }
            request.setAttribute(Outage.MET, away);
            request.getRequestDispatcher(Outage.PAGE).forward(request, response);
        } else if (isForAPage(request)) {
            response.sendRedirect("/device");
        } else {
            problem.write(response, HttpStatus.UNAUTHORIZED, words.message("page.device.not-let-in"));
        }
    }

    private static boolean isForAPage(HttpServletRequest request) {
        String accept = request.getHeader(HttpHeaders.ACCEPT);
        return accept != null && accept.contains("text/html") && request.getHeader("HX-Request") == null;
    }
}
