package isotherm.server.jobs;

import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/**
 * Where questions are answered that somebody waits for. A question is dropped when its asker asks anew, has gone, or has waited too
 * long; long work has a lane of its own ({@link Jobs}), so that it never stands in the way of these.
 */
@Service
public class Desk {
    /** Nobody waits longer than this before a page, s. */
    private static final int PATIENCE = 60;

    private static final int MOST_WAITING = 96;
    private static final int MOST_EACH = 48;
    private static final int LOOK_EVERY_MS = 100;

    private final Lane lane;
    /** For what is answered in milliseconds: what takes a hundred times as long is never before it. */
    private final Lane quick;

    private final int patience;
    private final Map<String, Lane.Piece<?>> latest = new ConcurrentHashMap<>();

    Desk() {
        this(Runtime.getRuntime().availableProcessors(), PATIENCE);
    }

    Desk(int threads, int patience) {
        this.lane = new Lane("question", threads, threads, MOST_WAITING, MOST_EACH);
        this.quick = new Lane("quick", 1, 1, MOST_WAITING, MOST_EACH);
        this.patience = patience;
    }

    /**
     * Whose a question is.
     *
     * @param who who waits, for taking turns
     * @param view name of the view that asks; a question that a view asks takes the place of the one before. Empty for somebody
     *     who waits for every answer
     * @param gone whether the asker has gone
     */
    public record Asker(String who, String view, BooleanSupplier gone) {}

    /**
     * @param asker whose the question is
     * @param question finds the answer; told whether the question has been dropped
     * @param <T> the answer
     * @return the answer
     * @throws CancellationException when the question has been dropped
     * @throws Busy when too many wait, or it takes too long
     */
    public <T> T ask(Asker asker, Function<BooleanSupplier, T> question) {
        return ask(lane, asker, question);
    }

    /**
     * The same for a question that is answered in some milliseconds, as while something is dragged.
     *
     * @param asker whose the question is
     * @param question finds the answer
     * @param <T> the answer
     * @return the answer
     * @throws CancellationException when the question has been dropped
     * @throws Busy when too many wait, or it takes too long
     */
    public <T> T askQuickly(Asker asker, Supplier<T> question) {
        return ask(quick, asker, dropped -> question.get());
    }

    private <T> T ask(Lane lane, Asker asker, Function<BooleanSupplier, T> question) {
        Lane.Piece<?>[] self = new Lane.Piece<?>[1];
        BooleanSupplier dropped = () -> self[0] != null && self[0].isCancelled();
        Lane.Piece<T> piece;
        if (asker.view().isEmpty()) {
            piece = lane.submit(asker.who(), () -> question.apply(dropped));
        } else {
            // In one step: of two that come at once the later one stays, not the one whose thread was slower.
            @SuppressWarnings("unchecked") // what is put is what was submitted
            Lane.Piece<T> put = (Lane.Piece<T>) latest.compute(asker.view(), (view, before) -> {
                Lane.Piece<T> fresh = lane.submit(asker.who(), () -> question.apply(dropped));
                if (before != null) {
                    before.cancel();
                }
                return fresh;
            });
            piece = put;
        }
        self[0] = piece;
        try {
            return waited(asker, piece);
        } finally {
            latest.remove(asker.view(), piece);
        }
    }

    private <T> T waited(Asker asker, Lane.Piece<T> piece) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(patience);
        while (true) {
            try {
                return piece.answer().get(LOOK_EVERY_MS, TimeUnit.MILLISECONDS);
            } catch (TimeoutException e) {
                if (asker.gone().getAsBoolean()) {
                    piece.cancel();
                    throw new CancellationException("Nobody waits for this answer any more");
                }
                if (System.nanoTime() > until) {
                    piece.cancel();
                    throw new Busy(
                            "This would take longer than " + patience
                                    + " s and was stopped. Ask for fewer values, a shorter session, or try again when less is going on.");
                }
            } catch (ExecutionException e) {
                throw thrown(e.getCause());
            } catch (InterruptedException e) {
                piece.cancel();
                Thread.currentThread().interrupt();
                throw new CancellationException("The server stops");
            }
        }
    }

    private static RuntimeException thrown(Throwable cause) {
        if (cause instanceof Error error) {
            throw error;
        }
        return cause instanceof RuntimeException e ? e : new IllegalStateException(cause);
    }

    /** @return questions that wait or are worked at */
    public int load() {
        return lane.load() + quick.load();
    }

    @PreDestroy
    void stop() {
        lane.stop();
        quick.stop();
    }
}
