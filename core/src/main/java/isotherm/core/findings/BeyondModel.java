package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;

/** A peak that no engine reaches in working order: its figure says that it fails, not how far. */
final class BeyondModel implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.peak() <= Thresholds.BEYOND_K) {
            return List.of();
        }
        return List.of(Topic.BEYOND_MODEL.of(
                Severity.FAILS,
                Topic.BEYOND_MODEL.say("what").with("bound", Measure.TEMPERATURE, Thresholds.BEYOND_K),
                Topic.BEYOND_MODEL.say("why")));
    }
}
