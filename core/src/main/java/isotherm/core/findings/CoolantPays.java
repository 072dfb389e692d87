package isotherm.core.findings;

import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;
import java.util.Optional;

/** The oil is cooled at the coolant's expense, down to boiling. */
final class CoolantPays implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        double with = c.session().peakCoolant();
        double without = c.assessment().bare().peakCoolant();
        boolean paid =
                c.cooler().isPresent() && with - without > Thresholds.COOLANT_RISE && with > Thresholds.COOLANT_WARM_K;
        Optional<Remedy> elsewhere = c.cooler()
                .filter(f -> f.airway().place().stream() == Place.Stream.AHEAD_OF_RADIATOR)
                .map(f -> {
                    Design moved = c.design().withAirway(f.airway().withPlace(Place.FRONT_CORNER_VENTED));
                    return c.remedy(
                            Remedy.Kind.FRONT_CORNER.say("label"),
                            moved,
                            Remedy.Effect.COOLANT.of(
                                    Measure.TEMPERATURE, with, c.run(moved).peakCoolant()));
                });
        if (with > Thresholds.BOILING_K) {
            return List.of(told(Topic.COOLANT_BOILS, Severity.FAILS, with, without)
                    .mendedBy(paid ? elsewhere : Optional.empty()));
        }
        return paid
                ? List.of(told(Topic.COOLANT_PAYS, Severity.RISK, with, without).mendedBy(elsewhere))
                : List.of();
    }

    private static Finding told(Topic topic, Severity severity, double with, double without) {
        return topic.of(
                severity,
                topic.say("what")
                        .with("coolant", Measure.TEMPERATURE, with)
                        .with("rise", Measure.TEMPERATURE_DIFFERENCE, with - without)
                        .with("bound", Measure.TEMPERATURE, Thresholds.BOILING_K),
                topic.say("why").with("without", Measure.TEMPERATURE, without));
    }
}
