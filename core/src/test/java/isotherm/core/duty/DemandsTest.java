package isotherm.core.duty;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.car.Car;
import isotherm.core.simulate.DemoCars;
import org.junit.jupiter.api.Test;

/** A demand that is known already is the one that would be worked out anew. */
class DemandsTest {
    private static final Car CAR = DemoCars.car();

    @Test
    void theSameDriveOfTheSameCarIsWorkedOutOnce() {
        DemandTrace first = DemoCars.session(4).demand(CAR.vehicle(), CAR.engine());
        assertThat(DemoCars.session(4).demand(CAR.vehicle(), CAR.engine())).isSameAs(first);
        assertThat(DemoCars.session(4).drive(CAR.vehicle(), CAR.engine())).isEqualTo(first);
    }

    @Test
    void anotherDayOrAnotherEngineIsAnotherDrive() {
        Duty session = DemoCars.session(4);
        DemandTrace first = session.demand(CAR.vehicle(), CAR.engine());
        Weather high = new Weather(DemoCars.DAY.ambientK(), DemoCars.DAY.altitude() + 2000);
        assertThat(session.withWeather(high).demand(CAR.vehicle(), CAR.engine()))
                .isNotEqualTo(first)
                .isEqualTo(session.withWeather(high).drive(CAR.vehicle(), CAR.engine()));
        assertThat(session.demand(
                        CAR.vehicle(), CAR.engine().withPower(CAR.engine().power() * 0.7)))
                .isNotEqualTo(first);
    }
}
