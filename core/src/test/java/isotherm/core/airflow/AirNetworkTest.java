package isotherm.core.airflow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreModel;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class AirNetworkTest {
    private static final CoreModel CORE = new CoreModel(Core.stackedPlate(16, 0.28, 0.05));
    private static final Radiator RADIATOR = new Radiator(0.25, 1900, 130, 0.11, 180, 0.9);
    private static final double AMBIENT = 300;
    private static final double PASCAL = 100_000;

    private static AirNetwork network(Airway airway) {
        return new AirNetwork(airway, CORE, Optional.of(RADIATOR), AMBIENT, PASCAL);
    }

    private static double pressures(AirFlow flow) {
        return flow.losses().stream().mapToDouble(AirFlow.Loss::pascal).sum();
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void whatSpeedOffersIsSpentToThePascal(Place place) {
        Airway airway = Airway.at(place, 0.03).withShade(0.2);
        for (double speed : new double[] {3, 12, 40, 70}) {
            AirFlow flow = network(airway).at(speed, false, false);
            assertThat(flow.coreMassFlow()).isPositive();
            assertThat(pressures(flow)).isCloseTo(flow.available(), within(0.001 * flow.available() + 0.02));
        }
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void standingStillNothingFlowsUntilAFanRuns(Place place) {
        Fan fan = new Fan(220, 0.35, 370, 360);
        AirNetwork without = network(Airway.at(place, 0.03));
        AirNetwork with = network(Airway.at(place, 0.03).withFan(Optional.of(fan)));
        assertThat(without.at(0, false, false).coreMassFlow()).isCloseTo(0, within(1e-9));
        AirFlow driven = with.at(0, true, false);
        assertThat(driven.faceSpeed()).isBetween(0.5, 8.0);
        assertThat(pressures(driven)).isCloseTo(driven.available(), within(0.5));
    }

    @Test
    void theRadiatorsFanDrawsThroughTheCoreAheadOfIt() {
        AirNetwork ahead = network(Airway.at(Place.GRILLE_AHEAD, 0.03));
        assertThat(ahead.at(0, false, true).coreMassFlow()).isGreaterThan(0.02);
        assertThat(ahead.at(0, false, true).openMassFlow())
                .isGreaterThan(ahead.at(0, false, true).coveredMassFlow());
    }

    @Test
    void aMeasuredPressureReplacesThePreset() {
        Airway preset = Airway.at(Place.GRILLE_AHEAD, 0.03);
        Airway measured = Airways.measured(preset, new MeasuredPressure(200, 25));
        AirFlow flow = network(measured).at(25, false, false);
        assertThat(loss(flow, "core")).isCloseTo(200, within(0.5));
        AirFlow twice = network(measured).at(50, false, false);
        assertThat(loss(twice, "core")).isBetween(650.0, 850.0);
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void aMeasuredPressureReplacesWhatSpeedOffersAndNotWhatFansAdd(Place place) {
        Airway measured = Airways.measured(Airway.at(place, 0.03), new MeasuredPressure(60, 25))
                .withFan(Optional.of(new Fan(220, 0.35, 370, 360)));
        AirNetwork network = network(measured);
        assertThat(loss(network.at(25, false, false), "core")).isCloseTo(60, within(0.5));
        assertThat(network.at(25, true, false).coreMassFlow())
                .isGreaterThan(1.1 * network.at(25, false, false).coreMassFlow());
        assertThat(network.at(0, true, false).coreMassFlow()).isGreaterThan(0.05);
    }

    private static double loss(AirFlow flow, String what) {
        return flow.losses().stream()
                .filter(l -> l.what().equals(what))
                .mapToDouble(AirFlow.Loss::pascal)
                .sum();
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void aSmallOpeningStarvesACoreWhereverItSits(Place place) {
        double small = network(Airway.at(place, 0.0005)).at(30, false, false).coreMassFlow();
        double large = network(Airway.at(place, 0.3)).at(30, false, false).coreMassFlow();
        assertThat(small).isPositive().isLessThan(0.15 * large);
    }

    @Test
    void anOutletTakesOneVelocityHeadOfTheWarmedAir() {
        Airway narrow = Airway.at(Place.FRONT_CORNER_VENTED, 0.03).withOutlet(0.006);
        AirFlow flow = network(narrow).at(40, false, false);
        double density = isotherm.core.fluid.Air.density(AMBIENT, PASCAL);
        double warmed = density * AMBIENT / (AMBIENT + AirNetwork.CORE_RISE);
        double speed = flow.coreMassFlow() / warmed / 0.006;
        assertThat(loss(flow, "outlet")).isCloseTo(warmed / 2 * speed * speed, within(0.1));
        assertThat(flow.coreMassFlow())
                .isLessThan(0.9
                        * network(Airway.at(Place.FRONT_CORNER_VENTED, 0.03))
                                .at(40, false, false)
                                .coreMassFlow());
    }

    @Test
    void aJetThatOpensOutLosesWhatBordaAndCarnotSay() {
        double face = CORE.core().faceArea();
        Airway half = Airway.at(Place.FRONT_CORNER_VENTED, face / 2);
        AirFlow flow = network(half).at(40, false, false);
        double density = isotherm.core.fluid.Air.density(AMBIENT, PASCAL);
        double speed = flow.coreMassFlow() / density / (face / 2);
        // A sharp-edged opening's 0.3 and (1 − 1/2)² of widening.
        assertThat(loss(flow, "opening")).isCloseTo((0.3 + 0.25) * density / 2 * speed * speed, within(0.1));
    }

    @Test
    void oneFanIsOneFanHoweverMuchOfTheRadiatorIsCovered() {
        Airway ahead = Airway.at(Place.GRILLE_AHEAD, 0.05);
        AirFlow flow = network(ahead).at(0, false, true);
        double density = isotherm.core.fluid.Air.density(AMBIENT, PASCAL);
        double warm = 1 + 30 / AMBIENT;
        double q = (flow.coreMassFlow() + flow.openMassFlow()) / density;
        double thin = density / warm / 1.2;
        // The whole flow on the whole fan's curve: 180 Pa at no flow, 0.9 m³/s of warm air at no pressure.
        double adds = 180 * thin * (1 - Math.pow(q * warm / 0.9, 2));
        double opening = 0.3 * density / 2 * Math.pow(q / RADIATOR.openingArea(), 2);
        double wayOut = 3.0 * density / 2 * warm * Math.pow(q / RADIATOR.faceArea(), 2);
        double beside = RADIATOR.resistance(1 - network(ahead).coveredShare(), 1 + 15 / AMBIENT)
                .pressure(flow.openMassFlow() / density);
        assertThat(opening + beside + wayOut).isCloseTo(adds, within(0.5));
    }

    @Test
    void aDrivenFanIsNeverInTheWay() {
        AirNetwork ahead = network(Airway.at(Place.GRILLE_AHEAD, 0.03));
        double before = Double.MAX_VALUE;
        for (double v = 0; v < 70; v += 0.5) {
            double more = ahead.at(v, false, true).coreMassFlow()
                    - ahead.at(v, false, false).coreMassFlow();
            assertThat(more).isGreaterThanOrEqualTo(-1e-4);
            // What it adds fades out with speed, without a step.
            assertThat(more).isLessThan(before + 0.01);
            before = more;
        }
        assertThat(before).isCloseTo(0, within(1e-4));
    }

    @Test
    void aWhollyShadedCoreGetsNothingAndTheRadiatorStillBreathes() {
        AirFlow flow = network(Airway.at(Place.GRILLE_AHEAD, 0.03).withShade(1)).at(30, false, false);
        assertThat(flow.coreMassFlow()).isZero();
        assertThat(flow.openMassFlow()).isPositive();
    }

    @Test
    void theCoresShareOfThePressureIsItsOwnCurveAtTheFaceSpeedFound() {
        AirNetwork network = network(Airway.at(Place.FRONT_CORNER_VENTED, 0.03));
        for (double speed = 4; speed <= 80; speed += 2) {
            AirFlow flow = network.at(speed, false, false);
            double spent = flow.losses().stream()
                    .filter(l -> l.what().equals("core"))
                    .mapToDouble(AirFlow.Loss::pascal)
                    .sum();
            double own = CORE.airPressureDrop(
                    flow.coreMassFlow() / network.openShare(), AMBIENT, AMBIENT + AirNetwork.CORE_RISE, PASCAL);
            assertThat(spent).isCloseTo(own, within(0.01 * own));
        }
    }

    static Stream<Random> samples() {
        return IntStream.range(0, 100).mapToObj(Random::new);
    }

    @ParameterizedTest
    @MethodSource("samples")
    void moreSpeedOrBetterSealingOrLessMeshNeverBringsLessAir(Random random) {
        Place place = Place.values()[random.nextInt(Place.values().length)];
        double sealing = 0.2 + 0.7 * random.nextDouble();
        double speed = 2 + 60 * random.nextDouble();
        Airway airway = Airway.at(place, 0.005 + 0.05 * random.nextDouble())
                .withSealing(sealing)
                .withShade(0.8 * random.nextDouble());
        double flow = network(airway).at(speed, false, false).coreMassFlow();
        assertThat(network(airway).at(speed * 1.1, false, false).coreMassFlow()).isGreaterThan(flow);
        assertThat(network(airway.withSealing(sealing + 0.1))
                        .at(speed, false, false)
                        .coreMassFlow())
                .isGreaterThanOrEqualTo(flow * (1 - 1e-5));
        Airway meshed = Airways.meshed(airway, true);
        assertThat(network(meshed).at(speed, false, false).coreMassFlow()).isLessThan(flow);
    }

    @Test
    void resistancesInvertTheirOwnPressure() {
        Resistance r = new Resistance(300, 4000);
        for (double q : new double[] {0.001, 0.1, 1, 3}) {
            assertThat(r.flow(r.pressure(q))).isCloseTo(q, within(1e-12 + 1e-9 * q));
        }
        assertThat(new Resistance(100, 0).flow(50)).isCloseTo(0.5, within(1e-12));
        assertThat(r.flow(-5)).isZero();
    }
}
