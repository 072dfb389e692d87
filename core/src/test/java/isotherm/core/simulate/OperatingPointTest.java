package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class OperatingPointTest {
    private static final Car CAR = DemoCars.car();

    private static OperatingPoint at(Design design) {
        Session s = Simulator.run(CAR, new CruiseDuty(45, 3000, DemoCars.DAY), design);
        return OperatingPoint.underLoad(CAR, DemoCars.DAY, design, s);
    }

    @Test
    void withoutACoolerThereIsOnlyTheCircuit() {
        OperatingPoint p = at(Design.NO_COOLER);
        assertThat(p.core()).isEmpty();
        assertThat(p.circuit().coolerFlow()).isZero();
        assertThat(p.circuit().galleryPressure()).isEqualTo(p.bare().galleryPressure());
    }

    @ParameterizedTest
    @EnumSource(Place.class)
    void theCoreTakesHeatFromOilToAirAtEveryPlace(Place place) {
        OperatingPoint.CoreMoment core = at(DemoCars.design(16, place)).core().orElseThrow();
        assertThat(core.rating().heat()).isPositive();
        assertThat(core.rating().airOutK()).isGreaterThan(core.airInK());
        assertThat(core.airInK()).isGreaterThanOrEqualTo(DemoCars.DAY.ambientK());
    }

    @Test
    void behindTheRadiatorTheAirIsWarmAlready() {
        double behind = at(DemoCars.design(16, Place.BEHIND_RADIATOR))
                .core()
                .orElseThrow()
                .airInK();
        double ahead =
                at(DemoCars.design(16, Place.GRILLE_AHEAD)).core().orElseThrow().airInK();
        assertThat(ahead).isEqualTo(DemoCars.DAY.ambientK());
        assertThat(behind).isGreaterThan(ahead + 5);
    }

    @Test
    void inSteadyDrivingTheMomentGivesTheHeatOfTheSession() {
        Design d = DemoCars.design(19, Place.FRONT_CORNER_VENTED).withThermostat(java.util.Optional.empty());
        Session s = Simulator.run(CAR, new CruiseDuty(45, 3000, DemoCars.DAY), d);
        OperatingPoint p = OperatingPoint.underLoad(CAR, DemoCars.DAY, d, s);
        int cell = p.cell();
        double out = p.core().orElseThrow().rating().oilOutK();
        assertThat(out).isCloseTo(s.returned()[cell], within(0.6));
    }

    @Test
    void theLoadedMomentIsTheLastOneOfHighPower() {
        Session s = Simulator.run(CAR, DemoCars.session(5), DemoCars.design(13, Place.GRILLE_AHEAD));
        OperatingPoint p = OperatingPoint.underLoad(CAR, DemoCars.DAY, DemoCars.design(13, Place.GRILLE_AHEAD), s);
        double[] power = s.demand().brakePower();
        double most = java.util.Arrays.stream(power).max().orElseThrow();
        assertThat(power[p.cell()]).isGreaterThan(0.8 * most);
        for (int i = p.cell() + 1; i < power.length; i++) {
            assertThat(power[i]).isLessThanOrEqualTo(0.8 * most);
        }
    }
}
