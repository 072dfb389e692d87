package isotherm.server.access;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import jakarta.persistence.PersistenceContext;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lets nobody try passwords and words one after the other: each wrong one of a row has to wait longer. Kept for all servers. */
@Service
class Throttle {
    private static final int FREE_EACH = 5;
    private static final int FREE_NAME = 50;
    private static final int FREE_ADDRESS = 30;

    @PersistenceContext
    private EntityManager entities;

    /**
     * Of what wrong ones are counted.
     *
     * @param key by which it is kept; it tells neither name nor address
     * @param free wrong ones in a row without a wait
     */
    private record Source(String key, int free) {}

    /** Of this name from this address. */
    private static Source each(String name, String address) {
        return new Source("both " + Word.digest(name + " " + address), FREE_EACH);
    }

    private static List<Source> sources(String name, String address) {
        return List.of(
                each(name, address),
                new Source("name " + Word.digest(name), FREE_NAME),
                new Source("from " + Word.digest(address), FREE_ADDRESS));
    }

    /**
     * @param name whom somebody says to be
     * @param address where they are
     * @return how long they have to wait before they may try
     */
    @Transactional(readOnly = true)
    Optional<Duration> wait(String name, String address) {
        Instant now = Instant.now();
        return sources(name, address).stream()
                .map(source -> entities.find(AttemptEntity.class, source.key()))
                .filter(Objects::nonNull)
                .map(there -> there.waits(now))
                .filter(wait -> !wait.isZero())
                .max(Duration::compareTo);
    }

    /** Counts a wrong one, whatever becomes of the request. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void failed(String name, String address) {
        Instant now = Instant.now();
        entities.createQuery("delete from AttemptEntity a where a.lastAt < :before")
                .setParameter("before", now.minus(AttemptEntity.FORGOTTEN))
                .executeUpdate();
        for (Source source : sources(name, address)) {
            entities.createNativeQuery("insert into sign_in_attempt (source, failures, last_at, wait_until)"
                            + " values (:source, 0, :now, to_timestamp(0)) on conflict do nothing")
                    .setParameter("source", source.key())
                    .setParameter("now", now)
                    .executeUpdate();
            entities.find(AttemptEntity.class, source.key(), LockModeType.PESSIMISTIC_WRITE)
                    .failed(source.free(), now);
        }
    }

    /** A right one: this name's row of wrong ones from there is over. Others that were tried from there are still counted. */
    @Transactional
    void passed(String name, String address) {
        AttemptEntity there =
                entities.find(AttemptEntity.class, each(name, address).key());
        if (there != null) {
            entities.remove(there);
        }
    }
}
