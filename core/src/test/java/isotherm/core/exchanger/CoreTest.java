package isotherm.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CoreTest {
    @ParameterizedTest
    @EnumSource(Construction.class)
    void moreRowsAreHigherHeavierAndHoldMoreOil(Construction construction) {
        Core before = Core.of(construction, 6, 0.28, 0.05);
        for (int rows = 7; rows < 40; rows++) {
            Core core = Core.of(construction, rows, 0.28, 0.05);
            assertThat(core.height()).isGreaterThan(before.height());
            assertThat(core.mass()).isGreaterThan(before.mass());
            assertThat(core.holdUp()).isGreaterThan(before.holdUp());
            assertThat(core.faceArea()).isCloseTo(core.width() * core.height(), within(1e-12));
            before = core;
        }
    }

    @Test
    void nineteenRowsOfTheUsualPitchAreAHundredAndFiftyMillimetresHigh() {
        assertThat(Core.stackedPlate(19, 0.28, 0.05).height()).isCloseTo(0.1506, within(1e-4));
    }

    @ParameterizedTest
    @EnumSource(Construction.class)
    void theAirsFreeAreaIsAShareOfTheFaceAndTheFinsMultiplyIt(Construction construction) {
        Core core = Core.of(construction, 10, 0.28, 0.05);
        AirSurface air = new AirSurface(core);
        assertThat(air.freeArea() / core.faceArea()).isBetween(0.3, 0.75);
        assertThat(air.totalArea() / core.faceArea()).isBetween(15.0, 90.0);
    }

    @Test
    void aPowderCoatInsulatesByItsShare() {
        Core bare = Core.stackedPlate(13, 0.28, 0.05);
        Core coated = new Core(
                bare.construction(),
                bare.rows(),
                bare.width(),
                bare.depth(),
                1,
                Finish.POWDER_COAT,
                Ports.UP,
                bare.detail());
        double ratio = new CoreModel(coated).airConductance(0.3, 310) / new CoreModel(bare).airConductance(0.3, 310);
        assertThat(ratio).isCloseTo(0.94, within(1e-9));
    }

    @Test
    void anotherFinPitchChangesAreaAndLoss() {
        Core usual = Core.stackedPlate(13, 0.28, 0.05);
        CoreDetail d = usual.detail();
        Core dense = new Core(
                usual.construction(),
                usual.rows(),
                usual.width(),
                usual.depth(),
                1,
                Finish.BARE,
                Ports.UP,
                new CoreDetail(
                        d.rowPitch(),
                        d.oilGap(),
                        d.plate(),
                        1.2e-3,
                        d.finThickness(),
                        d.louvrePitch(),
                        d.louvreAngle(),
                        d.turbulatorPitch(),
                        d.stripLength(),
                        d.turbulatorThickness(),
                        d.portBore(),
                        d.tank(),
                        d.endPlate(),
                        d.ratedPressure()));
        CoreModel a = new CoreModel(usual);
        CoreModel b = new CoreModel(dense);
        assertThat(b.airConductance(0.3, 310)).isGreaterThan(a.airConductance(0.3, 310));
        assertThat(b.airPressureDrop(0.4, 300, 340, 101_325)).isGreaterThan(a.airPressureDrop(0.4, 300, 340, 101_325));
    }

    @Test
    void theAirsPressureLossFallsAsTheAirThins() {
        CoreModel model = new CoreModel(Core.stackedPlate(13, 0.28, 0.05));
        // At the same speed on the face less mass flows, in proportion to pressure.
        assertThat(model.airPressureDrop(0.4 * 80_000 / 101_325, 300, 340, 80_000))
                .isLessThan(model.airPressureDrop(0.4, 300, 340, 101_325));
        assertThat(model.airPressureDrop(0, 300, 340, 101_325)).isZero();
        assertThat(model.airPressureDrop(0.4, 300, 340, 101_325))
                .as("warmed air takes more room")
                .isGreaterThan(model.airPressureDrop(0.4, 300, 300, 101_325));
    }
}
