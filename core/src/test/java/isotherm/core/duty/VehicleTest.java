package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.heat.Aspiration;
import isotherm.core.heat.Engine;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Road load and gears against sums by hand. */
class VehicleTest {
    private static final Vehicle CAR = new Vehicle(1400, 0.7, 0.013, List.of(2.3, 3.9, 5.6, 7.5, 9.6));
    private static final Engine ENGINE = new Engine(Aspiration.TURBO, 200e3, 2e-3, 7000, 800, true, 1e5);

    @Test
    void steadySpeedTakesDragAndRollingByHand() {
        // 1.2/2 · 0.7 · 30² = 378 N of air, 1400 · 9.81 · 0.013 = 178.5 N of tyres, over 0.9 of the driveline.
        assertThat(CAR.brakePower(30, 0, 0, 0, 0, 1.2)).isEqualTo((378 + 178.54) * 30 / 0.9, within(5.0));
    }

    @Test
    void gradeAndTrailerAddTheirWeight() {
        double alone = CAR.brakePower(15, 0, 0.08, 0, 0, 1.2);
        double towing = CAR.brakePower(15, 0, 0.08, 2000, 1.5, 1.2);
        double slope = Math.atan(0.08);
        double more = 2000 * 9.81 * (0.013 * Math.cos(slope) + Math.sin(slope)) + 0.6 * 1.5 * 225;
        assertThat(towing - alone).isEqualTo(more * 15 / 0.9, within(1.0));
    }

    @Test
    void accelerationSpinsTheWheelsUpToo() {
        double steady = CAR.brakePower(20, 0, 0, 0, 0, 1.2);
        assertThat(CAR.brakePower(20, 2, 0, 0, 0, 1.2) - steady).isEqualTo(1400 * 1.05 * 2 * 20 / 0.9, within(1.0));
    }

    @Test
    void brakingAndRollingDownhillAskForNothing() {
        assertThat(CAR.brakePower(40, -8, 0, 0, 0, 1.2)).isZero();
        assertThat(CAR.brakePower(20, 0, -0.1, 0, 0, 1.2)).isZero();
        assertThat(CAR.brakePower(0, 3, 0.1, 0, 0, 1.2)).isZero();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4})
    void powerRisesWithSpeedGradeMassAndAir(int seed) {
        Random r = new Random(seed);
        for (int n = 0; n < 100; n++) {
            double v = 2 + 60 * r.nextDouble();
            double grade = 0.12 * r.nextDouble();
            double base = CAR.brakePower(v, 0.3, grade, 0, 0, 1.1);
            assertThat(CAR.brakePower(v + 1, 0.3, grade, 0, 0, 1.1)).isGreaterThan(base);
            assertThat(CAR.brakePower(v, 0.3, grade + 0.01, 0, 0, 1.1)).isGreaterThan(base);
            assertThat(CAR.brakePower(v, 0.3, grade, 500, 0, 1.1)).isGreaterThan(base);
            assertThat(CAR.brakePower(v, 0.3, grade, 0, 0, 1.25)).isGreaterThan(base);
        }
    }

    @Test
    void onTrackTheEngineStaysInItsUpperRange() {
        for (double v = 14; v < 65; v += 0.5) {
            assertThat(CAR.trackRpm(v, ENGINE)).as("at %s m/s", v).isBetween(0.6 * 7000, 7000.0);
        }
        assertThat(CAR.trackRpm(0, ENGINE)).as("standing").isEqualTo(800);
    }

    @Test
    void onTheRoadTheHighestGearWithPowerIsTaken() {
        // 25 m/s in fifth is 2604 1/min, which has far more than 10 kW.
        assertThat(CAR.roadRpm(25, 10e3, ENGINE)).isEqualTo(25 / 9.6 * 1000, within(1e-6));
        assertThat(CAR.roadRpm(25, 150e3, ENGINE))
                .as("a lower gear for more power")
                .isGreaterThan(25 / 7.5 * 1000 - 1);
        assertThat(CAR.roadRpm(1, 0, ENGINE)).as("never under idle").isEqualTo(800);
        // Nothing has a reserve: the gear in which the engine gives the most, not the first one held at its limit.
        double best = CAR.roadRpm(25, 1e9, ENGINE);
        assertThat(CAR.gears()).anySatisfy(g -> assertThat(25 / g * 1000).isCloseTo(best, within(1e-6)));
        assertThat(CAR.gears().stream()
                        .map(g -> 25 / g * 1000)
                        .filter(rpm -> rpm <= ENGINE.maxRpm())
                        .mapToDouble(ENGINE::availablePower)
                        .max()
                        .orElseThrow())
                .isCloseTo(ENGINE.availablePower(best), within(1e-6));
        assertThat(CAR.roadRpm(25, 1e9, ENGINE)).as("never over the top").isLessThanOrEqualTo(7000);
    }

    @Test
    void carWithoutGearsIsRefused() {
        assertThatThrownBy(() -> new Vehicle(1000, 0.7, 0.01, List.of())).isInstanceOf(IllegalArgumentException.class);
    }
}
