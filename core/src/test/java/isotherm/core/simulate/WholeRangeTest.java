package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Airway;
import isotherm.core.airflow.Fan;
import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.duty.ClimbDuty;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Trailer;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import isotherm.core.fluid.Oil;
import isotherm.core.heat.HeatSchool;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import isotherm.core.hydraulics.OilThermostat;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Anything that may be entered gives figures, and what is entered a hair differently gives a hair other ones. */
class WholeRangeTest {
    private static final Car CAR = DemoCars.car();

    private record Case(Car car, Duty duty, Design design) {}

    static Stream<Integer> seeds() {
        return IntStream.range(0, 500).boxed();
    }

    private static double between(Random r, double low, double high) {
        return low + (high - low) * r.nextDouble();
    }

    /** A case whose every number lies somewhere in its whole range; a little warmer, a little wider open. */
    private static Case drawn(int seed, double warmer, double wider) {
        Random r = new Random(7919L * seed + 11);
        Weather day = new Weather(between(r, 233, 323) + warmer, between(r, 0, 4000));
        Duty duty =
                switch (r.nextInt(3)) {
                    case 0 -> {
                        TrackDuty d = DemoCars.session(3 + r.nextInt(6));
                        yield new TrackDuty(d.lap(), d.plan(), day);
                    }
                    case 1 -> new CruiseDuty(between(r, 3, 80), between(r, 60, 2400), r.nextBoolean(), day);
                    default ->
                        ClimbDuty.even(
                                between(r, 500, 15_000),
                                between(r, -0.05, 0.2),
                                between(r, 3, 40),
                                new Trailer(between(r, 0, 3500), between(r, 0, 4)),
                                between(r, 0, 300),
                                day);
                };
        Place place = Place.values()[r.nextInt(Place.values().length)];
        Airway airway = Airway.at(place, between(r, 5e-4, 0.3) * wider)
                .withSealing(r.nextDouble())
                .withShade(between(r, 0, 1))
                .withHeatAhead(r.nextBoolean() ? between(r, 0, 20e3) : 0)
                .withFan(r.nextBoolean() ? Optional.of(Fan.TYPICAL) : Optional.empty());
        Hose hose = new Hose(between(r, 8e-3, 22e-3), between(r, 0.2, 4), r.nextInt(5));
        double opens = between(r, 340, 380);
        Core core = Core.of(
                        Construction.values()[r.nextInt(3)],
                        2 + r.nextInt(50),
                        between(r, 0.08, 0.6),
                        between(r, 0.02, 0.12))
                .withPasses(1 + r.nextInt(2));
        Design design = Design.with(Design.Cooler.of(
                        core,
                        airway,
                        new CoolerLoop(
                                hose,
                                hose,
                                CoolerLoop.PLATE_HEADS,
                                r.nextInt(4) > 0 ? Optional.of(OilThermostat.opening(opens)) : Optional.empty(),
                                0)))
                .withOil(Oil.GRADES.get(r.nextInt(Oil.GRADES.size())));
        Coolant c = CAR.coolant();
        Car car = CAR.withSchool(new HeatSchool.ShareOfPower(between(r, 0, 0.3)))
                .withLosses(new Car.PassiveLosses(
                        between(r, 0, 100), between(r, 0, 10), between(r, 0, 500), between(r, 0, 40e3)))
                .withCoolant(new Coolant(
                        between(r, 5e3, 2e5),
                        between(r, 0.05, 1.5),
                        new Radiator(
                                between(r, 0.05, 0.6),
                                between(r, 50, 5000),
                                between(r, 10, 600),
                                between(r, 0.002, 0.3),
                                between(r, 0, 600),
                                between(r, 0.05, 3)),
                        c.opensK(),
                        c.fullK()));
        return new Case(car, duty, design);
    }

    private static Session run(Case c) {
        return Simulator.run(c.car(), c.duty(), c.design());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void isFiniteAndWithoutJumps(int seed) {
        Case here = drawn(seed, 0, 1);
        Session s = run(here);
        Coolant c = here.car().coolant();
        double into = c.heatShare() * here.car().engine().power() + 100e3;
        for (int i = 0; i < s.oil().length; i++) {
            assertThat(new double[] {s.oil()[i], s.returned()[i], s.coolant()[i], s.pressure()[i], s.lift()[i]})
                    .doesNotContain(Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY);
            assertThat(s.coolant()[i]).as("boiling holds it").isLessThan(Coolant.BOILS_K + into * 4 / c.capacity());
        }
        assertThat(Math.abs(s.balance().error())).isLessThan(2e-3);
        // A fan's two switching points are its own hysteresis, some degrees of oil wide.
        boolean fan = here.design().cooler().orElseThrow().airway().fan().isPresent();
        double step = fan ? 4 : 0.5;
        assertThat(run(drawn(seed, 0.02, 1)).peak()).isCloseTo(s.peak(), within(step));
        assertThat(run(drawn(seed, 0, 1.0005)).peak()).isCloseTo(s.peak(), within(step));
    }
}
