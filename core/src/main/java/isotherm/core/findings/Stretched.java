package isotherm.core.findings;

import isotherm.core.exchanger.CoreRating;
import isotherm.core.exchanger.Validity;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import java.util.List;

/** A correlation is used outside the range for which it was fitted. */
final class Stretched implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.cooler().isEmpty()) {
            return List.of();
        }
        CoreRating r = c.assessment().working().core().orElseThrow().rating();
        if (r.validity().isEmpty()) {
            return List.of();
        }
        List<Message> each = r.validity().stream()
                .map(v -> Topic.STRETCHED
                        .say("range")
                        .name("quantity", v.quantity())
                        .with("value", Measure.NUMBER, v.value(), digits(v))
                        .with("low", Measure.NUMBER, v.low(), digits(v))
                        .with("high", Measure.NUMBER, v.high(), digits(v))
                        .name("source", v.source()))
                .toList();
        return List.of(Topic.STRETCHED.of(
                Severity.NOTE, Topic.STRETCHED.say("what").say("ranges", each), Topic.STRETCHED.say("why")));
    }

    /** Three figures of the range's end. */
    private static int digits(Validity v) {
        return v.high() >= 100 ? 0 : v.high() >= 1 ? 1 : 3;
    }
}
