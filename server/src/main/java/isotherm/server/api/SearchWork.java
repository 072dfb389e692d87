package isotherm.server.api;

import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.jobs.Work;
import isotherm.server.session.SearchQuestions.SearchQuestion;
import isotherm.server.session.SearchSolver;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import org.springframework.stereotype.Component;

/** Looks through thousands of designs for those that nothing beats. */
@Component
class SearchWork implements Work<SearchQuestion> {
    static final String KIND = "search";

    private final CoreCatalogue catalogue;

    SearchWork(CoreCatalogue catalogue) {
        this.catalogue = catalogue;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public Class<SearchQuestion> question() {
        return SearchQuestion.class;
    }

    @Override
    public Object run(SearchQuestion question, LongConsumer progress, BooleanSupplier cancelled) {
        return SearchSolver.search(question, catalogue.parts(), progress::accept, cancelled);
    }
}
