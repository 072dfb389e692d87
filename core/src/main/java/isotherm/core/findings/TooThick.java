package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.fluid.Oil;
import isotherm.core.message.Measure;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** At the coldest start the pump cannot draw the oil, and the engine runs dry until it is warmer. */
final class TooThick implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        double coldest = c.car().limits().coldestK();
        Oil oil = c.oil();
        if (coldest >= oil.pumpableK()) {
            return List.of();
        }
        return List.of(Topic.TOO_THICK
                .of(
                        Severity.FAILS,
                        Topic.TOO_THICK
                                .say("what")
                                .name("grade", oil.name())
                                .with("coldest", Measure.TEMPERATURE, coldest)
                                .with("bound", Measure.TEMPERATURE, oil.pumpableK()),
                        Topic.TOO_THICK.say("why"))
                .mendedBy(thinner(c, coldest)));
    }

    /** The grade that pumps there and is nearest to this one when hot. */
    private static Optional<Remedy> thinner(Context c, double coldest) {
        return Oil.GRADES.stream()
                .filter(o -> o.pumpableK() <= coldest)
                .min(Comparator.comparingDouble(
                        o -> Math.abs(o.kv100Cst() - c.oil().kv100Cst())))
                .map(o -> c.remedy(
                        Remedy.Kind.OTHER_GRADE.say("label").name("grade", o.name()),
                        c.design().withOil(o),
                        Remedy.Effect.PUMPABLE.of(Measure.TEMPERATURE, c.oil().pumpableK(), o.pumpableK())));
    }
}
