package isotherm.server.store;

import java.util.UUID;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Whose a change is: the account that sent the request in which it is made. */
final class Author {
    private Author() {}

    /** @return the account; null where nobody signs in, and for what a logger or the server itself writes */
    static UUID account() {
        Authentication there = SecurityContextHolder.getContext().getAuthentication();
        try {
            return there == null ? null : UUID.fromString(there.getName());
        } catch (IllegalArgumentException e) {
            return null;
        }
    }
}
