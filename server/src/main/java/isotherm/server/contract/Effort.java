package isotherm.server.contract;

import isotherm.core.car.Car;
import isotherm.core.duty.Duty;
import java.util.List;

/** What a question may cost: so many sessions of such a length, said before they are begun and not after an hour. */
public final class Effort {
    /** Driving that a question somebody waits for simulates at most, s: some seconds' work on two processors. */
    public static final double WAITED_FOR = 12e6;
    /** Driving that long work simulates at most, s: some minutes' work. */
    public static final double LONG_WORK = 120e6;

    private Effort() {}

    /**
     * @param path field that could be made smaller
     * @param sessions sessions to simulate
     * @param car the car
     * @param duty the duty
     * @param most driving that is simulated at most, s
     * @throws InvalidDocument when there is more
     */
    public static void check(String path, long sessions, Car car, Duty duty, double most) {
        double seconds = duty.demand(car.vehicle(), car.engine()).duration();
        if (sessions * seconds > most) {
            long fitting = Math.max(1, (long) (most / seconds));
            throw new InvalidDocument(List.of(new Problem(
                    path,
                    String.valueOf(sessions),
                    "This would simulate " + sessions + " sessions of " + Math.round(seconds / 60) + " min; at most "
                            + fitting + " of that length are taken. Ask for fewer, or for a shorter session.",
                    null,
                    (double) fitting,
                    "")));
        }
    }
}
