package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;
import java.util.List;

/**
 * A session on a circuit.
 *
 * @param lap the circuit as stretches driven at full pace
 * @param plan what is driven in which order
 * @param weather the air on the day
 */
public record TrackDuty(List<Stretch> lap, Plan plan, Weather weather) implements Duty {
    /** Speed on an out lap over that on a flyer (default). */
    public static final double OUT_LAP_PACE = 0.85;
    /** Speed on a cool-down lap over that on a flyer (default). */
    public static final double COOL_DOWN_PACE = 0.60;

    private static final double STEP = 0.1;

    /**
     * A part of a lap with even acceleration.
     *
     * @param length m, above 0
     * @param entrySpeed m/s, above 0
     * @param exitSpeed m/s, above 0
     */
    public record Stretch(double length, double entrySpeed, double exitSpeed) {}

    /**
     * The order of a session; a stint is out lap, flyers, cool-down laps and a stop.
     *
     * @param outLaps easy laps first
     * @param flyers laps at full pace
     * @param coolDownLaps laps driven to cool the car
     * @param pitSeconds standing at idle after the stint, s
     * @param stints how often that is repeated
     */
    public record Plan(int outLaps, int flyers, int coolDownLaps, double pitSeconds, int stints) {}

    /** Defensive copy. */
    public TrackDuty {
        lap = List.copyOf(lap);
    }

    @Override
    public TrackDuty withWeather(Weather newWeather) {
        return new TrackDuty(lap, plan, newWeather);
    }

    @Override
    public DemandTrace demand(Vehicle vehicle, Engine engine) {
        DemandBuilder builder = new DemandBuilder();
        int number = 0;
        for (int stint = 0; stint < plan.stints(); stint++) {
            for (int i = 0; i < plan.outLaps(); i++) {
                builder.phase("out lap", DemandTrace.Kind.OUT_LAP);
                drive(builder, vehicle, engine, OUT_LAP_PACE);
            }
            for (int i = 0; i < plan.flyers(); i++) {
                number++;
                builder.phase("lap " + number, DemandTrace.Kind.FLYER);
                drive(builder, vehicle, engine, 1);
            }
            for (int i = 0; i < plan.coolDownLaps(); i++) {
                builder.phase("cool-down", DemandTrace.Kind.COOL_DOWN);
                drive(builder, vehicle, engine, COOL_DOWN_PACE);
            }
            if (plan.pitSeconds() > 0) {
                builder.phase("pits", DemandTrace.Kind.PIT);
                builder.add(plan.pitSeconds(), 0, engine.idleRpm(), 0);
            }
        }
        return builder.build();
    }

    /** The whole lap is driven slower by one factor, so accelerations fall with its square. */
    private void drive(DemandBuilder builder, Vehicle vehicle, Engine engine, double pace) {
        double density = Air.density(weather.ambientK(), weather.pressure());
        for (Stretch s : lap) {
            double v0 = s.entrySpeed() * pace;
            double v1 = s.exitSpeed() * pace;
            double duration = 2 * s.length() / (v0 + v1);
            double acceleration = (v1 - v0) / duration;
            int steps = Math.max(1, (int) Math.ceil(duration / STEP));
            double dt = duration / steps;
            for (int i = 0; i < steps; i++) {
                double v = v0 + acceleration * (i + 0.5) * dt;
                double rpm = vehicle.trackRpm(v, engine);
                double wanted = vehicle.brakePower(v, acceleration, 0, 0, 0, density);
                builder.add(dt, v, rpm, Math.min(wanted, engine.power()));
            }
        }
    }
}
