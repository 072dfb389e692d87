package isotherm.server.jobs;

import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;

/**
 * A kind of long work. It may be begun again from its question, by another server too, when the one that did it has gone.
 *
 * @param <Q> what is asked
 */
public interface Work<Q extends Record> {
    /** @return by which it is known among what is kept */
    String kind();

    /** @return type of what is asked: a document that the document reader takes */
    Class<Q> question();

    /**
     * @param question what is asked
     * @param progress told how much is done
     * @param cancelled asked now and then, by any thread of the work; it may keep the caller waiting for a moment while somebody
     *     waits for something shorter
     * @return the answer, as it goes over the wire
     * @throws Exception when it cannot be done; its message is told
     */
    Object run(Q question, LongConsumer progress, BooleanSupplier cancelled) throws Exception;
}
