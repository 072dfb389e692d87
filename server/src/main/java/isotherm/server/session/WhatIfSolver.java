package isotherm.server.session;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.message.Measure;
import isotherm.core.simulate.Outlook;
import isotherm.core.whatif.Explained;
import isotherm.core.whatif.Prices;
import isotherm.core.whatif.WhatIf;
import isotherm.server.contract.Effort;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Rounding;
import isotherm.server.garage.CaseDocument;
import java.util.List;
import java.util.Optional;

/** What one step of each choice would bring, and where a figure comes from. */
public final class WhatIfSolver {
    /** Sessions that all steps of all levers run, each with a cold road. */
    private static final int STEPS = 70;
    /** Sessions that a figure with its inputs and factors runs, each with a cold road. */
    private static final int MOVES = 90;

    private WhatIfSolver() {}

    /**
     * @param asked the case
     * @param prices what cores and hoses cost
     * @return its strongest levers
     */
    public static WhatIfQuestions.WhatIfAnswer whatIf(CaseDocument asked, Prices prices) {
        Car car = asked.car().toCore();
        Duty duty = asked.duty().toCore();
        Design design = asked.design().toCore(asked.car());
        Effort.check("/duty", STEPS, car, duty, Effort.WAITED_FOR);
        double odds = Outlook.of(car, duty, design, asked.car().belief())
                .oddsUnder(car.limits().targetHighK());
        WhatIf.Answer answer = WhatIf.of(car, duty, design, odds, prices);
        return new WhatIfQuestions.WhatIfAnswer(
                standing(answer.now()),
                answer.at(),
                answer.changes().stream()
                        .map(c -> new WhatIfQuestions.ChangeDocument(
                                c.step().lever(),
                                MessageDocument.of(c.step().label()),
                                asked.design().changedTo(asked.car(), c.step().design()),
                                standing(c.after())))
                        .toList());
    }

    private static WhatIfQuestions.StandingDocument standing(WhatIf.Standing s) {
        return new WhatIfQuestions.StandingDocument(
                Rounding.celsius(s.peakK()),
                Rounding.round(s.galleryPa() / 1e5, 2),
                Rounding.optional(s.warmSeconds(), 0),
                Rounding.optional(s.price(), 0));
    }

    /**
     * @param asked the case and the figure
     * @return the figure with its interval and what moves it
     */
    public static WhatIfQuestions.ExplainAnswer explain(WhatIfQuestions.ExplainQuestion asked) {
        Car car = asked.car().toCore();
        Duty duty = asked.duty().toCore();
        Effort.check("/duty", MOVES, car, duty, Effort.WAITED_FOR);
        Measure measure = asked.figure().measure().orElseThrow();
        Optional<Explained> found = Explained.of(
                asked.figure(),
                car,
                duty,
                asked.design().toCore(asked.car()),
                asked.car().belief());
        return new WhatIfQuestions.ExplainAnswer(
                measure,
                found.map(e -> metric(measure, e.value())).orElse(null),
                found.map(e -> metric(measure, e.low())).orElse(null),
                found.map(e -> metric(measure, e.high())).orElse(null),
                found.map(e -> moves(measure, e)).orElse(List.of()));
    }

    private static Double metric(Measure measure, double si) {
        return Rounding.round(measure.metric().of(si), 4);
    }

    /** A difference has no zero of its own: 5 K are 5 °C. */
    private static List<WhatIfQuestions.MoveDocument> moves(Measure measure, Explained e) {
        return e.moves().stream()
                .map(m -> new WhatIfQuestions.MoveDocument(
                        m.given(),
                        MessageDocument.of(m.given().step()),
                        m.given().station(),
                        Rounding.round(
                                measure.metric().of(e.value() + m.change())
                                        - measure.metric().of(e.value()),
                                4)))
                .toList();
    }
}
