package isotherm.core.findings;

import isotherm.core.exchanger.CoreDetail;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import isotherm.core.simulate.PressureCheck;
import java.util.Comparator;
import java.util.List;

/** The core sees more pressure than it is made for, most of it when the oil is cold and the relief valve is far open. */
final class CorePressure implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.cooler().isEmpty()) {
            return List.of();
        }
        CoreDetail core = c.cooler().get().core().detail();
        return c.assessment().pressure().points().stream()
                .max(Comparator.comparingDouble(PressureCheck.Point::core))
                .filter(p -> p.core() > core.ratedPressure())
                .map(p -> Topic.CORE_PRESSURE.of(
                        Severity.RISK,
                        Topic.CORE_PRESSURE
                                .say("what")
                                .with("pressure", Measure.PRESSURE, p.core(), 1)
                                .with("bound", Measure.PRESSURE, core.ratedPressure(), 1),
                        Topic.CORE_PRESSURE
                                .say("why")
                                .with("speed", Measure.ENGINE_SPEED, p.rpm() / 60)
                                .with("oil", Measure.TEMPERATURE, p.oilK())
                                .with("relief", Measure.PRESSURE, c.car().pump().reliefPressure(), 1)))
                .stream()
                .toList();
    }
}
