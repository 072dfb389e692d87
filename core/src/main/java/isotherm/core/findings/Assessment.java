package isotherm.core.findings;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.CruiseDuty;
import isotherm.core.duty.DemandTrace;
import isotherm.core.duty.Duty;
import isotherm.core.duty.LogDuty;
import isotherm.core.duty.TrackDuty;
import isotherm.core.duty.Weather;
import isotherm.core.fluid.Units;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.OperatingPoint;
import isotherm.core.simulate.Outlook;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.simulate.Session;
import isotherm.core.simulate.Simulator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * A design looked at from every side that the rules need.
 *
 * @param car the car
 * @param duty the duty
 * @param design the design
 * @param session the duty with the design
 * @param bare the duty without a cooler
 * @param road a cold start and {@link #ROAD_DURATION} on a cool day's road with the design
 * @param bareRoad the same without a cooler
 * @param plannedPower brake power that is planned, W, if more than today's
 * @param planned the duty with the design and that power
 * @param pressure oil pressure against its floor, hot and cold
 * @param working core and circuit at the last moment under load
 * @param outlook how sure the design's peak is
 * @param bareOutlook how sure the peak without a cooler is
 */
public record Assessment(
        Car car,
        Duty duty,
        Design design,
        Session session,
        Session bare,
        Session road,
        Session bareRoad,
        OptionalDouble plannedPower,
        Optional<Session> planned,
        PressureCheck pressure,
        OperatingPoint working,
        Outlook outlook,
        Outlook bareOutlook) {
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
        return of(car, duty, design, OptionalDouble.empty());
    }

    /**
     * @param car the car
     * @param duty the duty
     * @param design the design
     * @param plannedPower brake power that is planned, W, if any
     * @return the design, run through all of it, for a car of which nothing has been learned
     */
    public static Assessment of(Car car, Duty duty, Design design, OptionalDouble plannedPower) {
        return of(car, duty, design, plannedPower, Belief.prior());
    }

    /**
     * @param car the car
     * @param duty the duty
     * @param design the design
     * @param plannedPower brake power that is planned, W, if any
     * @param belief how sure the car's numbers are
     * @return the design, run through all of it
     */
    public static Assessment of(Car car, Duty duty, Design design, OptionalDouble plannedPower, Belief belief) {
        Design without = design.withCooler(Optional.empty());
        boolean cooled = design.cooler().isPresent();
        boolean more = plannedPower.isPresent()
                && plannedPower.getAsDouble() > car.engine().power();
        Optional<Session> planned =
                more ? Optional.of(planned(car, duty, design, plannedPower.getAsDouble())) : Optional.empty();
        // With the cooler and without: neither needs anything of the other.
        List<Side> sides = Stream.of(design, without)
                .limit(cooled ? 2 : 1)
                .parallel()
                .map(d -> new Side(Simulator.run(car, duty, d), road(car, duty, d)))
                .toList();
        Side own = sides.get(0);
        Side bare = sides.get(sides.size() - 1);
        Outlook outlook = Outlook.of(car, duty, design, belief);
        return new Assessment(
                car,
                duty,
                design,
                own.session,
                bare.session,
                own.road,
                bare.road,
                more ? plannedPower : OptionalDouble.empty(),
                planned,
                PressureCheck.of(car, design, own.session.peak()),
                OperatingPoint.underLoad(car, duty.weather(), design, own.session),
                outlook,
                cooled ? Outlook.of(car, duty, without, belief) : outlook);
    }

    private record Side(Session session, Session road) {}

    /**
     * The same duty with more power. On a circuit every demand grows with it (the car is driven flat out either way; that
     * it also gets more air is left out, on the safe side); a climb or cruise asks for what it asks for.
     *
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param power brake power, W
     * @return the session with that power
     */
    public static Session planned(Car car, Duty duty, Design design, double power) {
        Car tuned = car.withEngine(car.engine().withPower(power));
        DemandTrace demand = duty.demand(tuned.vehicle(), car.engine());
        if (duty instanceof TrackDuty || duty instanceof LogDuty) {
            demand = demand.withPower(power / car.engine().power());
        }
        Duty.Start start = duty.start();
        return Simulator.run(tuned, demand, duty.weather(), design, start.oilK(), start.coolantK());
    }

    /**
     * @param car the car
     * @param duty the duty, for the height above sea level
     * @param design the design
     * @return a cold start into a cool day's road
     */
    public static Session road(Car car, Duty duty, Design design) {
        return Simulator.run(car, road(duty), design);
    }

    /**
     * @param car the car
     * @param duty the duty, for the height above sea level
     * @param design the design
     * @return time on that road until the oil may be loaded, s; infinite when it never gets so warm
     */
    public static double warmUp(Car car, Duty duty, Design design) {
        return Simulator.timeTo(car, road(duty), design, Thresholds.WARM_K);
    }

    private static Duty road(Duty duty) {
        return new CruiseDuty(
                ROAD_SPEED,
                ROAD_DURATION,
                true,
                new Weather(ROAD_AMBIENT_K, duty.weather().altitude()));
    }

    /** @return oil temperature at the end of the cold-road check, K */
    public double roadOil() {
        double[] oil = road.oil();
        return oil[oil.length - 1];
    }
}
