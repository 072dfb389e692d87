package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;

/** Air goes round the core. */
final class Leaky implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        return c.cooler().map(Design.Cooler::airway).stream()
                .filter(air ->
                        air.sealing() < Thresholds.LEAKY && air.measured().isEmpty())
                .map(air -> {
                    Remedy sealed = c.remedy(
                            Remedy.Kind.SEAL.say("label"), c.design().withAirway(air.withSealing(Thresholds.SEALED)));
                    return Topic.LEAKY
                            .of(
                                    Severity.NOTE,
                                    Topic.LEAKY.say("what").with("sealing", Measure.SHARE, air.sealing()),
                                    Topic.LEAKY
                                            .say("why")
                                            .with("gain", Measure.TEMPERATURE_DIFFERENCE, c.peak() - sealed.peakK()))
                            .mendedBy(sealed);
                })
                .toList();
    }
}
