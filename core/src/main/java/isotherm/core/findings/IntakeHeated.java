package isotherm.core.findings;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;

/** An intake or intercooler breathes the core's warm air. */
final class IntakeHeated implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.cooler().isEmpty() || !c.cooler().get().airway().intakeBehind()) {
            return List.of();
        }
        double air = c.assessment().working().core().orElseThrow().rating().airOutK();
        double rise = air - c.assessment().duty().weather().ambientK();
        if (rise < Thresholds.INTAKE_RISE) {
            return List.of();
        }
        Airway airway = c.cooler().get().airway();
        return List.of(Topic.INTAKE_HEATED
                .of(
                        Severity.RISK,
                        Topic.INTAKE_HEATED.say("what").with("rise", Measure.TEMPERATURE_DIFFERENCE, rise),
                        Topic.INTAKE_HEATED
                                .say("why")
                                .with("air", Measure.TEMPERATURE, air)
                                .with("less", Measure.SHARE, rise / air))
                .mendedBy(c.remedy(
                        Remedy.Kind.FRONT_CORNER.say("label"),
                        c.design().withAirway(airway.withPlace(Place.FRONT_CORNER_VENTED)))));
    }
}
