package isotherm.server.build;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

interface LoggerKeyRepository extends JpaRepository<LoggerKeyEntity, UUID> {
    Optional<LoggerKeyEntity> findByWordHashAndExpiresAtAfter(String hash, Instant now);

    @Transactional
    void deleteByExpiresAtBefore(Instant now);
}
