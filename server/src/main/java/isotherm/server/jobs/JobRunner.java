package isotherm.server.jobs;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.orm.jpa.JpaSystemException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Does long work, one piece of it at a time, since each uses all processors. Who does which is agreed on in the database by
 * db-scheduler: each piece is picked by one server, which shows that it lives; what a dead one had picked is picked anew.
 */
@Component
class JobRunner {
    private static final Logger LOG = LoggerFactory.getLogger(JobRunner.class);
    private static final TaskDescriptor<Void> TASK = TaskDescriptor.of("job");
    /** A server that has not shown itself for so many of these has gone: its work is taken up within ten seconds. */
    private static final Duration HEARTBEAT = Duration.ofSeconds(2);

    private static final int MISSED = 4;
    private static final Duration POLLING = Duration.ofSeconds(1);
    /** How long an answer is kept here for a database that is away, s. */
    private static final int PATIENCE = 120;

    private static final long SECOND_MS = 1000;
    private static final long LOOK_AT_CLOCK_MS = 10_000;

    private final JobRepository jobs;
    private final Desk desk;
    private final JsonMapper json;
    private final TransactionTemplate transaction;
    private final Map<String, Work<?>> works;
    private final ForkJoinPool pool = new ForkJoinPool(Runtime.getRuntime().availableProcessors());
    private final Scheduler scheduler;
    private volatile boolean stopping;

    JobRunner(
            JobRepository jobs,
            Desk desk,
            JsonMapper json,
            TransactionTemplate transaction,
            List<Work<?>> works,
            DataSource database) {
        this.jobs = jobs;
        this.desk = desk;
        this.json = json;
        this.transaction = transaction;
        this.works = works.stream().collect(Collectors.toMap(Work::kind, Function.identity()));
        OneTimeTask<Void> task = Tasks.oneTime(TASK)
                .onFailure(new FailureHandler.OnFailureRetryLater<>(POLLING))
                .execute((instance, context) -> run(UUID.fromString(instance.getId())));
        // What is due is written in the transaction in which the job itself is.
        this.scheduler = Scheduler.create(new TransactionAwareDataSourceProxy(database), task)
                // Several servers may run on one machine.
                .schedulerName(new SchedulerName.Fixed(UUID.randomUUID().toString()))
                .threads(1)
                .pollingInterval(POLLING)
                .heartbeatInterval(HEARTBEAT)
                .missedHeartbeatsLimit(MISSED)
                .enablePriority()
                .shutdownMaxWait(Duration.ofSeconds(2))
                .build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }

    @EventListener(ContextClosedEvent.class)
    void stop() {
        stopping = true;
        scheduler.stop();
        pool.shutdownNow();
    }

    /**
     * To be called in the transaction in which the job is kept.
     *
     * @param id a job
     * @param priority the greater, the sooner
     */
    void submit(UUID id, int priority) {
        scheduler.schedule(TASK.instance(id.toString()).priority(priority).scheduledTo(Instant.now()));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                scheduler.triggerCheckForDueExecutions();
            }
        });
    }

    /** What became due at a moment that is still to come was written before the clock was set back: it is due now. */
    @Scheduled(fixedDelay = LOOK_AT_CLOCK_MS, initialDelay = LOOK_AT_CLOCK_MS)
    void hurry() {
        try {
            transaction.executeWithoutResult(t -> jobs.dueBy(Instant.now().plusMillis(LOOK_AT_CLOCK_MS)));
        } catch (DataAccessException | TransactionException e) {
            LOG.debug("Nothing can be hurried now", e);
        }
    }

    private void run(UUID id) {
        Optional<JobEntity> job = transaction.execute(t -> {
            Optional<JobEntity> there = jobs.findById(id).filter(j -> !j.hasEnded());
            there.ifPresent(JobEntity::run);
            return there;
        });
        if (job.isPresent()) {
            Watch watch = new Watch(id);
            try {
                end(id, Jobs.State.DONE, null, null, json.writeValueAsString(answer(job.get(), watch)));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new CancellationException("The server stops; another one goes on with it");
            } catch (ExecutionException e) {
                failed(id, e.getCause(), watch);
            }
        }
    }

    private <Q extends Record> Object answer(JobEntity job, Watch watch)
            throws InterruptedException, ExecutionException {
        @SuppressWarnings("unchecked") // a work's question is of its own type
        Work<Q> work = (Work<Q>) works.get(job.kind());
        // What is computed in parallel stays among these threads.
        return pool.submit(() -> work.run(DocumentReader.read(job.question(), work.question()), watch))
                .get();
    }

    private void failed(UUID id, Throwable why, Watch watch) {
        if (stopping) {
            throw new CancellationException("The server stops; another one goes on with it");
        }
        if (isAway(why)) {
            throw new IllegalStateException("The database is away; gone on with when it is back", why);
        }
        Throwable cause = why.getCause() instanceof InvalidDocument ? why.getCause() : why;
        if (cause instanceof CancellationException || watch.dropped) {
            end(id, Jobs.State.CANCELLED, null, null, null);
        } else if (cause instanceof InvalidDocument e) {
            end(id, Jobs.State.FAILED, e.getMessage(), json.writeValueAsString(e.problems()), null);
        } else {
            LOG.error("A job failed", cause);
            end(
                    id,
                    Jobs.State.FAILED,
                    cause.getMessage() == null || cause instanceof Error
                            ? "It could not be done; what happened stands in the server's messages"
                            : cause.getMessage(),
                    null,
                    null);
        }
    }

    /**
     * Whether the database could not be reached, or went on the way: then the work is not to blame. One that has no room (SQL states
     * 53) is there.
     */
    private static boolean isAway(Throwable why) {
        boolean away = false;
        for (Throwable cause = why; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException e && e.getSQLState() != null) {
                return e.getSQLState().startsWith("08") || e.getSQLState().startsWith("57P");
            }
            away |= cause instanceof TransactionException || cause instanceof JpaSystemException;
        }
        return away;
    }

    /** An answer that took long is not thrown away because the database is away for a moment. */
    private void end(UUID id, Jobs.State how, String why, String wrong, String answer) {
        for (int second = 0; ; second++) {
            try {
                transaction.executeWithoutResult(t -> jobs.findById(id).ifPresent(j -> j.end(how, why, wrong, answer)));
                return;
            } catch (DataAccessException | TransactionException e) {
                if (stopping || second == PATIENCE) {
                    throw e;
                }
            }
            try {
                Thread.sleep(SECOND_MS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new CancellationException("The server stops; another one goes on with it");
            }
        }
    }

    /** Between a piece of work and the database: tells how far it is, finds out whether it is still wanted, gives way. */
    private final class Watch implements Work.Watcher {
        private static final long LOOK_EVERY_NS = 300_000_000;
        /** Several times as long as a piece takes: beside people who wait, long work has a small share of a processor. */
        private static final long GIVE_WAY_MS = 8;

        private final UUID id;
        private volatile boolean dropped;
        private volatile long done;
        private volatile Supplier<?> soFar;
        private long looked = System.nanoTime();

        Watch(UUID id) {
            this.id = id;
        }

        @Override
        public void reached(long much) {
            done = much;
        }

        @Override
        public void found(Supplier<?> found) {
            boolean first = soFar == null;
            soFar = found;
            if (first) {
                // Whoever waits sees at once that there is something.
                look();
            }
        }

        @Override
        public boolean isDropped() {
            if (desk.load() > 0) {
                // Somebody waits for something short.
                try {
                    Thread.sleep(GIVE_WAY_MS);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return true;
                }
            }
            if (mayLook()) {
                look();
            }
            return dropped || stopping;
        }

        private void look() {
            Supplier<?> known = soFar;
            String answer = known == null ? null : json.writeValueAsString(known.get());
            try {
                transaction.executeWithoutResult(t -> jobs.findById(id)
                        .ifPresentOrElse(
                                j -> {
                                    j.reach(done, answer);
                                    dropped = j.isDropped();
                                },
                                () -> dropped = true));
            } catch (DataAccessException | TransactionException e) {
                LOG.debug("How far {} is cannot be told now", id, e);
            }
        }

        private synchronized boolean mayLook() {
            long now = System.nanoTime();
            boolean due = now - looked > LOOK_EVERY_NS;
            if (due) {
                looked = now;
            }
            return due;
        }
    }
}
