package isotherm.core.duty;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import isotherm.core.heat.Engine;

/**
 * Demands that were worked out last: whoever compares designs asks the same drive of the same car again and again. A logged drive
 * is not kept, as its rows are many.
 */
final class Demands {
    private static final int KEPT = 32;
    private static final Cache<Question, DemandTrace> LAST =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private Demands() {}

    private record Question(Duty duty, Vehicle vehicle, Engine engine) {}

    /**
     * @param duty what the car has to do
     * @param vehicle the car
     * @param engine its engine
     * @return the demand
     */
    static DemandTrace of(Duty duty, Vehicle vehicle, Engine engine) {
        if (duty instanceof LogDuty) {
            return duty.drive(vehicle, engine);
        }
        return LAST.get(new Question(duty, vehicle, engine), asked -> duty.drive(vehicle, engine));
    }
}
