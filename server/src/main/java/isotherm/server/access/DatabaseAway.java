package isotherm.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions lie in the database: when it is away, who asks cannot be told, which is said as patience, not as a refusal. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
public class DatabaseAway extends OncePerRequestFilter {
    /** What a person is told of it. */
    public static final String WORDS = "The database does not answer in time. What waits here is sent again by itself.";

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("Who asks cannot be told now: {}", e.getClass().getSimpleName());
            if (!response.isCommitted()) {
                response.resetBuffer();
                response.setHeader(HttpHeaders.RETRY_AFTER, "2");
                Refusal.write(response, HttpStatus.SERVICE_UNAVAILABLE, WORDS);
            }
        }
    }
}
