package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.airflow.Radiator;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import isotherm.core.findings.Assessment;
import isotherm.core.findings.Findings;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Another radiator is a choice of the design, not of the car. */
class DesignRadiatorTest {
    private static final Car CAR = DemoCars.car();
    private static final Design OWN = DemoCars.design(19, Place.BEHIND_RADIATOR);
    private static final Radiator LARGER = new Radiator(0.32, 2600, 130, 0.14, 180, 0.9);

    private static Session run(Car car, Design design) {
        return Simulator.run(car, DemoCars.session(8), design);
    }

    @Test
    void isWhatTheCarWouldHaveWithIt() {
        Car fitted = CAR.withCoolant(CAR.coolant().withRadiator(LARGER));
        Session chosen = run(CAR, OWN.withRadiator(LARGER));
        assertThat(chosen.oil()).containsExactly(run(fitted, OWN).oil());
        assertThat(chosen.coolant()).containsExactly(run(fitted, OWN).coolant());
        assertThat(chosen.peakCoolant()).isLessThan(run(CAR, OWN).peakCoolant() - 1);
        assertThat(run(CAR, OWN.withRadiator(CAR.coolant().radiator())).oil())
                .containsExactly(run(CAR, OWN).oil());
    }

    @Test
    void isAsUnsureAsTheCarsOwn() {
        Car poor = Factor.RADIATOR.scale(CAR, 0.8);
        assertThat(poor.radiator(OWN).conductance())
                .isCloseTo(0.8 * CAR.coolant().radiator().conductance(), within(1e-9));
        assertThat(poor.radiator(OWN.withRadiator(LARGER)).conductance()).isCloseTo(0.8 * 2600, within(1e-9));
        assertThat(run(poor, OWN.withRadiator(LARGER)).peakCoolant())
                .isGreaterThan(run(CAR, OWN.withRadiator(LARGER)).peakCoolant());
    }

    @Test
    void staysThroughEveryOtherChoice() {
        Design d = OWN.withRadiator(LARGER);
        assertThat(d.withCore(Core.stackedPlate(10, 0.28, 0.05)).radiator()).hasValue(LARGER);
        assertThat(d.withFactoryExchanger(false).radiator()).hasValue(LARGER);
        assertThat(d.withEfficacy(0.7).radiator()).hasValue(LARGER);
        assertThat(Findings.of(Assessment.of(CAR, DemoCars.session(6), d)).stream()
                        .flatMap(f -> f.remedy().stream())
                        .map(r -> r.design().radiator()))
                .isNotEmpty()
                .containsOnly(Optional.of(LARGER));
    }

    @Test
    void anOilSectionInItsFrameIsACoreLikeAnother() {
        Design section = OWN.withCore(Core.of(Construction.COMBINED_RADIATOR, 14, 0.45, 0.04));
        Session bare = run(CAR, Design.NO_COOLER);
        assertThat(run(CAR, section).peak()).isLessThan(bare.peak() - 3);
        assertThat(run(CAR, section.withCore(Core.of(Construction.COMBINED_RADIATOR, 20, 0.45, 0.04)))
                        .peak())
                .isLessThan(run(CAR, section).peak());
    }
}
