package isotherm.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SessionComparisonTest {
    private static final Car CAR = DemoCars.car();

    private static SessionComparison.Logged logged(Design design, double ambientC, double pace, long seed) {
        Weather day = new Weather(Units.kelvin(ambientC), 240);
        DemandTrace demand = DemoCars.session(14)
                .withWeather(day)
                .demand(CAR.vehicle(), CAR.engine())
                .withPower(pace);
        Session s = Simulator.run(CAR, demand, day, design, Duty.Start.WARM.oilK(), Duty.Start.WARM.coolantK());
        Random random = new Random(seed);
        double[] oil = new double[demand.cells()];
        double[] heat = new double[demand.cells()];
        for (int i = 0; i < oil.length; i++) {
            oil[i] = s.oil()[i] + random.nextGaussian();
            heat[i] = CAR.school().oilHeat(CAR.engine(), demand.brakePower()[i], demand.rpm()[i]);
        }
        return new SessionComparison.Logged(demand, oil, heat, day.ambientK());
    }

    @Test
    void aCoolerIsFoundAcrossTwoDaysNineKelvinApart() {
        SessionComparison.Result r = SessionComparison.compare(
                logged(Design.NO_COOLER, 31, 1, 1), logged(DemoCars.design(19, Place.GRILLE_AHEAD), 22, 1, 2), 7);
        assertThat(r.verdict()).isEqualTo(SessionComparison.Verdict.COOLER);
        assertThat(r.difference().value()).isBetween(-70.0, -15.0);
        assertThat(r.riseAfter().value()).isLessThan(r.riseBefore().value());
        assertThat(r.words().get(0)).contains("cooler");
    }

    @Test
    void twoSessionsOfTheSameCarOnTheSameDayAreNotTold() {
        SessionComparison.Result r =
                SessionComparison.compare(logged(Design.NO_COOLER, 30, 1, 1), logged(Design.NO_COOLER, 30, 1, 2), 7);
        assertThat(Math.abs(r.difference().value())).isLessThan(1.0);
        assertThat(r.plateauBefore().value()).isCloseTo(r.plateauAfter().value(), within(1.0));
    }

    @Test
    void sessionsTooUnlikeAreRefusedWithTheReason() {
        SessionComparison.Result slow =
                SessionComparison.compare(logged(Design.NO_COOLER, 30, 1, 1), logged(Design.NO_COOLER, 30, 0.35, 2), 7);
        assertThat(slow.verdict()).isEqualTo(SessionComparison.Verdict.TOO_UNLIKE);
        assertThat(slow.words().get(0)).contains("pace");
        SessionComparison.Result winter =
                SessionComparison.compare(logged(Design.NO_COOLER, 30, 1, 1), logged(Design.NO_COOLER, 2, 1, 2), 7);
        assertThat(winter.words().get(0)).contains("days");
    }

    @Test
    void aSessionWithoutTemperaturesIsRefused() {
        SessionComparison.Logged good = logged(Design.NO_COOLER, 30, 1, 1);
        double[] nothing = new double[good.oilK().length];
        java.util.Arrays.fill(nothing, Double.NaN);
        SessionComparison.Result r = SessionComparison.compare(
                good, new SessionComparison.Logged(good.demand(), nothing, good.heat(), good.ambientK()), 7);
        assertThat(r.verdict()).isEqualTo(SessionComparison.Verdict.TOO_UNLIKE);
        assertThat(r.words()).isNotEmpty();
    }

    @Test
    void theSameSeedGivesTheSameInterval() {
        var a = logged(Design.NO_COOLER, 31, 1, 1);
        var b = logged(DemoCars.design(10, Place.GRILLE_AHEAD), 25, 1, 2);
        assertThat(SessionComparison.compare(a, b, 3)).isEqualTo(SessionComparison.compare(a, b, 3));
    }
}
