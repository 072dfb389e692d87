package isotherm.server.jobs;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface JobRepository extends JpaRepository<JobEntity, UUID> {
    long countByState(Jobs.State state);

    long countByStateAndWho(Jobs.State state, String who);

    @Modifying
    @Query("delete from JobEntity j where j.endedAt < :before")
    void forget(Instant before);

    /** Tasks that become due later than a moment become due at it. */
    @Modifying
    @Query(
            nativeQuery = true,
            value = "update scheduled_tasks set execution_time = :moment where execution_time > :moment and not picked")
    void dueBy(Instant moment);

    @Query("select j.id from JobEntity j where j.endedAt is not null order by j.endedAt desc offset :kept rows")
    List<UUID> beyond(int kept);
}
