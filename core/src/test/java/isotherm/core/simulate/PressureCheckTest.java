package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.CoolerLoop;
import isotherm.core.hydraulics.Hose;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PressureCheckTest {
    private static final Car CAR = DemoCars.car();

    @Test
    void sixPointsWithAndWithoutTheLoop() {
        Hose wide = new Hose(17.5e-3, 1, 1);
        Design.Cooler c = DemoCars.design(25, Place.GRILLE_AHEAD).cooler().orElseThrow();
        Design design = Design.with(Design.Cooler.of(
                c.core(),
                c.airway(),
                new CoolerLoop(wide, wide, CoolerLoop.PLATE_HEADS, c.loop().thermostat(), 0)));
        PressureCheck check = PressureCheck.of(CAR, design, Units.kelvin(115));
        assertThat(check.points()).hasSize(6).allSatisfy(p -> {
            assertThat(p.gallery()).isPositive().isLessThanOrEqualTo(p.bare() + 1);
            assertThat(p.bare()).isLessThanOrEqualTo(CAR.pump().reliefPressure() + 1);
        });
        assertThat(check.worst()).isEmpty();
        assertThat(check.loopVolume()).isBetween(0.4e-3, 1.6e-3);
        assertThat(check.primeSeconds())
                .isCloseTo(check.loopVolume() / CAR.pump().flow(850), within(1e-9));
        assertThat(check.drainSeconds()).isBetween(2.0, 20.0);
    }

    @Test
    void aHoseThatIsFarTooNarrowStarvesTheGallery() {
        Design design = DemoCars.design(16, Place.GRILLE_AHEAD);
        Design.Cooler c = design.cooler().orElseThrow();
        Hose thin = new Hose(6e-3, 3, 4);
        Design starved = design.withThermostat(Optional.empty());
        starved = new Design(
                Optional.of(new Design.Cooler(
                        c.core(),
                        c.airway(),
                        new CoolerLoop(thin, thin, CoolerLoop.PLATE_HEADS, Optional.empty(), 0),
                        c.efficacy())),
                true,
                Optional.empty());
        PressureCheck check = PressureCheck.of(CAR, starved, Units.kelvin(115));
        PressureCheck.Point worst = check.worst().orElseThrow();
        assertThat(worst.gallery()).isLessThan(worst.floor());
        assertThat(worst.bare()).isGreaterThanOrEqualTo(worst.floor());
    }
}
