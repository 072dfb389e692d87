package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;

/**
 * Steady driving on a level road.
 *
 * @param speed m/s
 * @param duration s
 * @param weather the air on the day
 */
public record CruiseDuty(double speed, double duration, Weather weather) implements Duty {
    @Override
    public CruiseDuty withWeather(Weather newWeather) {
        return new CruiseDuty(speed, duration, newWeather);
    }

    @Override
    public DemandTrace demand(Vehicle vehicle, Engine engine) {
        double density = Air.density(weather.ambientK(), weather.pressure());
        double power = Math.min(vehicle.brakePower(speed, 0, 0, 0, 0, density), engine.power());
        DemandBuilder builder = new DemandBuilder();
        builder.phase("cruise", DemandTrace.Kind.CRUISE);
        builder.add(duration, speed, vehicle.roadRpm(speed, power, engine), power);
        return builder.build();
    }
}
