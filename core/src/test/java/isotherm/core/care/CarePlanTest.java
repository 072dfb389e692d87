package isotherm.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.parts.Accessory;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a car's parts want looked after. */
class CarePlanTest {
    @Test
    void jointsWhoseMakersWantItAreTightenedAtEachChangeOfTheOil() {
        assertThat(CarePlan.tasks(true, 6e-3, 1e-3, Optional.of(4), List.of(), Set.of()))
                .extracting(Task::kind)
                .doesNotContain(Task.Kind.RETORQUE);
        assertThat(CarePlan.tasks(true, 6e-3, 1e-3, Optional.of(4), List.of("takeoff and hose end"), Set.of()))
                .filteredOn(t -> t.kind() == Task.Kind.RETORQUE)
                .singleElement()
                .satisfies(t -> {
                    assertThat(t.interval().after()).containsExactly(Task.Happening.FILTER_CHANGE);
                    assertThat(t.what().values().get("joints").toString()).contains("takeoff and hose end");
                });
    }

    @Test
    void whatIsInTheLoopBringsItsTasks() {
        assertThat(CarePlan.tasks(true, 6e-3, 1e-3, Optional.empty(), List.of(), Set.of(Accessory.Kind.values())))
                .extracting(Task::id)
                .contains("bypass-element", "accumulator");
        assertThat(CarePlan.tasks(true, 6e-3, 1e-3, Optional.empty(), List.of(), Set.of()))
                .extracting(Task::id)
                .doesNotContain("bypass-element", "accumulator");
    }

    @Test
    void withoutAnAirCoolerThereAreNoHosesFinsAndTakeoffToLookAfter() {
        assertThat(CarePlan.tasks(false, 6e-3, 0, Optional.empty(), List.of(), Set.of()))
                .extracting(Task::kind)
                .containsExactly(Task.Kind.JOINTS, Task.Kind.JOINTS_AGAIN, Task.Kind.OIL);
    }
}
