package isotherm.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Notes requests that went wrong, were refused or took long: what kind they were and how they ended. Not who, not from where, not
 * what was said.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestLog extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger("isotherm.requests");
    private static final Set<Integer> REFUSALS = Set.of(401, 403, 421, 429);
    private static final int WRONG = 500;
    private static final long LONG_MS = 2000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long begun = System.nanoTime();
        try {
            chain.doFilter(request, response);
        } finally {
            long ms = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
            int status = response.getStatus();
            if (status >= WRONG || ms > LONG_MS || REFUSALS.contains(status)) {
                Object found = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
                String kind = found == null ? "(before it was looked at)" : found.toString();
                LOG.atInfo()
                        .addKeyValue("method", request.getMethod())
                        .addKeyValue("kind", kind)
                        .addKeyValue("status", status)
                        .addKeyValue("ms", ms)
                        .log("{} {} was answered with {} after {} ms", request.getMethod(), kind, status, ms);
            }
        }
    }
}
