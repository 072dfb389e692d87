package isotherm.server.access;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface InvitationRepository extends JpaRepository<InvitationEntity, UUID> {
    /** Locked: of two who come with the same word at the same moment one is let in. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select i from InvitationEntity i where i.wordHash = :hash and i.expiresAt > :now")
    Optional<InvitationEntity> open(String hash, Instant now);

    List<InvitationEntity> findAllByExpiresAtAfterOrderByExpiresAt(Instant now);

    void deleteByExpiresAtBefore(Instant now);
}
