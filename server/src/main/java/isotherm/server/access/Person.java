package isotherm.server.access;

import java.util.Optional;
import java.util.UUID;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.AuthenticatedPrincipal;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * Who asks.
 *
 * @param id account; null for whoever sits at this machine while nobody has to sign in
 * @param name name of the account; empty without one
 * @param role what they may do
 */
public record Person(UUID id, String name, Role role) implements AuthenticatedPrincipal {
    /** Whoever sits at the machine while it answers nobody else: everything is theirs. */
    static final Person AT_THIS_MACHINE = new Person(null, "", Role.OWNER);

    /** @return by which the account is known among what is kept; empty without one */
    @Override
    public String getName() {
        return id == null ? "" : id.toString();
    }

    /** @return who sent the request that is answered now; empty when nobody has signed in, and outside requests */
    public static Optional<Person> asking() {
        Authentication there = SecurityContextHolder.getContext().getAuthentication();
        return there == null || there instanceof AnonymousAuthenticationToken
                ? Optional.empty()
                : Optional.of((Person) there.getPrincipal());
    }

    /**
     * @param said the name that somebody wrote under
     * @return the name of the account that asks now; what was said where nobody signs in
     */
    public static String nameOr(String said) {
        return asking().filter(p -> p.id() != null).map(Person::name).orElse(said);
    }

    /** @return the account that asks now; empty when there is none */
    public static Optional<UUID> account() {
        return asking().map(Person::id);
    }
}
