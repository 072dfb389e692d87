package isotherm.server.access;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<AccountEntity, UUID> {
    @Query("select a from AccountEntity a where lower(a.name) = lower(:name) and a.leftAt is null")
    Optional<AccountEntity> byName(String name);

    List<AccountEntity> findAllByOrderByCreatedAtAscIdAsc();

    /** Locked, so that of two owners who let each other go one stays. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select a from AccountEntity a where a.role = :role and a.leftAt is null order by a.id")
    List<AccountEntity> locked(Role role);

    @Query("select count(a) > 0 from AccountEntity a where a.role = :role and a.leftAt is null")
    boolean any(Role role);
}
