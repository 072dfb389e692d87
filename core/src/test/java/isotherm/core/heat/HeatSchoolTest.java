package isotherm.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HeatSchoolTest {
    private static final Engine ENGINE = new Engine(Aspiration.TURBO, 200e3, 2e-3, 6500, 800, true, 1e5);

    /** Heywood, eq. 13.5 (Barnes-Moss): 0.97 + 0.15 n + 0.05 n² bar with n in 1000/min. */
    @ParameterizedTest
    @CsvSource({"1000, 1.17", "3000, 1.87", "5000, 2.97"})
    void frictionMeanEffectivePressureOfHeywood(double rpm, double bar) {
        assertThat(HeatSchool.Friction.fmep(rpm) / 1e5).isCloseTo(bar, within(1e-9));
    }

    @Test
    void theFrictionSchoolAddsItsThreeParts() {
        double heat = new HeatSchool.Friction(0.25).oilHeat(ENGINE, 200e3, 6000);
        double friction = 0.25 * (0.97 + 0.9 + 1.8) * 1e5 * 2e-3 * 50;
        double pistons = 0.010 * 200e3 / 0.30;
        assertThat(heat).isCloseTo(friction + pistons + 300, within(1e-6));
    }

    @Test
    void partLoadScalesPistonsAndTurboButNotFriction() {
        HeatSchool school = new HeatSchool.Friction(0.25);
        double none = school.oilHeat(ENGINE, 0, 4000);
        double half = school.oilHeat(ENGINE, 100e3, 4000);
        double full = school.oilHeat(ENGINE, 200e3, 4000);
        assertThat(none).isPositive();
        assertThat(full - half).isCloseTo(half - none, within(1e-6));
    }

    @Test
    void theShareOfPowerNeverFallsBelowAnEngineThatIsOnlyTurned() {
        HeatSchool share = new HeatSchool.ShareOfPower(0.08);
        assertThat(share.oilHeat(ENGINE, 200e3, 6000)).isCloseTo(16e3, within(1e-6));
        assertThat(share.oilHeat(ENGINE, 0, 6000)).isCloseTo(0.25 * 3.67e5 * 2e-3 * 50, within(1e-6));
    }

    @Test
    void aFittedSchoolScalesItsBase() {
        HeatSchool base = new HeatSchool.ShareOfPower(0.08);
        assertThat(new HeatSchool.Fitted(base, 1.25).oilHeat(ENGINE, 150e3, 5000))
                .isCloseTo(1.25 * 12e3, within(1e-6));
    }

    /** Heywood, eq. 13.6, by hand: 75 + 48·2 + 0.4·(2·0.09·2000/60)² kPa at 2000 1/min. */
    @Test
    void frictionOfADieselHasItsOwnFigure() {
        assertThat(HeatSchool.Friction.dieselFmep(2000) / 1e3).isCloseTo(75 + 96 + 0.4 * 36, within(1e-9));
        Engine diesel = new Engine(Aspiration.TURBO_DIESEL, 150e3, 3e-3, 4200, 750, true, 1.2e5);
        Engine petrol = new Engine(Aspiration.TURBO, 150e3, 3e-3, 4200, 750, true, 1.2e5);
        HeatSchool school = new HeatSchool.Friction(0.25);
        assertThat(school.oilHeat(diesel, 0, 3000)).isNotEqualTo(school.oilHeat(petrol, 0, 3000));
    }

    /** SAE J1349 by hand at 2000 m of the standard atmosphere (79.5 kPa) and 25 °C: 1/(1.18·99/79.5 − 0.18). */
    @Test
    void thinAirTakesPowerFromAnEngineWithoutATurbocharger() {
        Engine natural = new Engine(Aspiration.NATURAL, 100e3, 2e-3, 7000, 850, false, 0);
        assertThat(natural.in(79_495, 298).power()).isCloseTo(100e3 / (1.18 * 99_000 / 79_495 - 0.18), within(1.0));
        assertThat(natural.in(99e3, 298).power()).isCloseTo(100e3, within(1e-6));
        assertThat(ENGINE.in(79_495, 298)).isEqualTo(ENGINE);
    }

    @Test
    void shearIsTheWholeHeatOfAnEngineThatIsOnlyTurnedAndASmallShareAtFullLoad() {
        HeatSchool school = new HeatSchool.Friction(0.25);
        assertThat(school.shearShare(ENGINE, 0, 3000)).isEqualTo(1);
        double full = school.shearShare(ENGINE, 200e3, 6000);
        double friction = 0.25 * (0.97 + 0.9 + 1.8) * 1e5 * 2e-3 * 50;
        assertThat(full).isCloseTo(friction / school.oilHeat(ENGINE, 200e3, 6000), within(1e-12));
    }

    @Test
    void fullThrottlePowerRisesToItsMaximum() {
        assertThat(ENGINE.availablePower(6500)).isCloseTo(200e3, within(1e-6));
        double before = 0;
        for (double rpm = 500; rpm <= 6500; rpm += 500) {
            assertThat(ENGINE.availablePower(rpm)).isGreaterThan(before);
            before = ENGINE.availablePower(rpm);
        }
    }
}
