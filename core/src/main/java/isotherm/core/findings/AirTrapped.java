package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.Ports;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import java.util.List;

/** Ports down keep air in the core. */
final class AirTrapped implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        return c.cooler().map(Design.Cooler::core).stream()
                .filter(core -> core.ports() == Ports.DOWN)
                .map(core -> {
                    Core turned = new Core(
                            core.construction(),
                            core.rows(),
                            core.width(),
                            core.depth(),
                            core.passes(),
                            core.finish(),
                            Ports.UP,
                            core.detail());
                    boolean twice = core.passes() == 2;
                    return Topic.AIR_TRAPPED
                            .of(
                                    twice ? Severity.RISK : Severity.NOTE,
                                    Topic.AIR_TRAPPED.say("what").with("volume", Measure.VOLUME, core.holdUp(), 1),
                                    Topic.AIR_TRAPPED.say("why").choose("twice", twice))
                            .mendedBy(c.remedy(
                                    Remedy.Kind.PORTS_UP.say("label"),
                                    c.design().withCore(turned)));
                })
                .toList();
    }
}
