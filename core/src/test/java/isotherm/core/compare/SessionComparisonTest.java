package isotherm.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.message.Value;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Factor;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SessionComparisonTest {
    private static final Car CAR = DemoCars.car();

    private static SessionComparison.Logged logged(Design design, double ambientC, double pace, long seed) {
        return logged(CAR, design, ambientC, pace, seed, 1);
    }

    /** Driven by a car as it truly is, its heat judged by the car as it is known. */
    private static SessionComparison.Logged logged(
            Car truth, Design design, double ambientC, double pace, long seed, double noise) {
        Weather day = new Weather(Units.kelvin(ambientC), 240);
        DemandTrace demand = DemoCars.session(14)
                .withWeather(day)
                .demand(CAR.vehicle(), CAR.engine())
                .withPower(pace);
        Session s = Simulator.run(truth, demand, day, design, Duty.Start.WARM.oilK(), Duty.Start.WARM.coolantK());
        Random random = new Random(seed);
        double[] oil = new double[demand.cells()];
        double[] heat = new double[demand.cells()];
        for (int i = 0; i < oil.length; i++) {
            oil[i] = s.oil()[i] + noise * random.nextGaussian();
            heat[i] = CAR.school().oilHeat(CAR.engine(), demand.brakePower()[i], demand.rpm()[i]);
        }
        return new SessionComparison.Logged(demand, oil, heat, day.ambientK(), Car.SensorPlace.SUMP);
    }

    @Test
    void aCoolerIsFoundAcrossTwoDaysNineKelvinApart() {
        SessionComparison.Result r = SessionComparison.compare(
                logged(Design.NO_COOLER, 31, 1, 1),
                logged(DemoCars.design(19, Place.GRILLE_AHEAD), 22, 1, 2),
                Optional.empty(),
                7);
        assertThat(r.verdict()).isEqualTo(SessionComparison.Verdict.COOLER);
        assertThat(r.difference().value()).isBetween(-70.0, -15.0);
        assertThat(r.riseAfter().value()).isLessThan(r.riseBefore().value());
        assertThat(r.reasons().get(0).values().get("way")).isEqualTo(new Value.Choice("COOLER"));
    }

    @Test
    void twoSessionsOfTheSameCarOnTheSameDayAreNotTold() {
        SessionComparison.Result r = SessionComparison.compare(
                logged(Design.NO_COOLER, 30, 1, 1), logged(Design.NO_COOLER, 30, 1, 2), Optional.empty(), 7);
        assertThat(Math.abs(r.difference().value())).isLessThan(1.0);
        assertThat(r.plateauBefore().value()).isCloseTo(r.plateauAfter().value(), within(1.0));
    }

    /** A car as one really is. */
    private static Car truth(Random random) {
        Car truth = CAR;
        for (Factor f : Factor.values()) {
            truth = f.scale(truth, Math.exp(Math.min(0.08, f.spread()) * random.nextGaussian()));
        }
        return truth;
    }

    /** What a day adds to it: fuel, wind and traffic move the plateau by 1.5 to 1.8% of its rise, one standard deviation. */
    private static Car today(Car truth, Random random) {
        return Factor.AIR.scale(
                Factor.HEAT.scale(truth, Math.exp(0.045 * random.nextGaussian())),
                Math.exp(0.07 * random.nextGaussian()));
    }

    /** Two hundred pairs of days whose true car, pace and thermometer nobody knows exactly. */
    private static int[] repeats(Design before, Design[] after) {
        int held = 0;
        int told = 0;
        for (int seed = 1; seed <= 200; seed++) {
            Random random = new Random(seed);
            Car truth = truth(random);
            Design then = after[seed % after.length];
            double[] pace = {1 + 0.02 * random.nextGaussian(), 1 + 0.02 * random.nextGaussian()};
            double air = 12 + 18 * random.nextDouble();
            SessionComparison.Logged first = logged(today(truth, random), before, 25, pace[0], seed, 0.4);
            SessionComparison.Logged second = logged(today(truth, random), then, air, pace[1], seed + 1000, 0.4);
            // What the change did on one and the same day.
            double known = SessionComparison.compare(
                            logged(truth, before, 25, pace[0], 1, 0),
                            logged(truth, then, 25, pace[0], 1, 0),
                            Optional.empty(),
                            1)
                    .difference()
                    .value();
            SessionComparison.Logged read = new SessionComparison.Logged(
                    second.demand(),
                    second.oilK(),
                    second.heat(),
                    second.ambientK() + 0.5 * random.nextGaussian(),
                    second.sensor());
            SessionComparison.Result r = SessionComparison.compare(
                    first, read, Optional.of(SessionComparison.Step.byModel(CAR, then, first, read, 240)), seed);
            held += r.difference().low() <= known && known <= r.difference().high() ? 1 : 0;
            told += r.verdict() == SessionComparison.Verdict.NO_DIFFERENCE ? 0 : 1;
        }
        return new int[] {held, told};
    }

    @Test
    void theRangeHoldsTrueChangesFromNothingToThirtyKelvin() {
        Design[] after = {
            Design.NO_COOLER,
            DemoCars.design(7, Place.UNDER_FLOOR),
            DemoCars.design(10, Place.LOWER_GRILLE_AHEAD),
            DemoCars.design(16, Place.GRILLE_AHEAD),
            DemoCars.design(25, Place.GRILLE_AHEAD)
        };
        assertThat(repeats(Design.NO_COOLER, after)[0]).isBetween(170, 190);
    }

    @Test
    void aChangeThatDoesNothingIsToldInAtMostATenthOfPairs() {
        for (Design same : new Design[] {Design.NO_COOLER, DemoCars.design(13, Place.GRILLE_AHEAD)}) {
            int[] counts = repeats(same, new Design[] {same});
            assertThat(counts[0]).isBetween(170, 198);
            assertThat(counts[1]).isLessThanOrEqualTo(20);
        }
    }

    private static SessionComparison.Logged readAt(SessionComparison.Logged l, Car.SensorPlace sensor, double by) {
        double[] oil = java.util.Arrays.stream(l.oilK()).map(k -> k + by).toArray();
        return new SessionComparison.Logged(l.demand(), oil, l.heat(), l.ambientK(), sensor);
    }

    @Test
    void aSensorBehindTheTakeoffIsNoCoolerOil() {
        Design design = DemoCars.design(25, Place.GRILLE_AHEAD).withThermostat(Optional.empty());
        SessionComparison.Logged sump = logged(CAR, design, 25, 1, 1, 0.4);
        Session s = Simulator.run(CAR, DemoCars.session(14), design);
        int last = s.demand().cells() - 1;
        double less = s.at(Car.SensorPlace.PLATE_OUTLET, last) - s.oil()[last];
        assertThat(less).isLessThan(-4);
        SessionComparison.Logged outlet =
                readAt(logged(CAR, design, 25, 1, 2, 0.4), Car.SensorPlace.PLATE_OUTLET, less);
        SessionComparison.Result r = SessionComparison.compare(
                sump, outlet, Optional.of(SessionComparison.Step.byModel(CAR, design, sump, outlet, 240)), 1);
        assertThat(Math.abs(r.difference().value())).isLessThan(3);
        assertThat(r.reasons().stream().map(m -> m.key()).toList())
                .containsAnyOf(
                        ComparisonReason.SENSORS_CORRECTED.key("text"), ComparisonReason.SENSORS_APART.key("text"));
        SessionComparison.Result blind = SessionComparison.compare(sump, outlet, Optional.empty(), 1);
        assertThat(blind.verdict()).isEqualTo(SessionComparison.Verdict.TOO_UNLIKE);
    }

    @Test
    void risesInProportionToHeatCorrectTooMuchForTheDay() {
        Design same = DemoCars.design(13, Place.GRILLE_AHEAD);
        SessionComparison.Logged hot = logged(CAR, same, 31, 1, 1, 0.4);
        SessionComparison.Logged mild = logged(CAR, same, 22, 1, 2, 0.4);
        double plain = SessionComparison.compare(hot, mild, Optional.empty(), 1)
                .difference()
                .value();
        double modelled = SessionComparison.compare(
                        hot, mild, Optional.of(SessionComparison.Step.byModel(CAR, same, hot, mild, 240)), 1)
                .difference()
                .value();
        assertThat(Math.abs(modelled)).isLessThan(0.5).isLessThan(Math.abs(plain) / 4);
    }

    @Test
    void sessionsTooUnlikeAreRefusedWithTheReason() {
        SessionComparison.Result slow = SessionComparison.compare(
                logged(Design.NO_COOLER, 30, 1, 1), logged(Design.NO_COOLER, 30, 0.35, 2), Optional.empty(), 7);
        assertThat(slow.verdict()).isEqualTo(SessionComparison.Verdict.TOO_UNLIKE);
        assertThat(slow.reasons().get(0).key()).isEqualTo(ComparisonReason.PACE.key("text"));
        SessionComparison.Result winter = SessionComparison.compare(
                logged(Design.NO_COOLER, 30, 1, 1), logged(Design.NO_COOLER, 2, 1, 2), Optional.empty(), 7);
        assertThat(winter.reasons().get(0).key()).isEqualTo(ComparisonReason.DAYS.key("text"));
    }

    @Test
    void aSessionWithoutTemperaturesIsRefused() {
        SessionComparison.Logged good = logged(Design.NO_COOLER, 30, 1, 1);
        double[] nothing = new double[good.oilK().length];
        java.util.Arrays.fill(nothing, Double.NaN);
        SessionComparison.Result r = SessionComparison.compare(
                good,
                new SessionComparison.Logged(good.demand(), nothing, good.heat(), good.ambientK(), good.sensor()),
                Optional.empty(),
                7);
        assertThat(r.verdict()).isEqualTo(SessionComparison.Verdict.TOO_UNLIKE);
        assertThat(r.reasons()).isNotEmpty();
    }

    @Test
    void theSameSeedGivesTheSameInterval() {
        var a = logged(Design.NO_COOLER, 31, 1, 1);
        var b = logged(DemoCars.design(10, Place.GRILLE_AHEAD), 25, 1, 2);
        assertThat(SessionComparison.compare(a, b, Optional.empty(), 3))
                .isEqualTo(SessionComparison.compare(a, b, Optional.empty(), 3));
    }
}
