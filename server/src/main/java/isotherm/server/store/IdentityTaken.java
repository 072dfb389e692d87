package isotherm.server.store;

import java.util.UUID;

/** Something else is stored under an identity that its sender chose. */
public final class IdentityTaken extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** @param id the identity */
    public IdentityTaken(UUID id) {
        super("Something else is stored under the identity " + id + "; nothing was changed");
    }
}
