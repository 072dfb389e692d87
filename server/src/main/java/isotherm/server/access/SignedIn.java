package isotherm.server.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.preauth.PreAuthenticatedAuthenticationToken;
import org.springframework.web.filter.OncePerRequestFilter;

/** Finds out who asks: everybody's own session tells it, or, while a garage is one machine's own, that it answers nobody else. */
final class SignedIn extends OncePerRequestFilter {
    private final Together together;
    private final Sessions sessions;

    SignedIn(Together together, Sessions sessions) {
        this.together = together;
        this.sessions = sessions;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!together.on()) {
            sign(Person.AT_THIS_MACHINE);
        } else if (request.getRequestURI().startsWith("/api/")) {
            sessions.person(request).ifPresent(SignedIn::sign);
        }
        chain.doFilter(request, response);
    }

    private static void sign(Person person) {
        SecurityContextHolder.getContext()
                .setAuthentication(new PreAuthenticatedAuthenticationToken(
                        person,
                        null,
                        List.of(new SimpleGrantedAuthority(person.role().name()))));
    }
}
