package isotherm.server.jobs;

import isotherm.server.document.InvalidDocument;
import isotherm.server.document.Missing;
import isotherm.server.document.Problem;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Runs long work in the background, one piece of it at a time, since each uses all processors. */
@Service
public class Jobs {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final Duration KEPT = Duration.ofHours(1);

    private final Map<UUID, Job> jobs = new ConcurrentHashMap<>();
    private final ExecutorService executor = Executors.newSingleThreadExecutor(r -> {
        Thread thread = new Thread(r, "long-work");
        thread.setDaemon(true);
        return thread;
    });

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

    private static final class Job {
        private final UUID id = UUID.randomUUID();
        private final long total;
        private volatile State state = State.WAITING;
        private volatile long done;
        private volatile String message;
        private volatile List<Problem> problems = List.of();
        private volatile Object answer;
        private volatile boolean cancelled;
        private volatile Instant ended;

        Job(long total) {
            this.total = total;
        }

        JobView view() {
            return new JobView(id, state, done, total, message, problems, answer);
        }
    }

    /**
     * @param total how much there is to do, as its progress counts; 0 when not known
     * @param work the work
     * @return the job, waiting
     */
    public JobView start(long total, Work work) {
        Instant old = Instant.now().minus(KEPT);
        jobs.values().removeIf(j -> j.ended != null && j.ended.isBefore(old));
        Job job = new Job(total);
        jobs.put(job.id, job);
        executor.execute(() -> run(job, work));
        return job.view();
    }

    private static void run(Job job, Work work) {
        if (job.cancelled) {
            job.state = State.CANCELLED;
            job.ended = Instant.now();
            return;
        }
        job.state = State.RUNNING;
        try {
            job.answer = work.run(done -> job.done = done, () -> job.cancelled);
            job.state = State.DONE;
        } catch (CancellationException e) {
            job.state = State.CANCELLED;
        } catch (InvalidDocument e) {
            job.problems = e.problems();
            job.message = e.getMessage();
            job.state = State.FAILED;
        } catch (Exception e) {
            // A parallel stream hands a cancellation on inside another exception.
            if (job.cancelled) {
                job.state = State.CANCELLED;
            } else {
                LOG.error("A job failed", e);
                job.message = e.getMessage() == null ? "It could not be done" : e.getMessage();
                job.state = State.FAILED;
            }
        }
        job.ended = Instant.now();
    }

    /**
     * @param id a job
     * @return how it stands, if it is known here
     */
    public Optional<JobView> find(UUID id) {
        return Optional.ofNullable(jobs.get(id)).map(Job::view);
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
        job.cancelled = true;
        return Optional.of(job.view());
    }

    @PreDestroy
    void stop() {
        jobs.values().forEach(j -> j.cancelled = true);
        executor.shutdown();
    }
}
