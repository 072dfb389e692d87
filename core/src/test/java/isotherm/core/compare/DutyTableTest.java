package isotherm.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.DemoCars;
import isotherm.core.simulate.Outlook;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Each design in each duty, judged by its worst. */
class DutyTableTest {
    private static final Car CAR = DemoCars.car();
    private static final Duty TRACK = DemoCars.session(8);
    private static final Duty ROAD = new CruiseDuty(30, 1200, DemoCars.DAY);
    private static final Design LARGE = DemoCars.design(34, Place.FRONT_CORNER_VENTED);
    private static final List<Design> DESIGNS = List.of(Design.NO_COOLER, LARGE);

    @Test
    void everyCellIsThatDesignInThatDuty() {
        DutyTable t = DutyTable.of(CAR, Belief.prior(), DESIGNS, List.of(ROAD, TRACK));
        for (int d = 0; d < 2; d++) {
            for (int i = 0; i < 2; i++) {
                Outlook o = Outlook.of(CAR, i == 0 ? ROAD : TRACK, DESIGNS.get(d), Belief.prior());
                DutyTable.Cell c = t.rows().get(d).cells().get(i);
                assertThat(c.peakK()).isCloseTo(o.peakK(), within(1e-9));
                assertThat(c.oddsInBand()).isEqualTo(o.oddsUnder(CAR.limits().targetHighK()));
                assertThat(c.oddsUnderLimit())
                        .isEqualTo(o.oddsUnder(CAR.limits().limitK()));
            }
        }
    }

    @Test
    void aDesignIsJudgedByItsWorstDutyAndTheChoiceByAllThatAreTicked() {
        DutyTable both = DutyTable.of(CAR, Belief.prior(), DESIGNS, List.of(ROAD, TRACK));
        assertThat(both.rows()).allSatisfy(r -> assertThat(r.worst()).isEqualTo(1));
        assertThat(both.rows().get(0).holds()).isFalse();
        assertThat(both.best()).contains(1);
        DutyTable road = DutyTable.of(CAR, Belief.prior(), DESIGNS, List.of(ROAD));
        assertThat(road.rows()).allSatisfy(r -> assertThat(r.holds()).isTrue());
        assertThat(DutyTable.of(CAR, Belief.prior(), List.of(), List.of(ROAD)).best())
                .isEmpty();
    }
}
