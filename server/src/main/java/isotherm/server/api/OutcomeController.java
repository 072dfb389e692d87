package isotherm.server.api;

import isotherm.server.garage.CaseDocument;
import isotherm.server.jobs.Desk;
import isotherm.server.session.OutcomeDocument;
import isotherm.server.session.Solver;
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

    @PostMapping("/quick")
    OutcomeDocument.Quick quick(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> Solver.quick(asked));
    }

    @PostMapping("/interval")
    OutcomeDocument.Interval interval(@RequestBody CaseDocument asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> Solver.interval(asked));
    }
}
