package isotherm.core.duty;

import isotherm.core.fluid.Air;
import isotherm.core.heat.Engine;
import java.util.ArrayList;
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

    private static final double STEP = 0.2;

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
    public DemandTrace drive(Vehicle vehicle, Engine rated) {
        Engine engine = rated.in(weather.pressure(), weather.ambientK());
        DemandBuilder builder = new DemandBuilder();
        List<Moment> out = drive(vehicle, engine, OUT_LAP_PACE);
        List<Moment> flyer = drive(vehicle, engine, 1);
        List<Moment> cooling = drive(vehicle, engine, COOL_DOWN_PACE);
        int number = 0;
        for (int stint = 0; stint < plan.stints(); stint++) {
            for (int i = 0; i < plan.outLaps(); i++) {
                builder.phase("out lap", DemandTrace.Kind.OUT_LAP);
                add(builder, out);
            }
            for (int i = 0; i < plan.flyers(); i++) {
                number++;
                builder.phase("lap " + number, DemandTrace.Kind.FLYER);
                add(builder, flyer);
            }
            for (int i = 0; i < plan.coolDownLaps(); i++) {
                builder.phase("cool-down", DemandTrace.Kind.COOL_DOWN);
                add(builder, cooling);
            }
            if (plan.pitSeconds() > 0) {
                builder.phase("pits", DemandTrace.Kind.PIT);
                builder.add(plan.pitSeconds(), 0, engine.idleRpm(), 0);
            }
        }
        return builder.build();
    }

    private record Moment(double seconds, double speed, double rpm, double power) {}

    private static void add(DemandBuilder builder, List<Moment> moments) {
        for (Moment m : moments) {
            builder.add(m.seconds(), m.speed(), m.rpm(), m.power());
        }
    }

    /** The whole lap is driven slower by one factor, so accelerations fall with its square. */
    private List<Moment> drive(Vehicle vehicle, Engine engine, double pace) {
        List<Moment> moments = new ArrayList<>();
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
                moments.add(new Moment(dt, v, rpm, Math.min(wanted, engine.power())));
            }
        }
        return moments;
    }
}
