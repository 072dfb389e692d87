package isotherm.core.findings;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.findings.Finding.Severity;
import isotherm.core.findings.Finding.Topic;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.simulate.Session;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The oil leaves its band, and the least change that brings it back: an air path first, then rows on top of it. */
final class TooHot implements Rule {
    @Override
    public List<Finding> judge(Context c) {
        double peak = c.peak();
        if (peak <= c.target()) {
            return List.of();
        }
        boolean fails = peak > c.limit();
        double bound = fails ? c.limit() : c.target();
        Session s = c.session();
        Message what = Topic.TOO_HOT
                .say("what")
                .choose("fails", fails)
                .with("peak", Measure.TEMPERATURE, peak)
                .with("over", Measure.TEMPERATURE_DIFFERENCE, peak - bound)
                .with("bound", Measure.TEMPERATURE, bound);
        Message why = Topic.TOO_HOT
                .say("why")
                .name("grade", c.oil().name())
                .with("viscosity", Measure.VISCOSITY, c.oil().kinematicViscosity(peak))
                .choose("climbing", s.climbRate() > Thresholds.CLIMBING)
                .with("rate", Measure.TEMPERATURE_RATE, s.climbRate() / 60);
        Optional<Remedy> remedy = c.cooler().map(fitted -> better(c, fitted)).orElseGet(() -> first(c));
        return List.of(Topic.TOO_HOT
                .of(fails ? Severity.FAILS : Severity.RISK, what, why)
                .mendedBy(remedy));
    }

    private static Optional<Remedy> better(Context c, Design.Cooler fitted) {
        List<Remedy> tried = new ArrayList<>();
        if (fitted.airway().sealing() < Thresholds.SEALED
                && fitted.airway().measured().isEmpty()) {
            Design sealed = c.design().withAirway(fitted.airway().withSealing(Thresholds.SEALED));
            tried.add(c.remedy(Remedy.Kind.SEAL.say("label"), sealed));
            if (tried.get(0).peakK() > c.target()) {
                c.moreRows(Remedy.Kind.SEAL_AND_ROWS, sealed).ifPresent(tried::add);
            }
        } else {
            c.moreRows(Remedy.Kind.MORE_ROWS, c.design()).ifPresent(tried::add);
        }
        return tried.stream().filter(r -> r.peakK() <= c.target()).findFirst().or(() -> tried.stream()
                .min(Comparator.comparingDouble(Remedy::peakK)));
    }

    /** For a car without a cooler: the smallest core in the grille that brings the peak into the band. */
    private static Optional<Remedy> first(Context c) {
        Hose hose = new Hose(14.2e-3, 1.2, 2);
        CoolerLoop loop = new CoolerLoop(
                hose,
                hose,
                CoolerLoop.PLATE_HEADS,
                Optional.of(Thresholds.thermostat(c.car().limits())),
                0);
        Core smallest = Core.stackedPlate(CorePart.ROWS[0], 0.28, 0.05);
        Airway airway = Airway.at(Place.LOWER_GRILLE_AHEAD, 0.03)
                .withSealing(Thresholds.SEALED)
                .withShade(Thresholds.CLEARED);
        Design start = c.design().withCooler(Optional.of(Design.Cooler.of(smallest, airway, loop)));
        Remedy one = c.remedy(Remedy.Kind.FIRST_CORE.say("label").count("rows", smallest.rows()), start);
        return one.peakK() <= c.target() ? Optional.of(one) : c.moreRows(Remedy.Kind.FIRST_CORE, start);
    }
}
