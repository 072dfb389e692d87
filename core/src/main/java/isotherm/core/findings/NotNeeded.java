package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;
import java.util.Optional;

/** The car needs no cooler for this duty. */
final class NotNeeded implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        double bare = c.assessment().bare().peak();
        if (c.oddsWithout() < c.sure()) {
            return List.of();
        }
        boolean fitted = c.cooler().isPresent();
        return List.of(Topic.NOT_NEEDED
                .of(
                        fitted ? Severity.RISK : Severity.GOOD,
                        Topic.NOT_NEEDED
                                .say("what")
                                .with("peak", Measure.TEMPERATURE, bare)
                                .with("odds", Measure.SHARE, Thresholds.said(c.oddsWithout()))
                                .with("target", Measure.TEMPERATURE, c.target()),
                        Topic.NOT_NEEDED.say("why"))
                .mendedBy(
                        fitted
                                ? Optional.of(c.remedy(Remedy.Kind.LEAVE_OUT.say("label"), c.withoutCooler()))
                                : Optional.empty()));
    }
}
