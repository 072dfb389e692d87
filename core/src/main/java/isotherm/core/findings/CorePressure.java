package isotherm.core.findings;

import isotherm.core.exchanger.CoreDetail;
import isotherm.core.exchanger.CoreSheet;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.message.Measure;
import isotherm.core.simulate.PressureCheck;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** The core sees more pressure than it is made for, most of it when the oil is cold and the relief valve is far open. */
final class CorePressure implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        if (c.cooler().isEmpty()) {
            return List.of();
        }
        CoreDetail core = c.cooler().get().core().detail();
        // What a maker never tested it at is beyond every margin that a rating may have.
        double tested = c.cooler()
                .get()
                .core()
                .sheet()
                .map(CoreSheet::testPressure)
                .orElse(OptionalDouble.empty())
                .orElse(Double.POSITIVE_INFINITY);
        double bound = Math.min(core.ratedPressure(), tested);
        return c.assessment().pressure().points().stream()
                .max(Comparator.comparingDouble(PressureCheck.Point::core))
                .filter(p -> p.core() > bound)
                .map(p -> Topic.CORE_PRESSURE.of(
                        p.core() > tested ? Finding.Severity.FAILS : Finding.Severity.RISK,
                        Topic.CORE_PRESSURE
                                .say("what")
                                .with("pressure", Measure.PRESSURE, p.core(), 1)
                                .with("bound", Measure.PRESSURE, bound, 1)
                                .choose("beyond", p.core() > tested)
                                .with("test", Measure.PRESSURE, Double.isFinite(tested) ? tested : 0, 1),
                        Topic.CORE_PRESSURE
                                .say("why")
                                .with("speed", Measure.ENGINE_SPEED, p.rpm() / 60)
                                .with("oil", Measure.TEMPERATURE, p.oilK())
                                .with("relief", Measure.PRESSURE, c.car().pump().reliefPressure(), 1)))
                .stream()
                .toList();
    }
}
