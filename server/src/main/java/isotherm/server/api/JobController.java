package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.jobs.Desk;
import isotherm.server.jobs.Jobs;
import isotherm.server.session.SearchQuestions;
import isotherm.server.session.SearchSolver;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Long work: started, watched, stopped. */
@RestController
@RequestMapping("/api/jobs")
class JobController {
    private final Jobs jobs;
    private final CoreCatalogue catalogue;

    JobController(Jobs jobs, CoreCatalogue catalogue) {
        this.jobs = jobs;
        this.catalogue = catalogue;
    }

    @Least(Role.VIEWER)
    @PostMapping("/search")
    ResponseEntity<Jobs.JobView> search(
            @RequestBody SearchQuestions.SearchQuestion question,
            Desk.Asker asker,
            @RequestHeader(name = Etags.KEY, required = false) UUID key) {
        return ResponseEntity.accepted()
                .body(jobs.start(
                        Etags.identity(key),
                        asker.who(),
                        SearchWork.KIND,
                        SearchSolver.trials(question, catalogue.parts()),
                        Jobs.Wanted.WHILE_WATCHED,
                        question));
    }

    @Least(Role.VIEWER)
    @GetMapping("/{id}")
    ResponseEntity<Jobs.JobView> find(@PathVariable UUID id) {
        return ResponseEntity.of(jobs.find(id));
    }

    @Least(Role.VIEWER)
    @DeleteMapping("/{id}")
    ResponseEntity<Jobs.JobView> cancel(@PathVariable UUID id) {
        return ResponseEntity.of(jobs.cancel(id));
    }
}
