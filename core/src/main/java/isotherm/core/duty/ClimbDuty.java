package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;

/**
 * A climb, with or without a trailer, after some minutes of level road.
 *
 * @param length of the climb, m
 * @param grade rise over run
 * @param speed that the driver wants to hold, m/s; less where the power does not allow it
 * @param trailerMass kg, 0 without one
 * @param trailerDragArea drag area that the trailer adds, m²
 * @param approachSeconds level road at the same speed before the climb, s
 * @param weather the air on the day, at the mean height of the climb
 */
public record ClimbDuty(
        double length,
        double grade,
        double speed,
        double trailerMass,
        double trailerDragArea,
        double approachSeconds,
        Weather weather)
        implements Duty {
    /** Share of the highest power that a driver asks of the engine for minutes on end (default). */
    public static final double SUSTAINED_SHARE = 0.92;

    @Override
    public ClimbDuty withWeather(Weather newWeather) {
        return new ClimbDuty(length, grade, speed, trailerMass, trailerDragArea, approachSeconds, newWeather);
    }

    @Override
    public DemandTrace demand(Vehicle vehicle, Engine engine) {
        DemandBuilder builder = new DemandBuilder();
        double density = Air.density(weather.ambientK(), weather.pressure());
        if (approachSeconds > 0) {
            builder.phase("approach", DemandTrace.Kind.CRUISE);
            double power =
                    Math.min(vehicle.brakePower(speed, 0, 0, trailerMass, trailerDragArea, density), engine.power());
            builder.add(approachSeconds, speed, vehicle.roadRpm(speed, power, engine), power);
        }
        builder.phase("climb", DemandTrace.Kind.CLIMB);
        double v = climbingSpeed(vehicle, engine, density);
        double power = vehicle.brakePower(v, 0, grade, trailerMass, trailerDragArea, density);
        builder.add(length / v, v, vehicle.roadRpm(v, power, engine), power);
        return builder.build();
    }

    /** The wanted speed, or the fastest that the sustained power holds, m/s. */
    private double climbingSpeed(Vehicle vehicle, Engine engine, double density) {
        double limit = SUSTAINED_SHARE * engine.power();
        double low = 0.5;
        double high = speed;
        if (vehicle.brakePower(high, 0, grade, trailerMass, trailerDragArea, density) <= limit) {
            return high;
        }
        for (int i = 0; i < 60; i++) {
            double mid = (low + high) / 2;
            if (vehicle.brakePower(mid, 0, grade, trailerMass, trailerDragArea, density) > limit) {
                high = mid;
            } else {
                low = mid;
            }
        }
        return low;
    }
}
