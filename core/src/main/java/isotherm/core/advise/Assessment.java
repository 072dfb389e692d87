package isotherm.core.advise;

import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.Duty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Car;
import isotherm.core.simulate.Design;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;

/**
 * A design looked at from every side that the rules need: the duty itself, the duty without a cooler, and a cold start
 * into a cool day's road.
 *
 * @param car the car
 * @param duty the duty
 * @param design the design
 * @param session the duty with the design
 * @param bare the duty without a cooler
 * @param road a cold start and {@link #ROAD_DURATION} on the road with the design
 */
public record Assessment(Car car, Duty duty, Design design, Session session, Session bare, Session road) {
    /** Road speed of the cold-road check, m/s (default, 80 km/h). */
    public static final double ROAD_SPEED = 80 / 3.6;
    /** Air on the cold-road check, K (default, a cool day). */
    public static final double ROAD_AMBIENT_K = Units.kelvin(8);
    /** Length of the cold-road check, s (default): long enough for any car to level out. */
    public static final double ROAD_DURATION = 2700;

    /**
     * @param car the car
     * @param duty the duty
     * @param design the design
     * @return the design, run through all of it
     */
    public static Assessment of(Car car, Duty duty, Design design) {
        Session session = Simulator.run(car, duty, design);
        Session bare = design.cooler().isPresent() ? Simulator.run(car, duty, Design.NO_COOLER) : session;
        CruiseDuty cruise = new CruiseDuty(
                ROAD_SPEED,
                ROAD_DURATION,
                new Weather(ROAD_AMBIENT_K, duty.weather().altitude()));
        Session road = Simulator.run(
                car,
                cruise.demand(car.vehicle(), car.engine()),
                cruise.weather(),
                design,
                ROAD_AMBIENT_K,
                ROAD_AMBIENT_K);
        return new Assessment(car, duty, design, session, bare, road);
    }

    /** @return oil temperature at the end of the cold-road check, K */
    public double roadOil() {
        double[] oil = road.oil();
        return oil[oil.length - 1];
    }
}
