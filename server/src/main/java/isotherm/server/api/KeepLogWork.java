package isotherm.server.api;

import isotherm.server.contract.Text;
import isotherm.server.evidence.LogDocument;
import isotherm.server.jobs.Work;
import isotherm.server.logs.LogService;
import isotherm.server.store.LargeStore;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keeps a file that was sent as a log, row by row. */
@Component
class KeepLogWork implements Work<KeepLogWork.Question> {
    static final String KIND = "keep-log";

    private final LogService logs;
    private final LargeStore large;

    KeepLogWork(LogService logs, LargeStore large) {
        this.logs = logs;
        this.large = large;
    }

    /**
     * What is to be kept.
     *
     * @param upload the file that was sent
     * @param keep what a person says of it
     */
    public record Question(
            @Text(value = "the file that was sent", max = 36) String upload,
            @Text("what a person says of it") LogDocument.KeepDocument keep) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Class<Question> question() {
        return Question.class;
    }

    @Override
    public Object run(Question question, Watcher watcher) throws IOException {
        UUID id = UUID.fromString(question.upload());
        // A log has the identity of the file that it was: one that a server kept before it went is not kept again.
        Optional<LogService.Kept> kept = logs.kept(id);
        return kept.isPresent()
                ? kept.get()
                : logs.keep(large.upload(id), question.keep(), watcher::reached, watcher::isDropped);
    }
}
