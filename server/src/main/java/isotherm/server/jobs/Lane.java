package isotherm.server.jobs;

import java.util.ArrayDeque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;

/**
 * Computation in bounds: so many pieces at once, so many that wait, and whoever asks much waits behind whoever asks little. What is
 * computed in parallel stays among this lane's own threads.
 */
final class Lane {
    private final ForkJoinPool pool;
    private final int abreast;
    private final int mostWaiting;
    private final int mostEach;
    /** Everybody who waits, whose turn it is first; each with what they wait for. */
    private final Map<String, Queue<Piece<?>>> waiting = new LinkedHashMap<>();

    private int running;
    private int queued;

    /**
     * @param name name of its threads
     * @param threads threads that compute
     * @param abreast pieces that are worked at once
     * @param mostWaiting pieces that wait at most
     * @param mostEach pieces of one asker that wait at most
     */
    Lane(String name, int threads, int abreast, int mostWaiting, int mostEach) {
        this.abreast = abreast;
        this.mostWaiting = mostWaiting;
        this.mostEach = mostEach;
        this.pool = new ForkJoinPool(
                threads,
                p -> {
                    var thread = ForkJoinPool.defaultForkJoinWorkerThreadFactory.newThread(p);
                    thread.setName(name + "-" + thread.getPoolIndex());
                    return thread;
                },
                null,
                false);
    }

    /** A piece of work that waits, is worked at, or has ended. */
    final class Piece<T> {
        private final String asker;
        private final Callable<T> work;
        private final CompletableFuture<T> answer = new CompletableFuture<>();
        private volatile boolean cancelled;
        private Thread worker;

        private Piece(String asker, Callable<T> work) {
            this.asker = asker;
            this.work = work;
        }

        /** @return whether nobody waits for it any more */
        boolean isCancelled() {
            return cancelled;
        }

        /** @return its answer, when it is there */
        CompletableFuture<T> answer() {
            return answer;
        }

        /** Takes it out of the queue, or interrupts it; sessions ask between two of them whether they are interrupted. */
        void cancel() {
            synchronized (Lane.this) {
                cancelled = true;
                if (worker != null) {
                    worker.interrupt();
                } else if (!answer.isDone()) {
                    Queue<Piece<?>> own = waiting.get(asker);
                    if (own != null && own.remove(this)) {
                        queued--;
                        if (own.isEmpty()) {
                            waiting.remove(asker);
                        }
                    }
                    answer.completeExceptionally(new CancellationException("It was stopped before it began"));
                }
            }
        }

        private void run() {
            synchronized (Lane.this) {
                worker = Thread.currentThread();
            }
            T made = null;
            Throwable failed = null;
            try {
                if (cancelled) {
                    throw new CancellationException("It was stopped");
                }
                made = work.call();
            } catch (Throwable e) {
                // An Error too is told to whoever waits: a piece that ends without a word is waited for for ever.
                failed = cancelled ? new CancellationException("It was stopped") : e;
            }
            synchronized (Lane.this) {
                worker = null;
                Thread.interrupted();
                running--;
                next();
            }
            if (failed != null) {
                answer.completeExceptionally(failed);
            } else {
                answer.complete(made);
            }
        }
    }

    /**
     * @param asker whose it is
     * @param work the work
     * @return the piece, waiting or at work
     * @throws Busy when too much waits already
     */
    synchronized <T> Piece<T> submit(String asker, Callable<T> work) {
        Queue<Piece<?>> own = waiting.get(asker);
        if (queued >= mostWaiting || own != null && own.size() >= mostEach) {
            throw new Busy("Too much is being computed at once. Try again in a moment.");
        }
        Piece<T> piece = new Piece<>(asker, work);
        waiting.computeIfAbsent(asker, k -> new ArrayDeque<>()).add(piece);
        queued++;
        next();
        return piece;
    }

    /** Whoever had a turn goes to the end of the row. */
    private void next() {
        while (running < abreast && !waiting.isEmpty()) {
            var first = waiting.entrySet().iterator().next();
            waiting.remove(first.getKey());
            Piece<?> piece = first.getValue().remove();
            if (!first.getValue().isEmpty()) {
                waiting.put(first.getKey(), first.getValue());
            }
            queued--;
            running++;
            pool.execute(piece::run);
        }
    }

    /** @return pieces that wait or are worked at */
    synchronized int load() {
        return queued + running;
    }

    void stop() {
        synchronized (this) {
            waiting.values()
                    .forEach(own -> own.forEach(
                            p -> p.answer.completeExceptionally(new CancellationException("The server stops"))));
            waiting.clear();
            queued = 0;
        }
        pool.shutdownNow();
        try {
            pool.awaitTermination(1, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
