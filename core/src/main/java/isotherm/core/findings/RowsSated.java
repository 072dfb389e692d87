package isotherm.core.findings;

import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;
import java.util.Optional;

/** More rows no longer help. */
final class RowsSated implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.cooler().isEmpty() || c.peak() > c.target()) {
            return List.of();
        }
        Core core = c.cooler().get().core();
        int more = core.rows() + Math.max(3, core.rows() / 4);
        double gain = c.peak() - c.run(c.design().withCore(core.withRows(more))).peak();
        if (gain >= Thresholds.SATED) {
            return List.of();
        }
        return List.of(Topic.ROWS_SATED
                .of(
                        Severity.NOTE,
                        Topic.ROWS_SATED
                                .say("what")
                                .with("gain", Measure.TEMPERATURE_DIFFERENCE, gain, 1)
                                .count("rows", more - core.rows()),
                        Topic.ROWS_SATED.say("why"))
                .mendedBy(fewer(c, core)));
    }

    /** The fewest rows that still hold. */
    private static Optional<Remedy> fewer(Context c, Core core) {
        for (int rows : CorePart.ROWS) {
            if (rows < core.rows()) {
                Core small = core.withRows(rows);
                Remedy r = c.remedy(
                        Remedy.Kind.FEWER_ROWS.say("label").count("rows", rows),
                        c.design().withCore(small),
                        Remedy.Effect.VOLUME.of(Measure.VOLUME, core.holdUp(), small.holdUp()));
                if (r.peakK() <= c.target()) {
                    return Optional.of(r);
                }
            }
        }
        return Optional.empty();
    }
}
