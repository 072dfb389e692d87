package isotherm.core.findings;

import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;

/** The air has no way out behind the core. */
final class NoWayOut implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        return c.cooler().map(Design.Cooler::airway).stream()
                .filter(air -> air.measured().isEmpty())
                .filter(air -> air.place() == Place.FRONT_CORNER_CLOSED || air.cpOut() >= Thresholds.NO_WAY_OUT)
                .map(air -> Topic.NO_WAY_OUT
                        .of(
                                Severity.RISK,
                                Topic.NO_WAY_OUT.say("what").with("pressure", Measure.SHARE, air.cpOut()),
                                Topic.NO_WAY_OUT.say("why"))
                        .mendedBy(c.remedy(
                                Remedy.Kind.VENT_LINER.say("label"),
                                c.design().withAirway(air.withPlace(Place.FRONT_CORNER_VENTED)))))
                .toList();
    }
}
