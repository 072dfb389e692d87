package isotherm.server.jobs;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Runs long work in the background, one piece of it at a time, since each uses all processors. So much waits at most, and what only
 * somebody at a page wants is dropped when nobody asks for it any more.
 */
@Service
public class Jobs {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final Duration KEPT = Duration.ofHours(1);
    /** Answers are large: no more of them are kept. */
    private static final int MOST_KEPT = 50;

    private static final int MOST_WAITING = 16;
    private static final int MOST_EACH = 8;
    /** A page asks every moment; one that has not asked for so long has gone. */
    private static final Duration UNWATCHED = Duration.ofSeconds(5);

    private final Map<UUID, Job> jobs = new ConcurrentHashMap<>();
    private final Lane lane =
            new Lane("long-work", Runtime.getRuntime().availableProcessors(), 1, MOST_WAITING, MOST_EACH);

    /** Where a job stands. */
    public enum State {
        /** Waiting for another one to end. */
        WAITING,
        /** At work. */
        RUNNING,
        /** Its answer is there. */
        DONE,
        /** It could not be done. */
        FAILED,
        /** Somebody stopped it. */
        CANCELLED
    }

    /**
     * A job as it is told.
     *
     * @param id its identity
     * @param state where it stands
     * @param done how much is done
     * @param total of how much; 0 when not known
     * @param message why it failed; missing while it has not
     * @param problems what was wrong with its input
     * @param answer its answer; missing until it is there
     */
    public record JobView(
            UUID id,
            State state,
            long done,
            long total,
            @Missing("it has not failed") String message,
            List<Problem> problems,
            @Missing("it is not there yet") Object answer) {}

    /** Long work. */
    public interface Work {
        /**
         * @param progress told how much is done
         * @param cancelled asked now and then
         * @return the answer
         * @throws Exception when it cannot be done; its message is told
         */
        Object run(LongConsumer progress, BooleanSupplier cancelled) throws Exception;
    }

    /** Whether somebody has to wait for the answer. */
    public enum Wanted {
        /** It is done even if whoever began it goes away: it changes what is stored. */
        ALWAYS,
        /** It is dropped when nobody asks how it stands any more. */
        WHILE_WATCHED
    }

    private static final class Job {
        private final UUID id = UUID.randomUUID();
        private final long total;
        private final Wanted wanted;
        private volatile State state = State.WAITING;
        private volatile long done;
        private volatile String message;
        private volatile List<Problem> problems = List.of();
        private volatile Object answer;
        private volatile Instant asked = Instant.now();
        private volatile Instant ended;
        private volatile Lane.Piece<Object> piece;

        Job(long total, Wanted wanted) {
            this.total = total;
            this.wanted = wanted;
        }

        boolean isDropped() {
            boolean unwatched = wanted == Wanted.WHILE_WATCHED && Instant.now().isAfter(asked.plus(UNWATCHED));
            return unwatched || piece != null && piece.isCancelled();
        }

        JobView view() {
            return new JobView(id, state, done, total, message, problems, answer);
        }

        private void end(Throwable failed) {
            if (failed == null) {
                state = State.DONE;
            } else if (failed instanceof CancellationException || isDropped()) {
                state = State.CANCELLED;
            } else if (failed instanceof InvalidDocument e) {
                problems = e.problems();
                message = e.getMessage();
                state = State.FAILED;
            } else {
                LOG.error("A job failed", failed);
                message = failed.getMessage() == null || failed instanceof Error
                        ? "It could not be done; what happened stands in the server's messages"
                        : failed.getMessage();
                state = State.FAILED;
            }
            ended = Instant.now();
        }
    }

    /**
     * @param who whose it is, for taking turns
     * @param total how much there is to do, as its progress counts; 0 when not known
     * @param wanted whether somebody has to wait for it
     * @param work the work
     * @return the job, waiting
     * @throws Busy when too much waits already
     */
    public JobView start(String who, long total, Wanted wanted, Work work) {
        forget();
        Job job = new Job(total, wanted);
        job.piece = lane.submit(who, () -> {
            job.state = State.RUNNING;
            job.answer = work.run(done -> job.done = done, job::isDropped);
            return job.answer;
        });
        job.piece.answer().whenComplete((answer, failed) -> job.end(failed));
        jobs.put(job.id, job);
        return job.view();
    }

    /**
     * @param answer of work that was done before
     * @return a job that has ended with it
     */
    public JobView done(Object answer) {
        return new JobView(UUID.randomUUID(), State.DONE, 0, 0, null, List.of(), answer);
    }

    private void forget() {
        Instant old = Instant.now().minus(KEPT);
        jobs.values().removeIf(j -> j.ended != null && j.ended.isBefore(old));
        jobs.values().stream()
                .filter(j -> j.ended != null)
                .sorted(Comparator.comparing((Job j) -> j.ended).reversed())
                .skip(MOST_KEPT)
                .forEach(j -> jobs.remove(j.id));
    }

    /**
     * @param id a job
     * @return how it stands, if it is known here
     */
    public Optional<JobView> find(UUID id) {
        Optional<Job> job = Optional.ofNullable(jobs.get(id));
        job.ifPresent(j -> j.asked = Instant.now());
        return job.map(Job::view);
    }

    /**
     * @param id a job to stop
     * @return how it stands, if it is known here
     */
    public Optional<JobView> cancel(UUID id) {
        Job job = jobs.get(id);
        if (job == null) {
            return Optional.empty();
        }
        job.piece.cancel();
        return Optional.of(job.view());
    }

    /** @return long work that waits or is under way */
    public int load() {
        return lane.load();
    }

    @PreDestroy
    void stop() {
        jobs.values().forEach(j -> j.piece.cancel());
        lane.stop();
    }
}
