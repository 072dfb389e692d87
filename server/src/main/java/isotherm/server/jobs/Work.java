package isotherm.server.jobs;

import java.util.function.Supplier;

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

    /** Who waits for it; any thread of the work may turn to it. */
    interface Watcher {
        /** @param much how much is done */
        void reached(long much);

        /**
         * Asked now and then; it may keep the caller waiting for a moment while somebody waits for something shorter.
         *
         * @return whether it is not to be gone on with
         */
        boolean isDropped();

        /** @param soFar works out the answer as far as it is known, as it goes over the wire; asked when somebody looks */
        default void found(Supplier<?> soFar) {}
    }

    /**
     * @param question what is asked
     * @param watcher who waits for it
     * @return the answer, as it goes over the wire
     * @throws Exception when it cannot be done; its message is told
     */
    Object run(Q question, Watcher watcher) throws Exception;
}
