package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The design holds with today's power, not with the planned one. */
final class PlannedPower implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.assessment().planned().isEmpty()) {
            return List.of();
        }
        double peak = c.assessment().planned().get().peak();
        if (peak <= c.limit() || c.peak() > c.limit()) {
            return List.of();
        }
        return List.of(Topic.PLANNED_POWER
                .of(
                        Severity.RISK,
                        Topic.PLANNED_POWER
                                .say("what")
                                .with("peak", Measure.TEMPERATURE, peak)
                                .with("over", Measure.TEMPERATURE_DIFFERENCE, peak - c.limit())
                                .with("bound", Measure.TEMPERATURE, c.limit()),
                        Topic.PLANNED_POWER.say("why"))
                .mendedBy(enough(c)));
    }

    /** The fewest rows that keep the planned power under the limit; its peak is told at today's power, as all are. */
    private static Optional<Remedy> enough(Context c) {
        double power = c.assessment().plannedPower().orElseThrow();
        return c.cooler().map(Design.Cooler::core).flatMap(core -> Arrays.stream(CorePart.ROWS)
                .filter(rows -> rows > core.rows())
                .filter(rows -> Assessment.planned(
                                        c.car(),
                                        c.assessment().duty(),
                                        c.design().withCore(core.withRows(rows)),
                                        power)
                                .peak()
                        <= c.limit())
                .mapToObj(rows -> c.rows(Remedy.Kind.ROWS_FOR_PLANNED, c.design(), rows))
                .findFirst());
    }
}
