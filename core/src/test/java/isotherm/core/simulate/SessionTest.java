package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The figures of merit, each against the trace that it is read from. */
class SessionTest {
    private static final Car CAR = DemoCars.car();

    /** A session with hand-made oil temperatures, one a second. */
    private static Session made(double[] celsius, List<DemandTrace.Phase> phases) {
        int n = celsius.length;
        double[] none = new double[n];
        double[] oil = Arrays.stream(celsius).map(Units::kelvin).toArray();
        DemandTrace demand = new DemandTrace(1, none, none, none, phases);
        return new Session(
                demand,
                oil,
                oil,
                oil,
                none,
                () -> none,
                none,
                new boolean[n],
                new Session.Balance(0, 0, 0, 0, 0, 0),
                CAR.limits(),
                oil[0]);
    }

    private static double[] ramp(double from, double to, int n) {
        double[] values = new double[n];
        for (int i = 0; i < n; i++) {
            values[i] = from + (to - from) * i / (n - 1);
        }
        return values;
    }

    @Test
    void peakAndTimesAreThoseOfTheTrace() {
        Session s = made(ramp(50, 150, 101), List.of());
        assertThat(s.peak()).isCloseTo(Units.kelvin(150), within(1e-9));
        assertThat(s.timeTo(Units.kelvin(65))).isEqualTo(16);
        assertThat(s.timeTo(Units.kelvin(151))).isInfinite();
        assertThat(s.timeTo(Units.kelvin(40))).isZero();
        assertThat(s.timeAbove(Units.kelvin(129.5))).isEqualTo(21);
    }

    @Test
    void thePlateauIsTheLastThirdOfTheTimeUnderLoad() {
        double[] celsius = new double[120];
        Arrays.fill(celsius, 0, 60, 100);
        Arrays.fill(celsius, 60, 90, 130);
        Arrays.fill(celsius, 90, 120, 80);
        List<DemandTrace.Phase> phases = List.of(
                new DemandTrace.Phase("lap 1", DemandTrace.Kind.FLYER, 0),
                new DemandTrace.Phase("cool-down", DemandTrace.Kind.COOL_DOWN, 90));
        assertThat(made(celsius, phases).plateau()).isCloseTo(Units.kelvin(130), within(1e-9));
        assertThat(made(celsius, List.of()).plateau()).isLessThan(Units.kelvin(100));
    }

    @Test
    void theClimbRateIsTheSlopeOfTheEnd() {
        assertThat(made(ramp(80, 180, 601), List.of()).climbRate()).isCloseTo(10, within(0.01));
        double[] level = new double[600];
        Arrays.fill(level, 110);
        assertThat(made(level, List.of()).climbRate()).isCloseTo(0, within(1e-9));
    }

    @Test
    void aSessionOfPitsAloneStillHasFigures() {
        Session s = made(ramp(120, 100, 60), List.of(new DemandTrace.Phase("pits", DemandTrace.Kind.PIT, 0)));
        assertThat(s.plateau()).isBetween(Units.kelvin(100), Units.kelvin(110));
    }

    @Test
    void thermostatTravelCountsOnlyTheTimeBetweenItsEnds() {
        Session hot = Simulator.run(CAR, DemoCars.session(8), DemoCars.design(13, Place.GRILLE_AHEAD));
        long between = 0;
        for (double lift : hot.lift()) {
            between += lift > 0.02 && lift < 0.98 ? 1 : 0;
        }
        assertThat(hot.thermostatTravel()).isEqualTo(between).isPositive();
        Session none = Simulator.run(
                CAR,
                DemoCars.session(8),
                DemoCars.design(13, Place.GRILLE_AHEAD).withThermostat(Optional.empty()));
        assertThat(none.thermostatTravel()).isZero();
    }

    @Test
    void aheadOfTheRadiatorTheCoolantPaysAndBehindTheOilDoes() {
        TrackDuty track = DemoCars.session(10);
        double bare = Simulator.run(CAR, track, Design.NO_COOLER).peakCoolant();
        Session ahead = Simulator.run(CAR, track, DemoCars.design(25, Place.GRILLE_AHEAD));
        Session behind = Simulator.run(CAR, track, DemoCars.design(25, Place.BEHIND_RADIATOR));
        Session own = Simulator.run(CAR, track, DemoCars.design(25, Place.FRONT_CORNER_VENTED));
        assertThat(ahead.peakCoolant()).isGreaterThan(bare + 0.5);
        assertThat(ahead.peakCoolant()).isGreaterThan(own.peakCoolant());
        assertThat(behind.peak()).isGreaterThan(ahead.peak());
        assertThat(own.peakCoolant()).isLessThanOrEqualTo(bare + 0.1);
    }

    @Test
    void withoutAThermostatTheCarWarmsUpSlower() {
        CruiseDuty cold = new CruiseDuty(17, 2400, true, new Weather(Units.kelvin(5), 100));
        Design with = DemoCars.design(19, Place.GRILLE_AHEAD);
        double controlled = Simulator.run(CAR, cold, with).timeTo(Units.kelvin(50));
        double open =
                Simulator.run(CAR, cold, with.withThermostat(Optional.empty())).timeTo(Units.kelvin(50));
        double bare = Simulator.run(CAR, cold, Design.NO_COOLER).timeTo(Units.kelvin(50));
        assertThat(bare).isLessThanOrEqualTo(controlled);
        assertThat(controlled).isLessThan(open);
    }

    @Test
    void aFactoryExchangerWarmsTheOilQuicker() {
        CruiseDuty cold = new CruiseDuty(17, 2400, true, new Weather(Units.kelvin(5), 100));
        Car kept = CAR.withFactoryExchanger(200);
        double with = Simulator.run(kept, cold, Design.NO_COOLER).timeTo(Units.kelvin(65));
        double deleted = Simulator.run(kept, cold, Design.NO_COOLER.withFactoryExchanger(false))
                .timeTo(Units.kelvin(65));
        assertThat(with).isLessThan(deleted);
    }

    @Test
    void anAccumulatorIsMoreOilToWarmAndCool() {
        Design base = DemoCars.design(13, Place.GRILLE_AHEAD);
        Design.Cooler c = base.cooler().orElseThrow();
        Design more = Design.with(new Design.Cooler(
                c.core(),
                c.airway(),
                new isotherm.core.hydraulics.CoolerLoop(
                        c.loop().feed(),
                        c.loop().back(),
                        c.loop().plateHeads(),
                        c.loop().thermostat(),
                        2e-3),
                c.efficacy()));
        Session plain = Simulator.run(CAR, DemoCars.session(24), base);
        Session accumulated = Simulator.run(CAR, DemoCars.session(24), more);
        assertThat(Math.abs(accumulated.balance().error())).isLessThan(1e-3);
        assertThat(accumulated.plateau()).isCloseTo(plain.plateau(), within(1.5));
        assertThat(accumulated.balance().stored()).isGreaterThan(plain.balance().stored());
    }
}
