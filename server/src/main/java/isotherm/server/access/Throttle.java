package isotherm.server.access;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import jakarta.persistence.PersistenceContext;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lets nobody try passwords and words one after the other: each wrong one of a row has to wait longer. Kept for all servers. */
@Service
class Throttle {
    /** Wrong ones in a row without a wait: of one name from one address, of one name, from one address. */
    private static final int FREE_EACH = 5;

    private static final int FREE_NAME = 50;
    private static final int FREE_ADDRESS = 30;

    @PersistenceContext
    private EntityManager entities;

    private static String[] sources(String name, String address) {
        return new String[] {
            "both " + Word.digest(name + " " + address), "name " + Word.digest(name), "from " + Word.digest(address)
        };
    }

    /**
     * @param name whom somebody says to be
     * @param address where they are
     * @return how long they have to wait before they may try
     */
    @Transactional(readOnly = true)
    Optional<Duration> wait(String name, String address) {
        Instant now = Instant.now();
        Duration longest = Duration.ZERO;
        for (String source : sources(name, address)) {
            AttemptEntity there = entities.find(AttemptEntity.class, source);
            if (there != null) {
                Duration left = Duration.between(now, there.waitUntil());
                longest = left.compareTo(longest) > 0 ? left : longest;
            }
        }
        return longest.isZero() ? Optional.empty() : Optional.of(longest);
    }

    /** Counts a wrong one, whatever becomes of the request. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void failed(String name, String address) {
        Instant now = Instant.now();
        int[] free = {FREE_EACH, FREE_NAME, FREE_ADDRESS};
        String[] sources = sources(name, address);
        for (int i = 0; i < sources.length; i++) {
            entities.createNativeQuery("insert into sign_in_attempt (source, failures, wait_until)"
                            + " values (:source, 0, to_timestamp(0)) on conflict do nothing")
                    .setParameter("source", sources[i])
                    .executeUpdate();
            entities.find(AttemptEntity.class, sources[i], LockModeType.PESSIMISTIC_WRITE)
                    .failed(free[i], now);
        }
    }

    /** A right one: the row of wrong ones is over. */
    @Transactional
    void passed(String name, String address) {
        for (String source : sources(name, address)) {
            AttemptEntity there = entities.find(AttemptEntity.class, source);
            if (there != null) {
                entities.remove(there);
            }
        }
    }
}
