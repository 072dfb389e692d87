package isotherm.server.access;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CarLinkRepository extends JpaRepository<CarLinkEntity, UUID> {
    Optional<CarLinkEntity> findByWordHashAndExpiresAtAfter(String hash, Instant now);

    List<CarLinkEntity> findByCarIdAndExpiresAtAfterOrderByMadeAt(UUID carId, Instant now);

    void deleteByExpiresAtBefore(Instant now);
}
