package bricksignal.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Sessions live in the database; when it is away, even reading the session fails, and that must be said plainly. What fails behind
 * the dispatcher is answered there; it comes here, wrapped by the dispatcher, only where even that answer could not be written,
 * because the session that is kept just before it could not be. A mistake of the program comes here as well, and is told as one.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DatabaseAwayFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAwayFilter.class);

    private final Problems problems;

    DatabaseAwayFilter(Problems problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException failure) {
            if (response.isCommitted() || !DatabaseAway.is(failure) && !(failure instanceof ServletException)) {
                throw failure;
            }
            response.reset();
            if (DatabaseAway.is(failure)) {
                response.setHeader("Retry-After", "2");
                problems.write(response, HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.MESSAGE);
            } else {
                LOG.error("a mistake of the program at {}", request.getRequestURI(), failure);
                problems.write(response, HttpStatus.INTERNAL_SERVER_ERROR, "Something is wrong in the program here, and it is written down for those who look after it. "
                        + "What you entered stays on this screen. Go another way, or try again later.");
            }
        }
    }
}
