package isotherm.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses what a page from elsewhere has a browser send here. Nobody signs in on loopback, so that whoever reaches the server may
 * do everything: a browser that shows a foreign page reaches it too. Where people sign in, their browsers would carry their session.
 *
 * <p>Three things are asked of every request. The name under which it came is one of this server's own (a foreign name that was
 * pointed at this machine reads the answers otherwise). A change comes from a page of this server, or from no page at all: browsers
 * send {@code Origin} with every change (Fetch Standard, section 3.1) and {@code Sec-Fetch-Site} with every request (W3C Fetch
 * Metadata). And a body says what it is, since a body without a media type needs no leave from this server to be sent.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class OwnPagesOnly extends OncePerRequestFilter {
    private static final Set<String> CHANGES_NOTHING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OWN_SITE = Set.of("same-origin", "none");

    private final Together together;

    OwnPagesOnly(Together together) {
        this.together = together;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean changes = !CHANGES_NOTHING.contains(request.getMethod());
        if (!together.answersTo(request.getServerName())) {
            Refusal.write(
                    response,
                    HttpStatus.MISDIRECTED_REQUEST,
                    "Isotherm does not answer under this name. Open it by an address that it printed at its start.");
        } else if (request.getRequestURI().startsWith("/actuator") && !isThisMachine(request)) {
            Refusal.write(response, HttpStatus.NOT_FOUND, "There is nothing here.");
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

    /** How the server does is told to this machine alone; what a balancer hands on comes from elsewhere. */
    private static boolean isThisMachine(HttpServletRequest request) {
        boolean handedOn = request.getHeader("X-Forwarded-For") != null || request.getHeader("Forwarded") != null;
        try {
            return !handedOn && InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
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
