package isotherm.core.findings;

import isotherm.core.duty.LogDuty;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.Comparator;
import java.util.List;

/** Rows of the log that the duty is taken from are missing. */
final class LogGaps implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (!(c.assessment().duty() instanceof LogDuty log) || log.gaps().isEmpty()) {
            return List.of();
        }
        double missing = log.gaps().stream().mapToDouble(g -> g.to() - g.from()).sum();
        double longest = log.gaps().stream()
                        .max(Comparator.comparingDouble(g -> g.to() - g.from()))
                        .orElseThrow()
                        .from()
                - log.time()[0];
        return List.of(Topic.LOG_GAPS.of(
                Severity.NOTE,
                Topic.LOG_GAPS.say("what").count("gaps", log.gaps().size()).with("missing", Measure.TIME, missing),
                Topic.LOG_GAPS.say("why").with("longest", Measure.TIME, longest)));
    }
}
