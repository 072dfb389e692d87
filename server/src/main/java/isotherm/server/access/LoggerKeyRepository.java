package isotherm.server.access;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LoggerKeyRepository extends JpaRepository<LoggerKeyEntity, UUID> {
    Optional<LoggerKeyEntity> findByWordHashAndExpiresAtAfter(String hash, Instant now);

    void deleteByExpiresAtBefore(Instant now);
}
