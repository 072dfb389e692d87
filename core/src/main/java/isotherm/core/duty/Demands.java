package isotherm.core.duty;

import isotherm.core.heat.Engine;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Demands that were worked out last: whoever compares designs asks the same drive of the same car again and again. A logged drive
 * is not kept, as its rows are many.
 */
final class Demands {
    private static final int KEPT = 32;
    private static final Map<Question, DemandTrace> LAST =
            Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Question, DemandTrace> eldest) {
                    return size() > KEPT;
                }
            });

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
        Question asked = new Question(duty, vehicle, engine);
        DemandTrace known = LAST.get(asked);
        if (known == null) {
            known = duty.drive(vehicle, engine);
            LAST.put(asked, known);
        }
        return known;
    }
}
