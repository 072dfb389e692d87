package isotherm.server.jobs;

import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;

/** Work that does as it is told. */
class TestWork implements Work<TestWork.Question> {
    static final String KIND = "test";
    static final AtomicInteger BEGUN = new AtomicInteger();

    /** What it is told. */
    public record Question(@Text("what to do") String what) {}

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Class<Question> question() {
        return Question.class;
    }

    @Override
    public Object run(Question question, Watcher watcher) throws Exception {
        BEGUN.incrementAndGet();
        switch (question.what()) {
            case "answer":
                watcher.reached(3);
                return Map.of("found", 42);
            case "refuse":
                throw new InvalidDocument(List.of(Problem.of("/rows", "0", "Too few rows")));
            case "break":
                throw new IllegalStateException("No room left");
            default:
                if (question.what().equals("grow")) {
                    watcher.found(() -> Map.of("found", 7));
                }
                while (!watcher.isDropped()) {
                    watcher.reached(1);
                    Thread.sleep(5);
                }
                throw question.what().equals("nested")
                        ? new IllegalStateException(new CancellationException())
                        : new CancellationException();
        }
    }
}
