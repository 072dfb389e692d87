package isotherm.core.duty;

import isotherm.core.heat.Engine;

/**
 * A stop after hard driving: standing at idle, then with the engine off.
 *
 * @param idleSeconds standing with the engine at idle, s
 * @param offSeconds standing with the engine off, s
 * @param start temperatures at the stop
 * @param weather the air on the day
 */
public record SoakDuty(double idleSeconds, double offSeconds, Start start, Weather weather) implements Duty {
    @Override
    public SoakDuty withWeather(Weather newWeather) {
        return new SoakDuty(idleSeconds, offSeconds, start, newWeather);
    }

    @Override
    public DemandTrace drive(Vehicle vehicle, Engine engine) {
        DemandBuilder builder = new DemandBuilder();
        if (idleSeconds > 0) {
            builder.phase("idle", DemandTrace.Kind.PIT);
            builder.add(idleSeconds, 0, engine.idleRpm(), 0);
        }
        if (offSeconds > 0) {
            builder.phase("engine off", DemandTrace.Kind.OFF);
            builder.add(offSeconds, 0, 0, 0);
        }
        return builder.build();
    }
}
