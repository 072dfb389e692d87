package isotherm.server.api;

import isotherm.core.search.DesignSearch;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.jobs.Work;
import isotherm.server.session.SearchQuestions.SearchQuestion;
import isotherm.server.session.SearchSolver;
import java.util.function.Supplier;
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
    public Object run(SearchQuestion question, Watcher watcher) {
        return SearchSolver.search(question, catalogue.parts(), new DesignSearch.Asker() {
            @Override
            public boolean gone() {
                return watcher.isDropped();
            }

            @Override
            public void reached(int done) {
                watcher.reached(done);
            }

            @Override
            public void found(Supplier<DesignSearch.Result> soFar) {
                watcher.found(() -> SearchSolver.answer(soFar.get()));
            }
        });
    }
}
