package isotherm.server.access;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words by which loggers that come by themselves are let in, each to one build and for a day. */
@Service
@Transactional
public class LoggerKeys {
    private static final Duration HOLDS = Duration.ofHours(24);

    private final LoggerKeyRepository keys;

    LoggerKeys(LoggerKeyRepository keys) {
        this.keys = keys;
    }

    /**
     * A key that was just made.
     *
     * @param word what the logger says, told this once
     * @param until until when it holds
     */
    public record Key(String word, Instant until) {}

    /**
     * @param buildId a build that is there
     * @return a key for its logger
     */
    public Key make(UUID buildId) {
        keys.deleteByExpiresAtBefore(Instant.now());
        Key key = new Key(Word.fresh(), Instant.now().plus(HOLDS));
        keys.save(new LoggerKeyEntity(UUID.randomUUID(), key.word(), key.until(), buildId));
        return key;
    }

    /**
     * @param word what a logger says
     * @return the build that it lets it in to; empty when it lets nobody in, or no longer
     */
    @Transactional(readOnly = true)
    public Optional<UUID> build(String word) {
        return keys.findByWordHashAndExpiresAtAfter(Word.digest(word), Instant.now())
                .map(LoggerKeyEntity::buildId);
    }
}
