package isotherm.core.findings;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;
import java.util.Optional;

/** At low road speed a fan draws the air that the speed does not push. */
final class FanWouldDo implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.peak() <= c.target()
                || c.cooler().isEmpty()
                || c.cooler().get().airway().fan().isPresent()) {
            return List.of();
        }
        Airway air = c.cooler().get().airway();
        Remedy fitted =
                c.remedy(Remedy.Kind.FAN.say("label"), c.design().withAirway(air.withFan(Optional.of(Fan.TYPICAL))));
        double gain = c.peak() - fitted.peakK();
        if (gain <= Thresholds.FAN_GAIN || fitted.peakK() > c.target()) {
            return List.of();
        }
        return List.of(Topic.FAN
                .of(
                        Severity.NOTE,
                        Topic.FAN.say("what").with("gain", Measure.TEMPERATURE_DIFFERENCE, gain),
                        Topic.FAN.say("why").with("diameter", Measure.LENGTH, FAN_DIAMETER))
                .mendedBy(fitted));
    }

    /** Of the fan that is tried, m. */
    private static final double FAN_DIAMETER = 0.225;
}
