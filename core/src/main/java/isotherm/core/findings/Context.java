package isotherm.core.findings;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.fluid.Oil;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Comparator;
import java.util.Optional;

/** What rules ask about a design, and what they try on it. */
record Context(Assessment assessment) {

    Car car() {
        return assessment.car();
    }

    Design design() {
        return assessment.design();
    }

    Session session() {
        return assessment.session();
    }

    Optional<Design.Cooler> cooler() {
        return design().cooler();
    }

    double peak() {
        return session().peak();
    }

    double target() {
        return car().limits().targetHighK();
    }

    double limit() {
        return car().limits().limitK();
    }

    /** How sure one wants to be. */
    double sure() {
        return car().limits().sure();
    }

    /** Odds that the design stays under the top of its target. */
    double oddsInBand() {
        return assessment.outlook().oddsUnder(target());
    }

    /** Odds that it stays under the oil's limit. */
    double oddsUnderLimit() {
        return assessment.outlook().oddsUnder(limit());
    }

    /** Odds that the car stays in its band without a cooler. */
    double oddsWithout() {
        return assessment.bareOutlook().oddsUnder(target());
    }

    Oil oil() {
        return design().oil().orElse(car().oil());
    }

    /** The duty with another design. */
    Session run(Design other) {
        return Simulator.run(car(), assessment.duty(), other);
    }

    /** A change whose figure is the peak. */
    Remedy remedy(Message label, Design other) {
        double after = run(other).peak();
        return new Remedy(label, other, after, Remedy.Effect.PEAK.of(Measure.TEMPERATURE, peak(), after));
    }

    /** A change whose figure is another one. */
    Remedy remedy(Message label, Design other, Message effect) {
        return new Remedy(label, other, run(other).peak(), effect);
    }

    Remedy rows(Remedy.Kind kind, Design from, int rows) {
        Core core = from.cooler().orElseThrow().core();
        return remedy(kind.say("label").count("rows", rows), from.withCore(core.withRows(rows)));
    }

    /** The fewest rows of the same core that bring the peak into the target band, or the most there are. */
    Optional<Remedy> moreRows(Remedy.Kind kind, Design from) {
        int now = from.cooler().orElseThrow().core().rows();
        Remedy last = null;
        for (int rows : CorePart.ROWS) {
            if (rows > now) {
                last = rows(kind, from, rows);
                if (last.peakK() <= target()) {
                    break;
                }
            }
        }
        return Optional.ofNullable(last);
    }

    /** The thinnest shipped grade that keeps a film at the peak. */
    Optional<Oil> thicker() {
        return Oil.GRADES.stream()
                .filter(o -> o.kinematicViscosity(peak()) >= Thresholds.THIN_FILM)
                .min(Comparator.comparingDouble(o -> o.kinematicViscosity(peak())));
    }

    Remedy fill(Remedy.Kind kind, Oil grade) {
        Design filled = design().withOil(grade);
        double after = run(filled).peak();
        return new Remedy(
                kind.say("label").name("grade", grade.name()),
                filled,
                after,
                Remedy.Effect.VISCOSITY.of(
                        Measure.VISCOSITY, oil().kinematicViscosity(peak()), grade.kinematicViscosity(after)));
    }

    Design withoutCooler() {
        return design().withCooler(Optional.empty());
    }
}
