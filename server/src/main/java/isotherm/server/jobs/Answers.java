package isotherm.server.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/**
 * The latest answers: whoever loads a page again, opens it on a phone beside, or comes back to an earlier choice has them at once.
 * An answer is computed from its question alone, so that it holds for as long as the question is equal.
 */
@Service
public class Answers {
    /** Values that a question and its answer count as, beside a log's: a hundred of them are kept. */
    private static final int EACH = 5_000;

    /** Two logs of the longest, or a hundred questions without one: some 50 MB. */
    private static final long MOST = 100L * EACH;

    private static final Duration UNUSED = Duration.ofMinutes(30);

    private final Desk desk;
    private final Cache<Question, Object> latest = Caffeine.newBuilder()
            .maximumWeight(MOST)
            .weigher((Question asked, Object answer) -> EACH + asked.logRows())
            .executor(Runnable::run)
            .expireAfterAccess(UNUSED)
            .build();

    /**
     * What is asked.
     *
     * @param kind the kind of question, whose answers are all of one type
     * @param logRows rows of a log that it brings along, 0 for none: the long ones are soon forgotten
     * @param all everything that the answer is computed from
     */
    public record Question(String kind, int logRows, List<?> all) {}

    Answers(Desk desk) {
        this.desk = desk;
    }

    /**
     * @param asker whose the question is
     * @param asked the question
     * @param finding finds the answer; told whether the question has been dropped
     * @param <T> the answer, never changed by anybody
     * @return the answer
     * @throws CancellationException when the question has been dropped
     * @throws Busy when too many wait, or it takes too long
     */
    public <T> T ask(Desk.Asker asker, Question asked, Function<BooleanSupplier, T> finding) {
        @SuppressWarnings("unchecked") // the kind is in the key
        T known = (T) latest.getIfPresent(asked);
        if (known != null) {
            return known;
        }
        T answer = desk.ask(asker, finding);
        // What has no answer, such as an interval of no samples, is found again as quickly.
        if (answer != null) {
            latest.put(asked, answer);
        }
        return answer;
    }
}
