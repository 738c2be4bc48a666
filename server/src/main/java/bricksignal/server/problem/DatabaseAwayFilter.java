package bricksignal.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions live in the database; when it is away, even reading the session fails, and that must be said plainly. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DatabaseAwayFilter extends OncePerRequestFilter {

    static final String MESSAGE = "The database is away. Nothing is lost: what you entered stays on this screen and is "
            + "sent again.";

    private final Problems problems;

    DatabaseAwayFilter(Problems problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (DataAccessException | TransactionException away) {
            if (response.isCommitted()) {
                throw away;
            }
            problems.write(response, HttpStatus.SERVICE_UNAVAILABLE, MESSAGE);
        }
    }
}
