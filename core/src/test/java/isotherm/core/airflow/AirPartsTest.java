package isotherm.core.airflow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.fluid.Air;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Losses, fans, radiators and airways by themselves. */
class AirPartsTest {
    private static final double DENSITY = 1.2;
    private static final Radiator RADIATOR = new Radiator(0.25, 1900, 130, 0.11, 180, 0.9);
    private static final Airway EVERYTHING = new Airway(
            Place.GRILLE_AHEAD,
            0.8,
            0.1,
            0.7,
            0.25,
            0.02,
            0.015,
            true,
            1.5,
            Optional.of(Fan.TYPICAL),
            Optional.of(new MeasuredPressure(150, 20)),
            true,
            4000);

    @Test
    void oneHeadOnOneSquareMetreAtOneCubicMetreASecondIsHalfTheDensity() {
        assertThat(Resistance.heads(1, DENSITY, 1).pressure(1)).isCloseTo(0.6, within(1e-12));
        // Half the area, the same flow: twice the speed and four times the loss.
        assertThat(Resistance.heads(1, DENSITY, 0.5).pressure(1)).isCloseTo(2.4, within(1e-12));
    }

    @Test
    void lossesInSeriesAddUpAtTheSameFlow() {
        Random random = new Random(7);
        for (int i = 0; i < 200; i++) {
            Resistance a = new Resistance(500 * random.nextDouble(), 9000 * random.nextDouble());
            Resistance b = new Resistance(500 * random.nextDouble(), 9000 * random.nextDouble());
            double q = 2 * random.nextDouble();
            assertThat(a.then(b).pressure(q)).isCloseTo(a.pressure(q) + b.pressure(q), within(1e-9));
            assertThat(a.then(Resistance.NONE)).isEqualTo(a);
            assertThat(a.times(2.5).pressure(q)).isCloseTo(2.5 * a.pressure(q), within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.01, 1, 40, 900})
    void flowIsTheInverseOfPressure(double pascal) {
        for (Resistance r : new Resistance[] {
            new Resistance(300, 4000), new Resistance(0, 4000), new Resistance(300, 0), new Resistance(1e-9, 1e-9)
        }) {
            assertThat(r.pressure(r.flow(pascal))).isCloseTo(pascal, within(1e-9 * pascal + 1e-12));
        }
    }

    @Test
    void aCurveOfTheSameFormComesBackWholeAndAnyOtherThroughItsTwoPoints() {
        Resistance truth = new Resistance(120, 3300);
        Resistance found = Resistance.through(truth::pressure, 0.2, 0.9);
        assertThat(found.linear()).isCloseTo(120, within(1e-9));
        assertThat(found.quadratic()).isCloseTo(3300, within(1e-8));
        DoubleUnaryOperator power = q -> 900 * Math.pow(q, 1.6);
        Resistance near = Resistance.through(power, 0.2, 0.9);
        assertThat(near.pressure(0.2)).isCloseTo(power.applyAsDouble(0.2), within(1e-9));
        assertThat(near.pressure(0.9)).isCloseTo(power.applyAsDouble(0.9), within(1e-9));
        assertThat(near.pressure(0.5)).isCloseTo(power.applyAsDouble(0.5), within(0.07 * power.applyAsDouble(0.5)));
    }

    @Test
    void noPartOfAFittedCurveIsNegative() {
        // Flatter than linear, and steeper than quadratic: neither has that form.
        Resistance flat = Resistance.through(q -> 100 * Math.sqrt(q), 0.1, 1);
        assertThat(flat.quadratic()).isZero();
        assertThat(flat.linear()).isPositive();
        Resistance steep = Resistance.through(q -> 100 * q * q * q, 0.1, 1);
        assertThat(steep.linear()).isZero();
        assertThat(steep.quadratic()).isPositive();
    }

    @Test
    void aFanGivesAllItsPressureAtNoFlowAndNoneAtItsFreeFlow() {
        Fan fan = new Fan(220, 0.35, 371, 363);
        assertThat(220 - fan.running().pressure(0)).isEqualTo(220);
        assertThat(220 - fan.running().pressure(0.35)).isCloseTo(0, within(1e-9));
        assertThat(fan.idle().pressure(0.35))
                .as("one that stands still is in the way, less than it would drive")
                .isBetween(1.0, 219.0);
        assertThat(Fan.TYPICAL.offK()).isLessThan(Fan.TYPICAL.onK());
    }

    @Test
    void aRadiatorHasItsGivenLossAndConductanceAtTheReferenceSpeed() {
        double q = Radiator.REFERENCE_SPEED * RADIATOR.faceArea();
        assertThat(RADIATOR.resistance(1, 1).pressure(q)).isCloseTo(130, within(1e-9));
        double m = q * DENSITY;
        double rate = m * Air.SPECIFIC_HEAT;
        double perKelvin = RADIATOR.heatPerKelvin(m, 1);
        // ε = 1 − exp(…) with UA/C = 1.57: between what no and what an endless surface would give.
        assertThat(perKelvin).isBetween(0.6 * rate, 0.8 * rate);
        assertThat(perKelvin).isLessThan(1900);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.35, 0.8})
    void aPartOfTheFaceTakesThatPartOfTheFlowAtTheSamePressureAndGivesThatPartOfTheHeat(double share) {
        double q = 0.8;
        assertThat(RADIATOR.resistance(share, 1.1).pressure(q * share))
                .isCloseTo(RADIATOR.resistance(1, 1.1).pressure(q), within(1e-9));
        assertThat(RADIATOR.heatPerKelvin(q * DENSITY * share, share))
                .isCloseTo(share * RADIATOR.heatPerKelvin(q * DENSITY, 1), within(1e-9));
    }

    @Test
    void moreAirThroughARadiatorTakesMoreHeatButNeverAllThatItCould() {
        double before = 0;
        for (double m = 0.05; m < 4; m += 0.05) {
            double heat = RADIATOR.heatPerKelvin(m, 1);
            assertThat(heat).isGreaterThan(before).isLessThan(m * Air.SPECIFIC_HEAT);
            before = heat;
        }
        assertThat(RADIATOR.heatPerKelvin(0, 1)).isZero();
        assertThat(RADIATOR.heatPerKelvin(1, 0)).isZero();
    }

    @Test
    void whatStandsAheadWarmsTheAirByItsHeatOverTheAirsCapacity() {
        assertThat(EVERYTHING.warmedAhead(400)).isCloseTo(10, within(1e-12));
        assertThat(EVERYTHING.warmedAhead(0)).isZero();
        assertThat(EVERYTHING.warmedAhead(1))
                .as("no warmer than the condenser itself")
                .isEqualTo(30);
        assertThat(EVERYTHING.withHeatAhead(0).warmedAhead(400)).isZero();
    }

    @Test
    void thinAirAtTheSameSpeedTakesLessHeatThanItsMassAloneWouldSay() {
        double m = 4 * RADIATOR.faceArea() * 1.2;
        // UA at the reference flux is the given one; at four fifths of the density and the same speed it is 0.8^0.6 of
        // that.
        assertThat(ntuOf(m, RADIATOR.heatPerKelvin(m, 1))).isCloseTo(1900, within(1.0));
        assertThat(ntuOf(0.8 * m, RADIATOR.heatPerKelvin(0.8 * m, 1)))
                .isCloseTo(1900 * Math.pow(0.8, 0.6), within(1.0));
    }

    /** The conductance behind a heat per kelvin, by trying. */
    private static double ntuOf(double massFlow, double heatPerKelvin) {
        double rate = massFlow * Air.SPECIFIC_HEAT;
        double low = 0;
        double high = 1e5;
        while (high - low > 1e-3) {
            double mid = (low + high) / 2;
            if (isotherm.core.exchanger.Effectiveness.crossFlowUnmixed(mid / rate, 0.3) * rate < heatPerKelvin) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return low;
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void everyPlaceDrivesAirInTheRightDirection(Place place) {
        assertThat(place.cpIn()).isGreaterThan(place.cpOut()).isLessThanOrEqualTo(1);
        assertThat(place.sealing()).isBetween(0.3, 1.0);
        Airway preset = Airway.at(place, 0.03);
        assertThat(preset.cpIn()).isEqualTo(place.cpIn());
        assertThat(preset.cpOut()).isEqualTo(place.cpOut());
        assertThat(preset.sealing()).isEqualTo(place.sealing());
        assertThat(preset.shadedShare()).isZero();
        assertThat(preset.fan()).isEmpty();
    }

    @Test
    void aVentedArchDrawsMoreThanAClosedOne() {
        assertThat(Place.FRONT_CORNER_VENTED.cpIn() - Place.FRONT_CORNER_VENTED.cpOut())
                .isGreaterThan(Place.FRONT_CORNER_CLOSED.cpIn() - Place.FRONT_CORNER_CLOSED.cpOut());
    }

    @Test
    void changingOneThingOfAnAirwayLeavesTheOthers() {
        assertThat(EVERYTHING.withSealing(0.3).withSealing(0.7)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withShade(0.9).withShade(0.25)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withOpening(0.5).withOpening(0.02)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withFan(Optional.empty()).withFan(Optional.of(Fan.TYPICAL)))
                .isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withIntakeBehind(false).withIntakeBehind(true)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withOutlet(0).withOutlet(0.015)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withHeatAhead(0).withHeatAhead(4000)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withPressure(1)).isEqualTo(EVERYTHING);
        assertThat(EVERYTHING.withSealing(0.3).sealing()).isEqualTo(0.3);
        assertThat(EVERYTHING.withShade(0.9).shadedShare()).isEqualTo(0.9);
        assertThat(EVERYTHING.withOpening(0.5).openingArea()).isEqualTo(0.5);
    }

    @ParameterizedTest
    @CsvSource({
        "BEHIND_RADIATOR, true",
        "LOWER_GRILLE_AHEAD, true",
        "FRONT_CORNER_VENTED, false",
        "UNDER_FLOOR, false",
        "REAR_QUARTER, false"
    })
    void aPlaceWithAStreamOfItsOwnHasNoIntakeBehindIt(Place place, boolean kept) {
        Airway moved = EVERYTHING.withPlace(place);
        assertThat(moved.intakeBehind()).isEqualTo(kept);
        assertThat(moved.cpIn()).isEqualTo(place.cpIn());
        assertThat(moved.sealing()).isEqualTo(place.sealing());
        assertThat(moved.openingArea()).as("the hole that was cut stays").isEqualTo(0.02);
        assertThat(moved.mesh()).isTrue();
        assertThat(moved.fan()).contains(Fan.TYPICAL);
    }
}
