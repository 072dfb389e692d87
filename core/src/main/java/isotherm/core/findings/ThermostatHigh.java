package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.message.Measure;
import java.util.List;
import java.util.Optional;

/** The thermostat opens above the target, or too close under it. */
final class ThermostatHigh implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        return c.cooler().flatMap(f -> f.loop().thermostat()).stream()
                .filter(t -> t.opensK() > c.target() - Thresholds.THERMOSTAT_ROOM)
                .map(t -> {
                    OilThermostat earlier = Thresholds.thermostat(c.car().limits());
                    return Topic.THERMOSTAT_HIGH
                            .of(
                                    Severity.RISK,
                                    Topic.THERMOSTAT_HIGH
                                            .say("what")
                                            .choose("above", t.opensK() >= c.target())
                                            .with("opens", Measure.TEMPERATURE, t.opensK())
                                            .with("full", Measure.TEMPERATURE, t.fullK())
                                            .with("target", Measure.TEMPERATURE, c.target()),
                                    Topic.THERMOSTAT_HIGH.say("why"))
                            .mendedBy(c.remedy(
                                    Remedy.Kind.THERMOSTAT
                                            .say("label")
                                            .with("opens", Measure.TEMPERATURE, earlier.opensK()),
                                    c.design().withThermostat(Optional.of(earlier))));
                })
                .toList();
    }
}
