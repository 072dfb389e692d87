package isotherm.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class JobsTest {
    private final Jobs jobs = new Jobs();

    @AfterEach
    void stop() {
        jobs.stop();
    }

    private Jobs.JobView ended(Jobs.JobView started) throws InterruptedException {
        for (int i = 0; i < 500; i++) {
            Jobs.JobView now = jobs.find(started.id()).orElseThrow();
            if (now.state() != Jobs.State.WAITING && now.state() != Jobs.State.RUNNING) {
                return now;
            }
            Thread.sleep(10);
        }
        throw new IllegalStateException("The job does not end");
    }

    @Test
    void anAnswerIsThereWhenTheWorkIsDone() throws InterruptedException {
        Jobs.JobView done = ended(jobs.start("me", 3, Jobs.Wanted.ALWAYS, (progress, cancelled) -> {
            progress.accept(3);
            return "answer";
        }));
        assertThat(done.state()).isEqualTo(Jobs.State.DONE);
        assertThat(done.answer()).isEqualTo("answer");
        assertThat(done.done()).isEqualTo(3);
        assertThat(done.total()).isEqualTo(3);
    }

    @Test
    void whatCannotBeDoneSaysWhy() throws InterruptedException {
        Jobs.JobView failed = ended(jobs.start("me", 0, Jobs.Wanted.ALWAYS, (progress, cancelled) -> {
            throw new InvalidDocument(List.of(Problem.of("/rows", "0", "Too few rows")));
        }));
        assertThat(failed.state()).isEqualTo(Jobs.State.FAILED);
        assertThat(failed.problems()).extracting(Problem::path).containsExactly("/rows");
        Jobs.JobView broken = ended(jobs.start("me", 0, Jobs.Wanted.ALWAYS, (progress, cancelled) -> {
            throw new IllegalStateException("No room left");
        }));
        assertThat(broken.state()).isEqualTo(Jobs.State.FAILED);
        assertThat(broken.message()).isEqualTo("No room left");
    }

    @Test
    void workCanBeStoppedWhileItRunsAndBeforeItBegins() throws InterruptedException {
        CountDownLatch running = new CountDownLatch(1);
        Jobs.JobView first = jobs.start("me", 0, Jobs.Wanted.ALWAYS, (progress, cancelled) -> {
            running.countDown();
            while (!cancelled.getAsBoolean()) {
                Thread.sleep(5);
            }
            throw new CancellationException();
        });
        running.await();
        Jobs.JobView second = jobs.start("me", 0, Jobs.Wanted.ALWAYS, (progress, cancelled) -> "never");
        assertThat(jobs.find(second.id()).orElseThrow().state()).isEqualTo(Jobs.State.WAITING);
        jobs.cancel(second.id());
        jobs.cancel(first.id());
        assertThat(ended(first).state()).isEqualTo(Jobs.State.CANCELLED);
        assertThat(ended(second).state()).isEqualTo(Jobs.State.CANCELLED);
        assertThat(ended(second).answer()).isNull();
    }

    @Test
    void aCancellationInsideAnotherExceptionIsStillOne() throws InterruptedException {
        CountDownLatch running = new CountDownLatch(1);
        Jobs.JobView job = jobs.start("me", 0, Jobs.Wanted.ALWAYS, (progress, cancelled) -> {
            running.countDown();
            while (!cancelled.getAsBoolean()) {
                Thread.sleep(5);
            }
            throw new IllegalStateException(new CancellationException());
        });
        running.await();
        jobs.cancel(job.id());
        assertThat(ended(job).state()).isEqualTo(Jobs.State.CANCELLED);
    }

    @Test
    void aJobThatNobodyStartedIsNotThere() {
        assertThat(jobs.find(UUID.randomUUID())).isEmpty();
        assertThat(jobs.cancel(UUID.randomUUID())).isEmpty();
    }
}
