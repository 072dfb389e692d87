package isotherm.core.advise;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Simulator;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AdvisorTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(12);

    private static List<Finding> findings(Duty duty, Design design) {
        return Advisor.findings(Assessment.of(CAR, duty, design));
    }

    private static Optional<Finding> find(List<Finding> findings, Finding.Topic topic) {
        return findings.stream().filter(f -> f.topic() == topic).findFirst();
    }

    @Test
    void aCoreThatIsTooSmallFailsAndItsRemedyMends() {
        Design small = DemoCars.design(7, Place.GRILLE_AHEAD);
        List<Finding> findings = findings(TRACK, small);
        Finding hot = find(findings, Finding.Topic.TOO_HOT).orElseThrow();
        assertThat(findings.get(0)).isEqualTo(hot);
        Design mended = hot.remedy().orElseThrow().design();
        assertThat(Simulator.run(CAR, TRACK, mended).peak())
                .isLessThanOrEqualTo(CAR.limits().targetHighK());
        assertThat(find(findings(TRACK, mended), Finding.Topic.TOO_HOT)).isEmpty();
    }

    @Test
    void aCoreWithoutThermostatRunsTooColdOnTheRoadAndAThermostatMends() {
        Design open = DemoCars.design(25, Place.GRILLE_AHEAD).withThermostat(Optional.empty());
        Finding cold = find(findings(TRACK, open), Finding.Topic.TOO_COLD).orElseThrow();
        Design mended = cold.remedy().orElseThrow().design();
        assertThat(Assessment.of(CAR, TRACK, mended).roadOil())
                .isGreaterThan(Assessment.of(CAR, TRACK, open).roadOil() + 5);
    }

    @Test
    void aRoadCarIsToldThatItNeedsNone() {
        Duty road = new CruiseDuty(30, 1800, new Weather(Units.kelvin(20), 100));
        Finding bare =
                find(findings(road, Design.NO_COOLER), Finding.Topic.NOT_NEEDED).orElseThrow();
        assertThat(bare.severity()).isEqualTo(Finding.Severity.GOOD);
        Finding fitted = find(findings(road, DemoCars.design(13, Place.GRILLE_AHEAD)), Finding.Topic.NOT_NEEDED)
                .orElseThrow();
        assertThat(fitted.remedy().orElseThrow().design().cooler()).isEmpty();
    }

    @Test
    void aDesignThatHoldsIsSaidToHold() {
        Design large = DemoCars.design(34, Place.FRONT_CORNER_VENTED);
        assertThat(find(findings(TRACK, large), Finding.Topic.HOLDS)).isPresent();
        assertThat(find(findings(TRACK, large), Finding.Topic.TOO_HOT)).isEmpty();
    }
}
