package yellowrail.web.bounds;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** A query that no page and no client of ours writes is refused at the door: one with a NUL in it. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class QueryBounds extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String query = request.getQueryString();
        if (query != null && query.contains("%00")) {
            response.sendError(HttpStatus.BAD_REQUEST.value());
            return;
        }
        chain.doFilter(request, response);
    }
}
