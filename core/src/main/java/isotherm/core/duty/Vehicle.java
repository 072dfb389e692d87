package isotherm.core.duty;

import isotherm.core.heat.Engine;
import java.util.List;

/**
 * The car as far as road load and engine speed need it.
 *
 * @param mass mass with driver, kg
 * @param dragArea drag coefficient times frontal area, m²
 * @param rolling rolling resistance coefficient
 * @param gears road speed at 1000 engine revolutions per minute for each gear, lowest first, m/s
 */
public record Vehicle(double mass, double dragArea, double rolling, List<Double> gears) {
    /** Gravity, m/s². */
    public static final double GRAVITY = 9.81;
    /** Share of the mass added by wheels and driveline that have to be spun up (default). */
    static final double ROTATING_SHARE = 0.05;
    /** Share of brake power that reaches the wheels (default). */
    static final double DRIVELINE = 0.90;
    /** A driver on track holds the engine above this share of its highest speed (default). */
    private static final double TRACK_RPM_SHARE = 0.62;

    /** Defensive copy. */
    public Vehicle {
        gears = List.copyOf(gears);
        if (gears.isEmpty()) {
            throw new IllegalArgumentException("A car needs at least one gear");
        }
    }

    /**
     * Brake power for a state of motion; negative demands (braking) are none.
     *
     * @param speed road speed, m/s
     * @param acceleration along the road, m/s²
     * @param grade rise over run
     * @param trailerMass trailer, kg
     * @param trailerDragArea drag area that the trailer adds, m²
     * @param airDensity kg/m³
     * @return brake power, W, 0 or more
     */
    public double brakePower(
            double speed,
            double acceleration,
            double grade,
            double trailerMass,
            double trailerDragArea,
            double airDensity) {
        double total = mass + trailerMass;
        double slope = Math.atan(grade);
        double force = total * (1 + ROTATING_SHARE) * acceleration
                + airDensity / 2 * (dragArea + trailerDragArea) * speed * speed
                + total * GRAVITY * (rolling * Math.cos(slope) + Math.sin(slope));
        return Math.max(0, force * speed / DRIVELINE);
    }

    /**
     * Engine speed of a driver on track: the highest gear that keeps the engine in its upper range.
     *
     * @param speed road speed, m/s
     * @param engine the engine
     * @return engine speed, 1/min
     */
    double trackRpm(double speed, Engine engine) {
        double rpm = rpm(0, speed);
        for (int g = 1; g < gears.size(); g++) {
            double next = rpm(g, speed);
            if (next < TRACK_RPM_SHARE * engine.maxRpm()) {
                break;
            }
            rpm = next;
        }
        return clamp(rpm, engine);
    }

    /**
     * Engine speed of a driver on the road: the highest gear that has the power with a tenth in reserve; where none has, the gear
     * in which the engine gives the most.
     *
     * @param speed road speed, m/s
     * @param power brake power asked for, W
     * @param engine the engine
     * @return engine speed, 1/min
     */
    double roadRpm(double speed, double power, Engine engine) {
        for (int g = gears.size() - 1; g > 0; g--) {
            double rpm = rpm(g, speed);
            if (rpm <= engine.maxRpm() && rpm >= 1.7 * engine.idleRpm() && engine.availablePower(rpm) >= 1.1 * power) {
                return rpm;
            }
        }
        double best = clamp(rpm(0, speed), engine);
        double most = rpm(0, speed) <= engine.maxRpm() ? engine.availablePower(best) : 0;
        for (int g = 1; g < gears.size(); g++) {
            double rpm = rpm(g, speed);
            if (rpm <= engine.maxRpm() && rpm >= engine.idleRpm() && engine.availablePower(rpm) > most) {
                best = rpm;
                most = engine.availablePower(rpm);
            }
        }
        return best;
    }

    private double rpm(int gear, double speed) {
        return speed / gears.get(gear) * 1000;
    }

    private static double clamp(double rpm, Engine engine) {
        return Math.max(engine.idleRpm(), Math.min(engine.maxRpm(), rpm));
    }
}
