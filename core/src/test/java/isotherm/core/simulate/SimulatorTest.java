package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.AirFlow;
import isotherm.core.airflow.AirNetwork;
import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Coolant;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.exchanger.CoreModel;
import isotherm.core.exchanger.CoreRating;
import isotherm.core.fluid.Oil;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilCircuit;
import java.util.Arrays;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class SimulatorTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(10);

    @ParameterizedTest
    @EnumSource(Place.class)
    void theEnergyBalanceClosesToATenthOfAPercent(Place place) {
        Design design = DemoCars.design(16, place);
        Design fanned = design.withAirway(design.cooler().orElseThrow().airway().withFan(Optional.of(DemoCars.fan())));
        for (Design d : new Design[] {design, fanned, design.withThermostat(Optional.empty()), Design.NO_COOLER}) {
            Session s = Simulator.run(CAR, TRACK, d);
            assertThat(Math.abs(s.balance().error())).isLessThan(1e-3);
            assertThat(s.balance().in()).isPositive();
        }
    }

    @Test
    void agreesWithTheAdaptiveReferenceWithinATenthOfAKelvinEverywhere() {
        double fastest = 0;
        double slowest = 1;
        for (Design design : new Design[] {
            DemoCars.design(10, Place.LOWER_GRILLE_AHEAD),
            DemoCars.design(30, Place.FRONT_CORNER_VENTED),
            DemoCars.design(19, Place.BEHIND_RADIATOR),
            DemoCars.design(7, Place.UNDER_FLOOR).withThermostat(Optional.empty()),
        }) {
            DemandTrace demand = TRACK.demand(CAR.vehicle(), CAR.engine());
            SessionEquations equations = new SessionEquations(CAR, demand, TRACK.weather(), design);
            Session session = Simulator.run(CAR, TRACK, design);
            for (int cell = 0; cell < demand.cells(); cell++) {
                fastest = Math.max(fastest, equations.fastestRate(cell) * demand.cell());
                slowest = Math.min(slowest, equations.fastestRate(cell) * demand.cell());
            }
            double[] y = equations.start(Duty.Start.WARM.oilK(), Duty.Start.WARM.coolantK());
            for (int cell = 0; cell < demand.cells(); cell++) {
                y = reference(equations, cell, y);
                assertThat(session.oil()[cell]).isCloseTo(y[SessionEquations.OIL], within(0.1));
                assertThat(session.coolant()[cell]).isCloseTo(y[SessionEquations.COOLANT], within(0.1));
                assertThat(session.returned()[cell]).isCloseTo(y[SessionEquations.RETURN], within(0.1));
            }
        }
        assertThat(fastest).as("steps shorter than a cell").isGreaterThan(Simulator.STEP_LIMIT);
        assertThat(slowest).as("and as long as one").isLessThan(Simulator.STEP_LIMIT);
    }

    private static double[] reference(SessionEquations equations, int cell, double[] y) {
        OrdinaryDifferentialEquation ode = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return SessionEquations.STATES;
            }

            @Override
            public double[] computeDerivatives(double t, double[] state) {
                double[] dy = new double[SessionEquations.STATES];
                equations.derivatives(cell, false, state, dy);
                return dy;
            }
        };
        ODEStateAndDerivative end = new DormandPrince853Integrator(1e-6, 1, 1e-7, 1e-7)
                .integrate(ode, new ODEState(0, y), equations.demand().cell());
        return end.getPrimaryState();
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void aWarmUpThatEndsWhenItIsWarmTakesAsLongAsInTheWholeSession(Place place) {
        Duty road = new CruiseDuty(60 / 3.6, 1800, true, DemoCars.DAY);
        for (Design d : new Design[] {
            DemoCars.design(19, place), DemoCars.design(19, place).withThermostat(Optional.empty()), Design.NO_COOLER
        }) {
            Session whole = Simulator.run(CAR, road, d);
            assertThat(whole.timeTo(Units.kelvin(65))).isBetween(60.0, 1800.0);
            for (double celsius : new double[] {0, 45, 65, 300}) {
                assertThat(Simulator.timeTo(CAR, road, d, Units.kelvin(celsius)))
                        .isEqualTo(whole.timeTo(Units.kelvin(celsius)));
            }
        }
    }

    @Test
    void aSessionThatEndsWhereItIsTooWarmIsTheWholeOneUpToThere() {
        Duty track = DemoCars.session(6);
        DemandTrace demand = track.demand(CAR.vehicle(), CAR.engine());
        Design design = DemoCars.design(13, Place.GRILLE_AHEAD);
        double[] whole = Simulator.run(CAR, track, design).oil();
        double peak = Simulator.run(CAR, track, design).peak();
        double tooWarm = (whole[0] + peak) / 2;
        Session ended = Simulator.runUntil(CAR, track, demand, design, tooWarm);
        int last = 0;
        while (whole[last] < tooWarm) {
            last++;
        }
        assertThat(ended.peak()).isEqualTo(whole[last]).isBetween(tooWarm, peak);
        assertThat(Arrays.copyOf(ended.oil(), last + 1)).containsExactly(Arrays.copyOf(whole, last + 1));
        assertThat(Arrays.stream(ended.oil(), last + 1, whole.length)).containsOnly(0.0);
        assertThat(Simulator.runUntil(CAR, track, demand, design, Math.nextUp(peak))
                        .oil())
                .containsExactly(whole);
    }

    /** Else the residuals of a fit would jump where a cell takes a step more. */
    @ParameterizedTest
    @EnumSource(Factor.class)
    void whatAFitMovesLeavesTheStepsAsTheyAre(Factor factor) {
        Design design = DemoCars.design(10, Place.LOWER_GRILLE_AHEAD);
        DemandTrace demand = TRACK.demand(CAR.vehicle(), CAR.engine());
        SessionEquations usual = new SessionEquations(CAR, demand, TRACK.weather(), design);
        SessionEquations moved = new SessionEquations(factor.scale(CAR, 1.2), demand, TRACK.weather(), design);
        for (int cell = 0; cell < demand.cells(); cell++) {
            assertThat(moved.fastestRate(cell)).isEqualTo(usual.fastestRate(cell));
        }
    }

    /** Steps as long as one another, and each second one three times as long. */
    @ParameterizedTest
    @ValueSource(doubles = {1, 0.5})
    void theIntegratorIsOfSecondOrder(double first) {
        DemandTrace demand = new CruiseDuty(40, 30, DemoCars.DAY).demand(CAR.vehicle(), CAR.engine());
        SessionEquations equations = new SessionEquations(
                CAR,
                demand,
                DemoCars.DAY,
                DemoCars.design(19, Place.GRILLE_AHEAD).withThermostat(Optional.empty()));
        double[] exact = run(equations, 1.0 / 256, first);
        double coarse = Math.abs(run(equations, 0.5, first)[SessionEquations.RETURN] - exact[SessionEquations.RETURN]);
        double fine = Math.abs(run(equations, 0.25, first)[SessionEquations.RETURN] - exact[SessionEquations.RETURN]);
        assertThat(Math.log(coarse / fine) / Math.log(2)).isBetween(1.6, 2.4);
    }

    /** Two seconds in steps of h by twos: a share of it, then what is left of both. */
    private static double[] run(SessionEquations equations, double h, double first) {
        double[] y = equations.start(Units.kelvin(110), Units.kelvin(90));
        y[SessionEquations.RETURN] = Units.kelvin(60);
        MidpointStepper stepper = new MidpointStepper(equations);
        for (int i = 0; i < Math.round(2 / h); i++) {
            stepper.step(0, false, y, i % 2 == 0 ? first * h : (2 - first) * h);
        }
        return y;
    }

    @Test
    void inSteadyStateTheSessionsCoolerIsTheRatedOne() {
        Design design = DemoCars.design(19, Place.FRONT_CORNER_VENTED).withThermostat(Optional.empty());
        Design.Cooler cooler = design.cooler().orElseThrow();
        CruiseDuty cruise = new CruiseDuty(45, 3000, DemoCars.DAY);
        DemandTrace demand = cruise.demand(CAR.vehicle(), CAR.engine());
        Session s = Simulator.run(CAR, cruise, design);
        int last = demand.cells() - 1;
        CoreModel model = new CoreModel(cooler.core());
        double pascal = DemoCars.DAY.pressure();
        AirNetwork network = new AirNetwork(
                cooler.airway(), model, Optional.of(CAR.coolant().radiator()), DemoCars.DAY.ambientK(), pascal);
        AirFlow air = network.at(45, false, false);
        double flow = new OilCircuit(CAR.oil(), CAR.pump(), CAR.gauge())
                        .at(demand.rpm()[last], s.oil()[last], Optional.of(cooler.loop()), Optional.of(model), 1)
                        .coolerFlow()
                * CAR.oil().density(s.oil()[last]);
        CoreRating rated = model.rate(
                CAR.oil(),
                flow,
                s.oil()[last],
                air.coreMassFlow(),
                DemoCars.DAY.ambientK(),
                pascal,
                network.openShare(),
                cooler.efficacy());
        double inSession = flow
                * CAR.oil().specificHeat((s.oil()[last] + s.returned()[last]) / 2)
                * (s.oil()[last] - s.returned()[last]);
        assertThat(inSession).isCloseTo(rated.heat(), within(0.01 * rated.heat()));
    }

    @Test
    void aCarWithNothingToDoCoolsTowardsTheAir() {
        double[] none = new double[7200];
        DemandTrace rest = new DemandTrace(1, none, none.clone(), none.clone(), java.util.List.of());
        Session s = Simulator.run(CAR, rest, DemoCars.DAY, Design.NO_COOLER, Units.kelvin(120), Units.kelvin(95));
        assertThat(s.oil()[7199]).isBetween(Units.kelvin(31), Units.kelvin(90));
        for (int i = 1; i < 7200; i++) {
            assertThat(s.oil()[i]).isLessThanOrEqualTo(s.oil()[i - 1] + 1e-9);
        }
    }

    @Test
    void aFactoryExchangerTakesSomeOffTheOilAndPutsItOnTheCoolant() {
        Car kept = CAR.withFactoryExchanger(200);
        Session with = Simulator.run(kept, TRACK, Design.NO_COOLER);
        Session without = Simulator.run(kept, TRACK, Design.NO_COOLER.withFactoryExchanger(false));
        double off = without.plateau() - with.plateau();
        assertThat(off).isBetween(15.0, 45.0);
        assertThat(with.balance().factory() / with.demand().duration()).isBetween(3000.0, 15_000.0);
        assertThat(with.peakCoolant()).isGreaterThan(without.peakCoolant());
    }

    @Test
    void anOpenBadlyShadedCoreTakesOffAboutHalfOfWhatASealedOneDoes() {
        Design open = DemoCars.design(16, Place.FRONT_CORNER_VENTED);
        var airway = open.cooler().orElseThrow().airway();
        double bare = Simulator.run(CAR, TRACK, Design.NO_COOLER).plateau();
        double leaky = bare
                - Simulator.run(
                                CAR,
                                TRACK,
                                open.withAirway(airway.withSealing(0.4).withShade(0.45)))
                        .plateau();
        double sealed = bare
                - Simulator.run(
                                CAR,
                                TRACK,
                                open.withAirway(airway.withSealing(0.95).withShade(0)))
                        .plateau();
        assertThat(leaky / sealed).isBetween(0.35, 0.7);
    }

    static Stream<Random> samples() {
        return IntStream.range(0, 40).mapToObj(Random::new);
    }

    @ParameterizedTest
    @MethodSource("samples")
    void moreRowsLessShadeAndColderAirNeverMakeTheOilHotter(Random random) {
        Place place = Place.values()[random.nextInt(Place.values().length)];
        int rows = 6 + random.nextInt(24);
        Design design = DemoCars.design(rows, place);
        var cooler = design.cooler().orElseThrow();
        double peak = Simulator.run(CAR, TRACK, design).peak();
        assertThat(Simulator.run(CAR, TRACK, design.withCore(cooler.core().withRows(rows + 3)))
                        .peak())
                .isLessThanOrEqualTo(peak + 0.05);
        assertThat(Simulator.run(CAR, TRACK, design.withAirway(cooler.airway().withShade(0.1)))
                        .peak())
                .isLessThanOrEqualTo(peak + 0.05);
        Duty colder = TRACK.withWeather(new Weather(DemoCars.DAY.ambientK() - 5, DemoCars.DAY.altitude()));
        assertThat(Simulator.run(CAR, colder, design).peak()).isLessThanOrEqualTo(peak + 0.05);
    }

    @Test
    void aFrozenStartIsAnAnswerNotACrash() {
        CruiseDuty cruise = new CruiseDuty(25, 1800, new Weather(Units.kelvin(-25), 0));
        Session s = Simulator.run(
                CAR,
                cruise.demand(CAR.vehicle(), CAR.engine()),
                cruise.weather(),
                DemoCars.design(19, Place.GRILLE_AHEAD).withThermostat(Optional.empty()),
                Units.kelvin(-25),
                Units.kelvin(-25));
        assertThat(s.oil()).doesNotContain(Double.NaN);
        assertThat(s.timeTo(Units.kelvin(65))).isGreaterThan(300);
        assertThat(s.pressure()[5]).isLessThanOrEqualTo(CAR.pump().reliefPressure() * 1.001);
    }

    /** Shear goes with a quarter of the viscosity's power, so that a thick oil runs hotter and by how much can be said. */
    @Test
    void aThickerOilRunsHotterOnItsPlateau() {
        Design bare = Design.NO_COOLER;
        double thin = Simulator.run(
                        CAR,
                        DemoCars.session(10),
                        bare.withOil(Oil.grade("0W-20").orElseThrow()))
                .plateau();
        double thick = Simulator.run(
                        CAR,
                        DemoCars.session(10),
                        bare.withOil(Oil.grade("10W-60").orElseThrow()))
                .plateau();
        assertThat(thick - thin).isBetween(3.0, 12.0);
    }

    /** What comes in leaves as steam: 4 s worth of heat over the capacity above boiling, and no more. */
    @Test
    void aRadiatorThatIsFarTooSmallBoilsAndDoesNotMeltTheCar() {
        Coolant c = CAR.coolant();
        Car small = CAR.withCoolant(c.withRadiator(c.radiator().times(0.05)));
        Session s = Simulator.run(small, DemoCars.session(10), Design.NO_COOLER);
        double most = 0.5 * CAR.engine().power() + 30e3;
        assertThat(s.peakCoolant())
                .isGreaterThan(Coolant.BOILS_K)
                .isLessThan(Coolant.BOILS_K + most * 4 / c.capacity());
    }

    @Test
    void theAirAroundTheSumpIsWarmedByTheCoolant() {
        Car.PassiveLosses l = CAR.losses();
        Car cool = CAR.withLosses(new Car.PassiveLosses(l.still(), l.moving(), l.block(), l.metal(), 0));
        Car warm = CAR.withLosses(new Car.PassiveLosses(l.still(), l.moving(), l.block(), l.metal(), 0.3));
        assertThat(Simulator.run(warm, DemoCars.session(8), Design.NO_COOLER).plateau())
                .isGreaterThan(Simulator.run(cool, DemoCars.session(8), Design.NO_COOLER)
                                .plateau()
                        + 2);
    }

    @Test
    void theSensorReadsWhereItSits() {
        Session s = Simulator.run(CAR, TRACK, DemoCars.design(19, Place.GRILLE_AHEAD));
        int late = s.demand().cells() * 2 / 3;
        assertThat(s.at(Car.SensorPlace.SUMP, late)).isEqualTo(s.oil()[late]);
        assertThat(s.at(Car.SensorPlace.PLATE_OUTLET, late)).isLessThan(s.oil()[late] - 3);
    }

    @Test
    void theFanComesOnHotAndStaysOnUntilItsLowerSwitch() {
        Design design = DemoCars.design(10, Place.UNDER_FLOOR);
        Design fanned = design.withAirway(design.cooler().orElseThrow().airway().withFan(Optional.of(DemoCars.fan())));
        Session s = Simulator.run(CAR, TRACK, fanned);
        assertThat(s.fanStarts()).isPositive();
        for (int i = 1; i < s.fan().length; i++) {
            if (s.fan()[i] && !s.fan()[i - 1]) {
                assertThat(s.oil()[i]).isGreaterThanOrEqualTo(DemoCars.fan().onK());
            }
            if (!s.fan()[i] && s.fan()[i - 1]) {
                assertThat(s.oil()[i]).isLessThan(DemoCars.fan().offK());
            }
        }
        assertThat(s.peak()).isLessThan(Simulator.run(CAR, TRACK, design).peak());
    }
}
