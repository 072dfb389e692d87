package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;
import java.util.List;

/**
 * A climb, with or without a trailer, after some minutes of level road.
 *
 * @param slopes the road from the foot to the top
 * @param speed that the driver wants to hold, m/s; less where the power does not allow it
 * @param trailer what hangs on the hook
 * @param approachSeconds level road at the same speed before the climb, s
 * @param weather the air on the day, at the mean height of the climb
 */
public record ClimbDuty(List<Slope> slopes, double speed, Trailer trailer, double approachSeconds, Weather weather)
        implements Duty {
    /** Share of the highest power that a driver asks of the engine for minutes on end (default). */
    public static final double SUSTAINED_SHARE = 0.92;

    /**
     * A stretch of even gradient.
     *
     * @param length m, above 0
     * @param grade rise over run; negative downhill
     */
    public record Slope(double length, double grade) {}

    /** Defensive copy. */
    public ClimbDuty {
        slopes = List.copyOf(slopes);
    }

    /**
     * A climb of one gradient.
     *
     * @param length of the climb, m
     * @param grade rise over run
     * @param speed that the driver wants to hold, m/s
     * @param trailer what hangs on the hook
     * @param approachSeconds level road before the climb, s
     * @param weather the air on the day
     * @return the climb
     */
    public static ClimbDuty even(
            double length, double grade, double speed, Trailer trailer, double approachSeconds, Weather weather) {
        return new ClimbDuty(List.of(new Slope(length, grade)), speed, trailer, approachSeconds, weather);
    }

    @Override
    public ClimbDuty withWeather(Weather newWeather) {
        return new ClimbDuty(slopes, speed, trailer, approachSeconds, newWeather);
    }

    /**
     * @param newSpeed that the driver wants to hold, m/s
     * @return the same climb at that speed
     */
    public ClimbDuty withSpeed(double newSpeed) {
        return new ClimbDuty(slopes, newSpeed, trailer, approachSeconds, weather);
    }

    @Override
    public DemandTrace drive(Vehicle vehicle, Engine rated) {
        Engine engine = rated.in(weather.pressure(), weather.ambientK());
        DemandBuilder builder = new DemandBuilder();
        double density = Air.density(weather.ambientK(), weather.pressure());
        if (approachSeconds > 0) {
            builder.phase("approach", DemandTrace.Kind.CRUISE);
            double power = Math.min(power(vehicle, speed, 0, density), engine.power());
            builder.add(approachSeconds, speed, vehicle.roadRpm(speed, power, engine), power);
        }
        builder.phase("climb", DemandTrace.Kind.CLIMB);
        for (Slope slope : slopes) {
            double v = climbingSpeed(vehicle, engine, slope.grade(), density);
            double power = power(vehicle, v, slope.grade(), density);
            builder.add(slope.length() / v, v, vehicle.roadRpm(v, power, engine), power);
        }
        return builder.build();
    }

    private double power(Vehicle vehicle, double v, double grade, double density) {
        return vehicle.brakePower(v, 0, grade, trailer.mass(), trailer.dragArea(), density);
    }

    /** The wanted speed, or the fastest that the sustained power holds, m/s. */
    private double climbingSpeed(Vehicle vehicle, Engine engine, double grade, double density) {
        double limit = SUSTAINED_SHARE * engine.power();
        double low = 0.5;
        double high = speed;
        if (power(vehicle, high, grade, density) <= limit) {
            return high;
        }
        for (int i = 0; i < 60; i++) {
            double mid = (low + high) / 2;
            if (power(vehicle, mid, grade, density) > limit) {
                high = mid;
            } else {
                low = mid;
            }
        }
        return low;
    }
}
