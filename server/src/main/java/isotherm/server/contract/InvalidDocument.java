package isotherm.server.contract;

import java.util.List;
import java.util.stream.Collectors;

/** A document that cannot be taken, with every problem found in it. */
public final class InvalidDocument extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;

    /** @param problems what is wrong, at least one */
    public InvalidDocument(List<Problem> problems) {
        super(problems.stream().map(p -> p.path() + ": " + p.message()).collect(Collectors.joining("; ")));
        this.problems = List.copyOf(problems);
    }

    /** @return what is wrong */
    public List<Problem> problems() {
        return problems;
    }
}
