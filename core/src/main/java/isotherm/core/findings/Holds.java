package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.List;

/** The oil stays in its band, with more or less to spare. */
final class Holds implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        double spare = c.limit() - c.peak();
        boolean good = c.oddsUnderLimit() >= c.sure() && c.oddsInBand() >= c.sure();
        Topic topic = good ? Topic.HOLDS : Topic.MARGINAL;
        Message what = topic.say("what")
                .with("spare", Measure.TEMPERATURE_DIFFERENCE, spare)
                .with("limit", Measure.TEMPERATURE, c.limit());
        Message why = topic.say("why")
                .with("inBand", Measure.SHARE, Thresholds.said(c.oddsInBand()))
                .with("underLimit", Measure.SHARE, Thresholds.said(c.oddsUnderLimit()))
                .with("target", Measure.TEMPERATURE, c.target())
                .with("limit", Measure.TEMPERATURE, c.limit())
                .with("peak", Measure.TEMPERATURE, c.peak())
                .with("plateau", Measure.TEMPERATURE, c.session().plateau());
        return topic == Topic.HOLDS
                ? List.of(topic.of(Severity.GOOD, what, why))
                : List.of(topic.of(Severity.RISK, what, why)
                        .mendedBy(c.cooler().flatMap(f -> c.moreRows(Remedy.Kind.MORE_ROWS, c.design()))));
    }
}
