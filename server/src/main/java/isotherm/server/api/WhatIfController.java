package isotherm.server.api;

import isotherm.core.whatif.Prices;
import isotherm.server.access.Least;
import isotherm.server.access.Role;
import isotherm.server.catalogue.PriceList;
import isotherm.server.garage.CaseDocument;
import isotherm.server.jobs.Answers;
import isotherm.server.jobs.Desk;
import isotherm.server.session.DutiesQuestions;
import isotherm.server.session.QuestionSolver;
import isotherm.server.session.WhatIfQuestions;
import isotherm.server.session.WhatIfSolver;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Questions that a choice between designs rests on: steps, duties with prices, and where a figure comes from. */
@RestController
@RequestMapping("/api")
class WhatIfController {
    private final PriceList list;
    private final Desk desk;
    private final Answers answers;

    WhatIfController(PriceList list, Desk desk, Answers answers) {
        this.answers = answers;
        this.list = list;
        this.desk = desk;
    }

    @Least(Role.VIEWER)
    @PostMapping("/what-if")
    WhatIfQuestions.WhatIfAnswer whatIf(@RequestBody CaseDocument asked, Desk.Asker asker) {
        Prices prices = list.prices();
        return answers.ask(
                asker,
                new Answers.Question("what-if", asked.duty().logRows(), List.of(asked.nameless(), prices)),
                dropped -> WhatIfSolver.whatIf(asked, prices));
    }

    @Least(Role.VIEWER)
    @PostMapping("/duties-table")
    DutiesQuestions.DutiesAnswer duties(@RequestBody DutiesQuestions.DutiesQuestion asked, Desk.Asker asker) {
        Prices prices = list.prices();
        return desk.ask(asker, dropped -> QuestionSolver.duties(asked, prices));
    }

    @Least(Role.VIEWER)
    @PostMapping("/explain")
    WhatIfQuestions.ExplainAnswer explain(@RequestBody WhatIfQuestions.ExplainQuestion asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> WhatIfSolver.explain(asked));
    }
}
