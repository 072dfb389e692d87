package isotherm.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Whoever asks again has left the question before. */
class AskersTest {
    private final Askers askers = new Askers();
    private final CountDownLatch searching = new CountDownLatch(1);
    private final CountDownLatch askedAgain = new CountDownLatch(1);

    private CompletableFuture<Boolean> firstIsLeft(String asker) throws InterruptedException {
        CompletableFuture<Boolean> first = CompletableFuture.supplyAsync(() -> askers.ask(asker, left -> {
            searching.countDown();
            try {
                return askedAgain.await(20, TimeUnit.SECONDS) && left.getAsBoolean();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }));
        assertThat(searching.await(20, TimeUnit.SECONDS)).isTrue();
        return first;
    }

    @Test
    void theQuestionBeforeIsLeft() throws Exception {
        CompletableFuture<Boolean> first = firstIsLeft("one view");
        assertThat(askers.<Boolean>ask("one view", left -> {
                    askedAgain.countDown();
                    return left.getAsBoolean();
                }))
                .isFalse();
        assertThat(first.get(20, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void anotherViewsQuestionIsNot() throws Exception {
        CompletableFuture<Boolean> first = firstIsLeft("one view");
        askers.ask("another view", left -> true);
        askedAgain.countDown();
        assertThat(first.get(20, TimeUnit.SECONDS)).isFalse();
    }

    @Test
    void whoeverGivesNoNameWaitsForEveryAnswer() throws Exception {
        CompletableFuture<Boolean> first = firstIsLeft("");
        askers.ask("", left -> true);
        askedAgain.countDown();
        assertThat(first.get(20, TimeUnit.SECONDS)).isFalse();
    }
}
