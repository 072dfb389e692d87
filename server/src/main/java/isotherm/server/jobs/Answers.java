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
    /** Some 20 MB of the largest. */
    private static final int KEPT = 100;

    private static final Duration UNUSED = Duration.ofMinutes(30);

    private final Desk desk;
    private final Cache<List<?>, Object> latest =
            Caffeine.newBuilder().maximumSize(KEPT).expireAfterAccess(UNUSED).build();

    Answers(Desk desk) {
        this.desk = desk;
    }

    /**
     * @param asker whose the question is
     * @param all the kind of question, and everything that its answer is computed from
     * @param question finds the answer; told whether the question has been dropped
     * @param <T> the answer: always of the same type for the same kind of question, and never changed by anybody
     * @return the answer
     * @throws CancellationException when the question has been dropped
     * @throws Busy when too many wait, or it takes too long
     */
    public <T> T ask(Desk.Asker asker, List<?> all, Function<BooleanSupplier, T> question) {
        @SuppressWarnings("unchecked") // the kind is in the key
        T known = (T) latest.getIfPresent(all);
        if (known != null) {
            return known;
        }
        T answer = desk.ask(asker, question);
        // What has no answer, such as an interval of no samples, is found again as quickly.
        if (answer != null) {
            latest.put(all, answer);
        }
        return answer;
    }
}
