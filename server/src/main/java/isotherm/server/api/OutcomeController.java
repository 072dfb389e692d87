package isotherm.server.api;

import isotherm.server.document.CaseDocument;
import isotherm.server.document.OutcomeDocument;
import isotherm.server.document.Solver;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Outcomes without saving anything: the consequence of a choice. */
@RestController
@RequestMapping("/api")
class OutcomeController {
    @PostMapping("/outcome")
    OutcomeDocument outcome(@RequestBody CaseDocument asked) {
        return Solver.solve(asked);
    }

    @PostMapping("/quick")
    OutcomeDocument.Quick quick(@RequestBody CaseDocument asked) {
        return Solver.quick(asked);
    }

    @PostMapping("/interval")
    OutcomeDocument.Interval interval(@RequestBody CaseDocument asked) {
        return Solver.interval(asked);
    }
}
