package isotherm.server.store;

import java.time.Instant;
import java.util.UUID;

/**
 * Which text of a stored document is meant: what was read of one stays true of it. One that was removed and came back under the
 * same identity is another.
 *
 * @param id its identity
 * @param version how often it has been changed
 * @param createdAt when it was first stored
 */
public record Edition(UUID id, int version, Instant createdAt) {}
