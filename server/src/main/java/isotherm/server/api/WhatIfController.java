package isotherm.server.api;

import isotherm.core.whatif.Prices;
import isotherm.server.catalogue.CoreCatalogue;
import isotherm.server.catalogue.PlumbingCatalogue;
import isotherm.server.garage.CaseDocument;
import isotherm.server.jobs.Desk;
import isotherm.server.session.WhatIfQuestions;
import isotherm.server.session.WhatIfSolver;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What one step of each choice would bring, and where a figure comes from. */
@RestController
@RequestMapping("/api")
class WhatIfController {
    private final CoreCatalogue cores;
    private final PlumbingCatalogue plumbing;
    private final Desk desk;

    WhatIfController(CoreCatalogue cores, PlumbingCatalogue plumbing, Desk desk) {
        this.cores = cores;
        this.plumbing = plumbing;
        this.desk = desk;
    }

    @PostMapping("/what-if")
    WhatIfQuestions.WhatIfAnswer whatIf(@RequestBody CaseDocument asked, Desk.Asker asker) {
        Prices prices = new Prices(cores.parts(), plumbing.parts().hoses());
        return desk.ask(asker, dropped -> WhatIfSolver.whatIf(asked, prices));
    }

    @PostMapping("/explain")
    WhatIfQuestions.ExplainAnswer explain(@RequestBody WhatIfQuestions.ExplainQuestion asked, Desk.Asker asker) {
        return desk.ask(asker, dropped -> WhatIfSolver.explain(asked));
    }
}
