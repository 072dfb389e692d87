package isotherm.server.garage;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.MeasuredPressure;
import isotherm.core.car.Design;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreDetail;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilThermostat;
import java.util.Optional;
import java.util.OptionalDouble;

/** The way of a cooler into {@code core} and out of it. */
final class CoolerMapper {
    private CoolerMapper() {}

    static Design.Cooler cooler(DesignDocument.CoolerDocument c) {
        Core core = new Core(
                c.construction(),
                c.rows(),
                c.widthMm() * 1e-3,
                c.depthMm() * 1e-3,
                c.passes(),
                c.finish(),
                c.ports(),
                c.detail() == null
                        ? CoreDetail.typical(c.construction())
                        : c.detail().toCore(c.construction()),
                Optional.ofNullable(c.sheet()).map(CoreSheetDocument::toCore));
        Airway airway = new Airway(
                c.place(),
                c.place().cpIn(),
                c.place().cpOut(),
                c.sealingPercent() / 100,
                c.shadedPercent() / 100,
                c.openingCm2() * 1e-4,
                c.outletCm2() == null ? 0 : c.outletCm2() * 1e-4,
                c.mesh(),
                (c.ductHeads() == null ? 0 : c.ductHeads())
                        + (c.placement() == null ? 0 : c.placement().toCore().plateHeads()),
                Optional.ofNullable(c.fan())
                        .map(f -> new Fan(
                                f.stallPa(), f.freeFlowM3PerS(), Units.kelvin(f.onC()), Units.kelvin(f.offC()))),
                Optional.ofNullable(c.measured()).map(m -> new MeasuredPressure(m.pa(), m.speedKmh() / 3.6)),
                Boolean.TRUE.equals(c.intakeBehind()),
                c.heatAheadKw() == null ? 0 : c.heatAheadKw() * 1e3);
        CoolerLoop loop = new CoolerLoop(
                hose(c.feed()),
                hose(c.back()),
                c.plateHeads() == null ? CoolerLoop.PLATE_HEADS : c.plateHeads(),
                Optional.ofNullable(c.thermostat())
                        .map(t -> new OilThermostat(
                                Units.kelvin(t.opensC()),
                                Units.kelvin(t.fullC() == null ? t.opensC() + OilThermostat.SPAN : t.fullC()),
                                t.leakPercent() == null ? OilThermostat.LEAK : t.leakPercent() / 100,
                                t.site() == null ? OilThermostat.Site.PLATE : t.site())),
                c.extraVolumeL() == null ? 0 : c.extraVolumeL() * 1e-3,
                c.bypassBar() == null ? OptionalDouble.empty() : OptionalDouble.of(c.bypassBar() * 1e5));
        return new Design.Cooler(
                core, airway, loop, c.efficacyPercent() == null ? CoreModel.EFFICACY : c.efficacyPercent() / 100);
    }

    private static Hose hose(DesignDocument.HoseDocument h) {
        return new Hose(h.boreMm() * 1e-3, h.lengthM(), h.elbows90());
    }

    static DesignDocument.CoolerDocument document(Design.Cooler c) {
        Core core = c.core();
        Airway a = c.airway();
        CoolerLoop loop = c.loop();
        return new DesignDocument.CoolerDocument(
                core.construction(),
                core.rows(),
                rounded(core.width() * 1e3),
                rounded(core.depth() * 1e3),
                core.passes(),
                core.finish(),
                core.ports(),
                core.detail().equals(CoreDetail.typical(core.construction())) ? null : DetailDocument.of(core.detail()),
                core.sheet().map(s -> CoreSheetDocument.of(s, core.depth())).orElse(null),
                rounded(c.efficacy() * 100),
                a.place(),
                rounded(a.sealing() * 100),
                rounded(a.shadedShare() * 100),
                rounded(a.openingArea() * 1e4),
                a.outletArea() > 0 ? (Double) rounded(a.outletArea() * 1e4) : null,
                a.heatAhead() > 0 ? (Double) rounded(a.heatAhead() / 1e3) : null,
                a.mesh(),
                rounded(a.ductHeads()),
                a.measured()
                        .map(m -> new DesignDocument.PressureDocument(rounded(m.pascal()), rounded(m.speed() * 3.6)))
                        .orElse(null),
                a.intakeBehind() ? (Boolean) true : null,
                a.fan()
                        .map(f -> new DesignDocument.FanDocument(
                                rounded(f.stallPressure()),
                                rounded(f.freeFlow()),
                                rounded(Units.celsius(f.onK())),
                                rounded(Units.celsius(f.offK()))))
                        .orElse(null),
                loop.thermostat()
                        .map(t -> new DesignDocument.ThermostatDocument(
                                rounded(Units.celsius(t.opensK())),
                                rounded(Units.celsius(t.fullK())),
                                rounded(t.leak() * 100),
                                t.site()))
                        .orElse(null),
                document(loop.feed()),
                document(loop.back()),
                rounded(loop.plateHeads()),
                rounded(loop.extraVolume() * 1e3),
                loop.bypass().isPresent() ? (Double) rounded(loop.bypass().getAsDouble() / 1e5) : null,
                null);
    }

    private static DesignDocument.HoseDocument document(Hose h) {
        return new DesignDocument.HoseDocument(rounded(h.bore() * 1e3), rounded(h.length()), rounded(h.elbows90()));
    }

    static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }
}
