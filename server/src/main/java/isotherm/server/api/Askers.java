package isotherm.server.api;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Who waits for which answer: whoever asks again while a search still runs has left the question before. */
@Component
class Askers {
    /** Name by which a view says that it asks again. */
    static final String HEADER = "Isotherm-Asker";

    private final Map<String, Object> latest = new ConcurrentHashMap<>();

    /**
     * @param asker who asks; empty for somebody who waits for every answer
     * @param search finds the answer; told whether the question has been left
     * @return its answer
     */
    <T> T ask(String asker, Function<BooleanSupplier, T> search) {
        if (asker.isEmpty()) {
            return search.apply(() -> false);
        }
        Object question = new Object();
        latest.put(asker, question);
        try {
            return search.apply(() -> latest.get(asker) != question);
        } finally {
            latest.remove(asker, question);
        }
    }
}
