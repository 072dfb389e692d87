package isotherm.server.api;

import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.garage.CaseDocument;
import isotherm.server.jobs.Answers;
import isotherm.server.jobs.Desk;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.Solver;
import isotherm.server.session.TeachingSolver;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Outcomes without saving anything: the consequence of a choice. */
@RestController
@RequestMapping("/api")
class OutcomeController {
    private final Desk desk;
    private final Answers answers;

    OutcomeController(Desk desk, Answers answers) {
        this.desk = desk;
        this.answers = answers;
    }

    @Least(Role.VIEWER)
    @PostMapping("/outcome")
    OutcomeDocument outcome(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return answers.ask(
                asker,
                new Answers.Question("outcome", asked.duty().logRows(), List.of(asked.nameless())),
                dropped -> Solver.solve(asked));
    }

    @Least(Role.VIEWER)
    @PostMapping("/learn")
    EvidenceQuestions.LearnAnswer learn(@RequestBody EvidenceQuestions.LearnQuestion asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> TeachingSolver.learn(asked.car()));
    }

    @Least(Role.VIEWER)
    @PostMapping("/next-measurement")
    EvidenceQuestions.NextAnswer next(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return answers.ask(
                asker,
                new Answers.Question("next", asked.duty().logRows(), List.of(asked.nameless())),
                dropped -> TeachingSolver.next(asked));
    }

    @Least(Role.VIEWER)
    @PostMapping("/quick")
    OutcomeDocument.Quick quick(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.askQuickly(asker, () -> Solver.quick(asked));
    }

    @Least(Role.VIEWER)
    @PostMapping("/interval")
    OutcomeDocument.Interval interval(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return answers.ask(
                asker,
                new Answers.Question("interval", asked.duty().logRows(), List.of(asked.nameless())),
                dropped -> Solver.interval(asked));
    }
}
