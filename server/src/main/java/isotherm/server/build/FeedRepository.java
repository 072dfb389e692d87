package isotherm.server.build;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** All times are the database's own: clocks of servers may differ, and jump. */
@Transactional
interface FeedRepository extends JpaRepository<FeedEntity, UUID> {
    @Modifying
    @Query(
            nativeQuery = true,
            value = "insert into feed (build_id, server, source, seen_at) values (:build, :server, :source, now())"
                    + " on conflict (build_id) do update set server = :server, source = :source, seen_at = now()")
    void take(UUID build, UUID server, String source);

    @Modifying
    @Query(nativeQuery = true, value = "update feed set seen_at = now() where server = :server and build_id in :builds")
    int seen(UUID server, Collection<UUID> builds);

    @Query(nativeQuery = true, value = "select cast(build_id as text) from feed where server = :server")
    List<String> of(UUID server);

    /** Those whose server has not shown itself for a while; of servers that ended long ago nobody waits for a logger any more. */
    @Query(
            nativeQuery = true,
            value = "select * from feed where seen_at < now() - make_interval(secs => :silent)"
                    + " and seen_at > now() - make_interval(secs => :forgotten)")
    List<FeedEntity> left(double silent, double forgotten);

    @Modifying
    @Query(
            nativeQuery = true,
            value = "update feed set server = :server, seen_at = now() where build_id = :build"
                    + " and seen_at < now() - make_interval(secs => :silent)")
    int takeUp(UUID build, UUID server, double silent);

    @Modifying
    @Query(nativeQuery = true, value = "delete from feed where build_id = :build and server = :server")
    void let(UUID build, UUID server);

    @Modifying
    @Query(nativeQuery = true, value = "delete from feed where build_id = :build")
    void forget(UUID build);

    /** The next one that looks takes them up at once. */
    @Modifying
    @Query(
            nativeQuery = true,
            value = "update feed set seen_at = now() - make_interval(secs => :silent) where server = :server")
    void leave(UUID server, double silent);
}
