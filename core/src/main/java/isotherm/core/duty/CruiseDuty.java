package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;

/**
 * Steady driving on a level road.
 *
 * @param speed m/s
 * @param duration s
 * @param coldStart whether it starts with everything at the temperature of the air: a warm-up
 * @param weather the air on the day
 */
public record CruiseDuty(double speed, double duration, boolean coldStart, Weather weather) implements Duty {
    /**
     * A cruise with a warm engine.
     *
     * @param speed m/s
     * @param duration s
     * @param weather the air on the day
     */
    public CruiseDuty(double speed, double duration, Weather weather) {
        this(speed, duration, false, weather);
    }

    @Override
    public Start start() {
        return coldStart ? new Start(weather.ambientK(), weather.ambientK()) : Start.WARM;
    }

    @Override
    public CruiseDuty withWeather(Weather newWeather) {
        return new CruiseDuty(speed, duration, coldStart, newWeather);
    }

    @Override
    public DemandTrace drive(Vehicle vehicle, Engine rated) {
        Engine engine = rated.in(weather.pressure(), weather.ambientK());
        double density = Air.density(weather.ambientK(), weather.pressure());
        double power = Math.min(vehicle.brakePower(speed, 0, 0, 0, 0, density), engine.power());
        DemandBuilder builder = new DemandBuilder();
        builder.phase("cruise", DemandTrace.Kind.CRUISE);
        builder.add(duration, speed, vehicle.roadRpm(speed, power, engine), power);
        return builder.build();
    }
}
