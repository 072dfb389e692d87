package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.message.Measure;
import isotherm.core.simulate.PressureCheck;
import java.util.List;
import java.util.Optional;

/** The gallery pressure falls under its floor. */
final class LowPressure implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        return c.assessment().pressure().worst().stream()
                .map(p -> Topic.PRESSURE
                        .of(
                                Severity.RISK,
                                Topic.PRESSURE
                                        .say("what")
                                        .with("pressure", Measure.PRESSURE, p.gallery(), 1)
                                        .with("floor", Measure.PRESSURE, p.floor(), 1)
                                        .choose("point", p.kind()),
                                Topic.PRESSURE
                                        .say("why")
                                        .with("speed", Measure.ENGINE_SPEED, p.rpm() / 60)
                                        .with("oil", Measure.TEMPERATURE, p.oilK())
                                        .with("bare", Measure.PRESSURE, p.bare(), 1)
                                        .with("loop", Measure.PRESSURE, p.loop(), 1))
                        .mendedBy(c.cooler().map(f -> wider(c, f, p))))
                .toList();
    }

    private static Remedy wider(Context c, Design.Cooler f, PressureCheck.Point worst) {
        CoolerLoop l = f.loop();
        CoolerLoop wide = l.withHoses(bored(l.feed()), bored(l.back()));
        Design next = c.design().withCooler(Optional.of(new Design.Cooler(f.core(), f.airway(), wide, f.efficacy())));
        double after = PressureCheck.of(c.car(), next, c.peak()).points().stream()
                .filter(p -> p.kind() == worst.kind())
                .findFirst()
                .orElse(worst)
                .gallery();
        return c.remedy(
                Remedy.Kind.WIDER_HOSE.say("label"),
                next,
                Remedy.Effect.PRESSURE.of(Measure.PRESSURE, worst.gallery(), after));
    }

    private static Hose bored(Hose hose) {
        for (double bore : Hose.BORES) {
            if (bore > hose.bore() * 1.02) {
                return new Hose(bore, hose.length(), hose.elbows90());
            }
        }
        return hose;
    }
}
