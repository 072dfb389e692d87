package isotherm.server.jobs;

import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Long work in the background, kept in the database: any server tells how it stands, one of them does it, another takes it up when
 * that one has gone. So much waits at most, and what only somebody at a page wants is dropped when nobody asks for it any more.
 */
@Service
@Transactional
public class Jobs {
    /** A page asks every moment; one that has not asked for so long has gone. */
    static final Duration UNWATCHED = Duration.ofSeconds(5);

    private static final Duration KEPT = Duration.ofHours(1);
    /** Answers are large: no more of them are kept. */
    private static final int MOST_KEPT = 50;

    private static final int MOST_WAITING = 16;
    private static final int MOST_EACH = 8;

    private final JobRepository jobs;
    private final JobRunner runner;
    private final JsonMapper json;

    Jobs(JobRepository jobs, JobRunner runner, JsonMapper json) {
        this.jobs = jobs;
        this.runner = runner;
        this.json = json;
    }

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
     * @param answer its answer, or what is known of it while it is at work
     */
    public record JobView(
            UUID id,
            State state,
            long done,
            long total,
            @Missing("it has not failed") String message,
            List<Problem> problems,
            @Missing("nothing is known yet") Object answer) {}

    /** Whether somebody has to wait for the answer. */
    public enum Wanted {
        /** It is done even if whoever began it goes away: it changes what is stored. */
        ALWAYS,
        /** It is dropped when nobody asks how it stands any more. */
        WHILE_WATCHED
    }

    /**
     * @param id identity of the job: asked for again under the same one, it is begun once
     * @param who whose it is, for taking turns
     * @param kind a kind of work
     * @param total how much there is to do, as its progress counts; 0 when not known
     * @param wanted whether somebody has to wait for it
     * @param question what is asked
     * @return the job
     * @throws Busy when too much waits already
     */
    public JobView start(UUID id, String who, String kind, long total, Wanted wanted, Record question) {
        Optional<JobEntity> there = jobs.findById(id);
        if (there.isPresent()) {
            return view(there.get());
        }
        jobs.forget(Instant.now().minus(KEPT));
        jobs.deleteAllById(jobs.beyond(MOST_KEPT));
        long mine = jobs.countByStateAndWho(State.WAITING, who);
        if (jobs.countByState(State.WAITING) >= MOST_WAITING || mine >= MOST_EACH) {
            throw new Busy("Too much is being computed at once. Try again in a moment.");
        }
        JobEntity job =
                jobs.saveAndFlush(new JobEntity(id, kind, who, wanted, json.writeValueAsString(question), total));
        // Whoever waits for much waits behind whoever waits for little.
        runner.submit(id, -(int) mine);
        return view(job);
    }

    /**
     * @param answer of work that was done before
     * @return a job that has ended with it
     */
    public JobView done(Object answer) {
        return new JobView(UUID.randomUUID(), State.DONE, 0, 0, null, List.of(), answer);
    }

    private JobView view(JobEntity job) {
        return new JobView(
                job.id(),
                job.state(),
                job.done(),
                job.total(),
                job.message(),
                job.problems() == null
                        ? List.of()
                        : json.readValue(job.problems(), new TypeReference<List<Problem>>() {}),
                job.answer() == null ? null : json.readTree(job.answer()));
    }

    /**
     * @param id a job
     * @return how it stands, if it is known
     */
    public Optional<JobView> find(UUID id) {
        Optional<JobEntity> job = jobs.findById(id);
        job.filter(JobEntity::wasAskedLongAgo).ifPresent(JobEntity::asked);
        return job.map(this::view);
    }

    /**
     * @param id a job to stop
     * @return how it stands, if it is known
     */
    public Optional<JobView> cancel(UUID id) {
        Optional<JobEntity> job = jobs.findById(id);
        job.filter(j -> !j.hasEnded()).ifPresent(j -> {
            j.cancel();
            if (j.state() == State.WAITING) {
                j.end(State.CANCELLED, null, null, null);
            }
        });
        return job.map(this::view);
    }

    /** @return long work that waits or is under way */
    @Transactional(readOnly = true)
    public int load() {
        return (int) (jobs.countByState(State.WAITING) + jobs.countByState(State.RUNNING));
    }
}
