package isotherm.server.api;

import isotherm.server.garage.CaseDocument;
import isotherm.server.jobs.Desk;
import isotherm.server.session.EvidenceQuestions;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.Solver;
import isotherm.server.session.TeachingSolver;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Outcomes without saving anything: the consequence of a choice. */
@RestController
@RequestMapping("/api")
class OutcomeController {
    private final Desk desk;

    OutcomeController(Desk desk) {
        this.desk = desk;
    }

    @PostMapping("/outcome")
    OutcomeDocument outcome(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> Solver.solve(asked));
    }

    @PostMapping("/learn")
    EvidenceQuestions.LearnAnswer learn(@RequestBody EvidenceQuestions.LearnQuestion asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> TeachingSolver.learn(asked.car()));
    }

    @PostMapping("/next-measurement")
    EvidenceQuestions.NextAnswer next(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> TeachingSolver.next(asked));
    }

    @PostMapping("/quick")
    OutcomeDocument.Quick quick(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> Solver.quick(asked));
    }

    @PostMapping("/interval")
    OutcomeDocument.Interval interval(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> Solver.interval(asked));
    }
}
