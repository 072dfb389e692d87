package isotherm.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import isotherm.server.contract.Problem;
import isotherm.server.testing.OwnServer;
import isotherm.server.testing.RunningServer;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

class JobsTest {
    private static final RunningServer SERVER = RunningServer.having(TestWork.class);
    private static final Jobs JOBS = SERVER.bean(Jobs.class);

    @AfterAll
    static void close() {
        SERVER.close();
    }

    private static Jobs.JobView start(String what, Jobs.Wanted wanted) {
        return JOBS.start(UUID.randomUUID(), "me", TestWork.KIND, 3, wanted, new TestWork.Question(what));
    }

    private static Jobs.JobView until(Jobs.JobView job, Predicate<Jobs.JobView> there) {
        AtomicReference<Jobs.JobView> now = new AtomicReference<>();
        OwnServer.until(
                () -> {
                    now.set(JOBS.find(job.id()).orElseThrow());
                    return there.test(now.get());
                },
                20);
        return now.get();
    }

    private static Jobs.JobView ended(Jobs.JobView job) {
        return until(job, j -> j.state() != Jobs.State.WAITING && j.state() != Jobs.State.RUNNING);
    }

    private static Jobs.JobView running(Jobs.JobView job) {
        return until(job, j -> j.state() == Jobs.State.RUNNING && j.done() > 0);
    }

    @Test
    void anAnswerIsThereWhenTheWorkIsDone() {
        Jobs.JobView done = ended(start("answer", Jobs.Wanted.ALWAYS));
        assertThat(done.state()).isEqualTo(Jobs.State.DONE);
        assertThat(((JsonNode) done.answer()).get("found").asInt()).isEqualTo(42);
        assertThat(done.total()).isEqualTo(3);
    }

    @Test
    void whatIsFoundIsToldWhileTheWorkGoesOn() {
        Jobs.JobView job = start("grow", Jobs.Wanted.ALWAYS);
        Jobs.JobView growing = until(job, j -> j.state() == Jobs.State.RUNNING && j.answer() != null);
        assertThat(((JsonNode) growing.answer()).get("found").asInt()).isEqualTo(7);
        JOBS.cancel(job.id());
        Jobs.JobView stopped = ended(job);
        assertThat(stopped.state()).isEqualTo(Jobs.State.CANCELLED);
        assertThat(stopped.answer()).isNull();
    }

    @Test
    void whatIsAskedForAgainIsDoneOnce() {
        UUID id = UUID.randomUUID();
        TestWork.Question question = new TestWork.Question("answer");
        int before = TestWork.BEGUN.get();
        Jobs.JobView first = JOBS.start(id, "me", TestWork.KIND, 0, Jobs.Wanted.ALWAYS, question);
        ended(first);
        assertThat(JOBS.start(id, "me", TestWork.KIND, 0, Jobs.Wanted.ALWAYS, question)
                        .state())
                .isEqualTo(Jobs.State.DONE);
        assertThat(TestWork.BEGUN.get() - before).isEqualTo(1);
    }

    @Test
    void whatCannotBeDoneSaysWhy() {
        Jobs.JobView failed = ended(start("refuse", Jobs.Wanted.ALWAYS));
        assertThat(failed.state()).isEqualTo(Jobs.State.FAILED);
        assertThat(failed.problems()).extracting(Problem::path).containsExactly("/rows");
        Jobs.JobView broken = ended(start("break", Jobs.Wanted.ALWAYS));
        assertThat(broken.state()).isEqualTo(Jobs.State.FAILED);
        assertThat(broken.message()).contains("No room left");
    }

    @Test
    void workCanBeStoppedWhileItRunsAndBeforeItBegins() {
        Jobs.JobView first = start("go on", Jobs.Wanted.ALWAYS);
        running(first);
        Jobs.JobView second = start("answer", Jobs.Wanted.ALWAYS);
        assertThat(JOBS.find(second.id()).orElseThrow().state()).isEqualTo(Jobs.State.WAITING);
        assertThat(JOBS.cancel(second.id()).orElseThrow().state()).isEqualTo(Jobs.State.CANCELLED);
        JOBS.cancel(first.id());
        assertThat(ended(first).state()).isEqualTo(Jobs.State.CANCELLED);
        assertThat(ended(second).answer()).isNull();
    }

    @Test
    void whatIsDueAfterAClockWasSetBackIsDoneAllTheSame() {
        Jobs.JobView first = start("go on", Jobs.Wanted.ALWAYS);
        running(first);
        Jobs.JobView second = start("answer", Jobs.Wanted.ALWAYS);
        assertThat(SERVER.bean(JdbcTemplate.class)
                        .update(
                                "update scheduled_tasks set execution_time = execution_time + interval '400 days'"
                                        + " where task_instance = ?",
                                second.id().toString()))
                .isEqualTo(1);
        JOBS.cancel(first.id());
        assertThat(ended(second).state()).isEqualTo(Jobs.State.DONE);
    }

    @Test
    void aCancellationInsideAnotherExceptionIsStillOne() {
        Jobs.JobView job = start("nested", Jobs.Wanted.ALWAYS);
        running(job);
        JOBS.cancel(job.id());
        assertThat(ended(job).state()).isEqualTo(Jobs.State.CANCELLED);
    }

    @Test
    void whatNobodyWatchesIsDropped() throws InterruptedException {
        Jobs.JobView job = start("go on", Jobs.Wanted.WHILE_WATCHED);
        running(job);
        Thread.sleep(Jobs.UNWATCHED.plusSeconds(2).toMillis());
        assertThat(ended(job).state()).isEqualTo(Jobs.State.CANCELLED);
    }

    @Test
    void whatSomebodyWatchesGoesOnAndAStopIsNotUndone() throws InterruptedException {
        Jobs.JobView job = start("go on", Jobs.Wanted.WHILE_WATCHED);
        running(job);
        // Watching, doing and stopping write the same row at once.
        long until = System.nanoTime() + Jobs.UNWATCHED.plusSeconds(2).toNanos();
        while (System.nanoTime() < until) {
            assertThat(JOBS.find(job.id()).orElseThrow().state()).isEqualTo(Jobs.State.RUNNING);
            Thread.sleep(5);
        }
        for (int i = 0; i < 8; i++) {
            Jobs.JobView stopped = i == 0 ? job : start("go on", Jobs.Wanted.ALWAYS);
            running(stopped);
            Thread.sleep(250 + 20 * i);
            JOBS.cancel(stopped.id());
            assertThat(ended(stopped).state()).isEqualTo(Jobs.State.CANCELLED);
        }
    }

    @Test
    void oneWhoWaitsForMuchIsToldToWait() {
        List<Jobs.JobView> begun = new ArrayList<>();
        assertThatExceptionOfType(Busy.class).isThrownBy(() -> {
            for (int i = 0; i < 20; i++) {
                begun.add(start("go on", Jobs.Wanted.ALWAYS));
            }
        });
        assertThat(begun).hasSizeBetween(8, 10);
        begun.forEach(j -> JOBS.cancel(j.id()));
    }

    @Test
    void aJobThatNobodyStartedIsNotThere() {
        assertThat(JOBS.find(UUID.randomUUID())).isEmpty();
        assertThat(JOBS.cancel(UUID.randomUUID())).isEmpty();
    }
}
