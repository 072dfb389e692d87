package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FactorTest {
    private static final Car CAR = DemoCars.car();
    private static final Design DESIGN = DemoCars.design(13, Place.GRILLE_AHEAD);

    private static double peak(Car car) {
        return Simulator.run(car, DemoCars.session(8), DESIGN).peak();
    }

    @ParameterizedTest
    @EnumSource(Factor.class)
    void aFactorOfOneChangesNothingAndThereAndBackIsHome(Factor factor) {
        assertThat(peak(factor.scale(CAR, 1))).isCloseTo(peak(CAR), within(1e-9));
        Car there = factor.scale(CAR, 1.25);
        assertThat(peak(factor.scale(there, 1 / 1.25))).isCloseTo(peak(CAR), within(1e-6));
        assertThat(factor.spread()).isBetween(0.005, 1.0);
    }

    @Test
    void eachFactorMovesTheOilInItsOwnDirection() {
        double now = peak(CAR);
        assertThat(peak(Factor.HEAT.scale(CAR, 1.2))).isGreaterThan(now + 2);
        assertThat(peak(Factor.LOSSES.scale(CAR, 1.2))).isLessThan(now);
        assertThat(peak(Factor.SUMP.scale(CAR, 1.2))).isLessThan(now);
        assertThat(peak(Factor.RADIATOR.scale(CAR, 1.2))).isLessThanOrEqualTo(now);
        assertThat(peak(Factor.EFFICACY.scale(CAR, 1.2))).isLessThan(now - 1);
        assertThat(peak(Factor.AIR.scale(CAR, 1.2))).isLessThan(now);
        assertThat(peak(Factor.COOLANT.scale(CAR, 1.3))).isGreaterThanOrEqualTo(now);
    }

    @Test
    void moreMassWarmsUpSlower() {
        double usual = Simulator.run(CAR, DemoCars.session(8), DESIGN).timeTo(370);
        double heavy = Simulator.run(Factor.MASS.scale(CAR, 1.5), DemoCars.session(8), DESIGN)
                .timeTo(370);
        assertThat(heavy).isGreaterThan(usual);
    }

    @Test
    void sumpAndBlockTogetherAreWhatOlderLogsHaveCalledLosses() {
        Car apart = Factor.BLOCK.scale(Factor.SUMP.scale(CAR, 1.3), 1.3);
        assertThat(Factor.LOSSES.scale(CAR, 1.3)).isEqualTo(apart);
        Belief old = new Belief(java.util.List.of(Factor.LOSSES), new double[] {0.1}, new double[][] {{1}}, 0.01);
        assertThat(Belief.after(old).factors()).contains(Factor.LOSSES).doesNotContain(Factor.SUMP, Factor.BLOCK);
    }

    @Test
    void aThermostatThatOpensLaterKeepsItsSpan() {
        var t = Factor.OPENING
                .scale(CAR, 1.1)
                .known(DESIGN.cooler().orElseThrow())
                .loop()
                .thermostat()
                .orElseThrow();
        assertThat(t.opensK()).isCloseTo(273.15 + 99, within(1e-9));
        assertThat(t.fullK() - t.opensK()).isCloseTo(11, within(1e-9));
    }

    @Test
    void aSensorChangesWhatIsShownAndNotTheOil() {
        Car wrong = Factor.SENSOR.scale(CAR, 1.02);
        assertThat(peak(wrong)).isEqualTo(peak(CAR));
        assertThat(wrong.shown(373.15)).isCloseTo(375.15, within(1e-9));
    }

    @Test
    void oneStepOfTheLogarithmGoesAllTheWayToTheOtherSchool() {
        Car there = Factor.SCHOOL.scale(CAR, Math.E);
        var e = CAR.engine();
        var other = CAR.school().other(e);
        assertThat(there.school().oilHeat(e, 90e3, 5000)).isCloseTo(other.oilHeat(e, 90e3, 5000), within(1e-6));
        // Both give the same where they are made to agree.
        double power = 0.75 * e.power();
        double rpm = 0.75 * e.maxRpm();
        assertThat(other.oilHeat(e, power, rpm)).isCloseTo(CAR.school().oilHeat(e, power, rpm), within(1e-6));
        assertThat(other.oilHeat(e, 0.2 * e.power(), rpm))
                .isGreaterThan(CAR.school().oilHeat(e, 0.2 * e.power(), rpm));
    }

    @Test
    void airNeverArrivesWithMoreThanAllOfItsPressure() {
        Design.Cooler sealed = new Design.Cooler(
                DESIGN.cooler().orElseThrow().core(),
                DESIGN.cooler().orElseThrow().airway().withSealing(0.95),
                DESIGN.cooler().orElseThrow().loop(),
                0.8);
        var before = sealed.airway();
        var more = Factor.AIR.scale(CAR, 1.5).known(sealed).airway();
        assertThat(more.sealing()).isEqualTo(1);
        // What sealing cannot give, the place's own pressure is thought to have been.
        assertThat(more.sealing() * (more.cpIn() - more.cpOut()))
                .isCloseTo(1.5 * before.sealing() * (before.cpIn() - before.cpOut()), within(1e-12));
        assertThat(Factor.EFFICACY.scale(CAR, 1.1).known(sealed).efficacy()).isCloseTo(0.88, within(1e-12));
        assertThat(CAR.known(sealed)).isSameAs(sealed);
    }

    @Test
    void aBeliefAddsThePriorsOfWhatALogDidNotTouch() {
        Belief learned = new Belief(java.util.List.of(Factor.HEAT), new double[] {0.02}, new double[][] {{1}}, 0.01);
        Belief after = Belief.after(learned);
        assertThat(after.factors().get(0)).isEqualTo(Factor.HEAT);
        assertThat(after.factors()).contains(Factor.EFFICACY, Factor.AIR, Factor.SUMP, Factor.BLOCK);
        assertThat(after.deviation()[0]).isEqualTo(0.02);
        assertThat(after.deviation()[after.factors().indexOf(Factor.AIR)]).isEqualTo(Factor.AIR.spread());
        assertThat(after).isEqualTo(Belief.after(learned)).hasSameHashCodeAs(Belief.after(learned));
        assertThat(after).isNotEqualTo(Belief.prior());
        assertThat(after.toString()).contains("HEAT");
    }

    @Test
    void aBeliefWhoseSizesDisagreeIsRefused() {
        org.assertj.core.api.Assertions.assertThatIllegalArgumentException()
                .isThrownBy(() -> new Belief(java.util.List.of(Factor.HEAT), new double[0], new double[0][], 0));
    }
}
