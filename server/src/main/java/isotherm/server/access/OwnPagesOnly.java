package isotherm.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses what a page from elsewhere has a browser send here. Nobody logs in on loopback, so that whoever reaches the server may
 * do everything: a browser that shows a foreign page reaches it too.
 *
 * <p>Three things are asked of every request. The name under which it came is one of this machine's own (a foreign name that was
 * pointed at this machine reads the answers otherwise). A change comes from a page of this server, or from no page at all: browsers
 * send {@code Origin} with every change (Fetch Standard, section 3.1) and {@code Sec-Fetch-Site} with every request (W3C Fetch
 * Metadata). And a body says what it is, since a body without a media type needs no leave from this server to be sent.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OwnPagesOnly extends OncePerRequestFilter {
    private static final Set<String> OWN_NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");
    private static final Set<String> CHANGES_NOTHING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OWN_SITE = Set.of("same-origin", "none");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean changes = !CHANGES_NOTHING.contains(request.getMethod());
        if (!OWN_NAMES.contains(request.getServerName().toLowerCase(Locale.ROOT))) {
            Refusal.write(
                    response,
                    HttpStatus.MISDIRECTED_REQUEST,
                    "Isotherm answers under localhost and 127.0.0.1 only. Open it by the address that it printed at its start.");
        } else if (request.getRequestURI().equals("/error")) {
            Refusal.write(response, HttpStatus.NOT_FOUND, "There is nothing here.");
        } else if (changes ? isForeignChange(request) : isForeignReading(request)) {
            Refusal.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    "This request came from a page of another site, which may neither read nor change anything here.");
        } else if (changes && hasBody(request) && !saysWhatItIs(request)) {
            Refusal.write(
                    response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, "The header Content-Type has to say what was sent.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static boolean isForeignChange(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        String own = request.getScheme() + "://" + request.getHeader(HttpHeaders.HOST);
        return site != null && !OWN_SITE.contains(site) || origin != null && !origin.equalsIgnoreCase(own);
    }

    /** A link from elsewhere may open a page of ours, which then asks by itself; nothing else of ours may be fetched. */
    private static boolean isForeignReading(HttpServletRequest request) {
        String site = request.getHeader("Sec-Fetch-Site");
        boolean opensPage = "navigate".equals(request.getHeader("Sec-Fetch-Mode"))
                && !request.getRequestURI().startsWith("/api");
        return site != null && !OWN_SITE.contains(site) && !opensPage;
    }

    private static boolean saysWhatItIs(HttpServletRequest request) {
        return request.getContentType() != null && request.getContentType().indexOf('*') < 0;
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    }
}
