package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;

/** Something stands before the core. */
final class Shaded implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        return c.cooler().map(Design.Cooler::airway).stream()
                .filter(air -> air.shadedShare() > Thresholds.SHADE)
                .map(air -> {
                    Remedy clear = c.remedy(
                            Remedy.Kind.CLEAR_SHADE.say("label"),
                            c.design().withAirway(air.withShade(Thresholds.CLEARED)));
                    return Topic.SHADED
                            .of(
                                    Severity.RISK,
                                    Topic.SHADED.say("what").with("shade", Measure.SHARE, air.shadedShare()),
                                    Topic.SHADED
                                            .say("why")
                                            .with("gain", Measure.TEMPERATURE_DIFFERENCE, c.peak() - clear.peakK()))
                            .mendedBy(clear);
                })
                .toList();
    }
}
