package isotherm.core.findings;

import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The rules of the job, applied to one design. */
public final class Findings {
    private static final List<Rule> RULES = List.of(
            new BeyondModel(),
            new TooHot(),
            new FanWouldDo(),
            new CoolantPays(),
            new LowPressure(),
            new CorePressure(),
            new TooCold(),
            new NotNeeded(),
            new ThinFilm(),
            new TooThick(),
            new PlannedPower(),
            new NoWayOut(),
            new Shaded(),
            new Leaky(),
            new ThermostatHigh(),
            new AirTrapped(),
            new RowsSated(),
            new IntakeHeated(),
            new Stretched(),
            new CooledSensor(),
            new LogGaps());

    private Findings() {}

    /**
     * @param a a design, run through its duty
     * @return findings, most serious first
     */
    public static List<Finding> of(Assessment a) {
        Context c = new Context(a);
        // Each runs the sessions of its own remedies; they stay in the order of the rules.
        List<Finding> all = new ArrayList<>(
                RULES.parallelStream().flatMap(r -> r.judge(c).stream()).toList());
        if (all.stream().noneMatch(f -> f.severity() == Severity.FAILS || f.topic() == Topic.TOO_HOT)) {
            all.addAll(new Holds().judge(c));
        }
        all.sort(Comparator.comparing(Finding::severity));
        return List.copyOf(all);
    }
}
