package isotherm.server.store;

import java.util.UUID;

/**
 * A stored document.
 *
 * @param id its identity
 * @param version how often it has been changed
 * @param document its JSON text
 */
public record Stored(UUID id, int version, String document) {}
