package isotherm.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.parts.Accessory.Detail;
import isotherm.core.parts.Accessory.Kind;
import isotherm.core.parts.Accessory.Valve;
import isotherm.core.parts.Accessory.Way;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What accessories hold, take and cost, against closed forms. */
class AccessoryTest {
    private static final double ATMOSPHERE = 101_325;

    private static Accessory bottle(double preCharge) {
        return new Accessory(
                Kind.ACCUMULATOR, 2e-3, Valve.MANUAL, new Detail(0, preCharge, false, Way.BESIDE, Detail.RESTRICTOR));
    }

    @Test
    void anAccumulatorFollowsBoylesLaw() {
        // Twice the absolute pressure leaves half the volume to the gas.
        assertThat(bottle(0).holds(ATMOSPHERE)).isEqualTo(1e-3, within(1e-9));
        assertThat(bottle(ATMOSPHERE).holds(3 * ATMOSPHERE)).isEqualTo(1e-3, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.5e5, 2e5, 6e5})
    void itIsEmptyUpToItsPreChargeAndNeverFull(double preCharge) {
        Accessory a = bottle(preCharge);
        assertThat(a.holds(preCharge)).isEqualTo(0, within(1e-12));
        assertThat(a.holds(preCharge * 0.9)).isZero();
        double before = 0;
        for (double p = preCharge; p < 100e5; p += 1e5) {
            assertThat(a.holds(p)).isGreaterThanOrEqualTo(before).isLessThan(2e-3);
            before = a.holds(p);
        }
    }

    @Test
    void moreGasAtFirstGivesLessOil() {
        assertThat(bottle(2e5).holds(5e5)).isLessThan(bottle(0.5e5).holds(5e5));
    }

    @Test
    void aRestrictorTakesByTheRootOfThePressure() {
        Accessory beside = new Accessory(Kind.BYPASS_FILTER, 0.5e-3, Valve.NONE);
        double one = beside.taken(1e5, 800);
        // 0.62 of a hole of 1.5 mm at the speed of Torricelli.
        assertThat(one).isEqualTo(0.62 * Math.PI / 4 * 1.5e-3 * 1.5e-3 * Math.sqrt(250), within(1e-12));
        assertThat(beside.taken(4e5, 800)).isEqualTo(2 * one, within(1e-12));
        assertThat(beside.heads()).isZero();
    }

    @Test
    void inLineItTakesNothingAndCostsThePressureOfItsElement() {
        Accessory inLine = new Accessory(
                Kind.BYPASS_FILTER, 0.5e-3, Valve.NONE, new Detail(0, 0, true, Way.IN_LINE, Detail.RESTRICTOR));
        assertThat(inLine.taken(4e5, 800)).isZero();
        assertThat(inLine.heads()).isEqualTo(Accessory.SERIES_ELEMENT + Accessory.CHECK_VALVE);
    }
}
