package isotherm.core.duty;

import isotherm.core.fluid.Units;
import isotherm.core.heat.Engine;

/** What a car has to do, on a day of some weather. */
public sealed interface Duty permits TrackDuty, ClimbDuty, CruiseDuty, SoakDuty, LogDuty {
    /** @return the air on the day */
    Weather weather();

    /**
     * The duty as a demand on an engine.
     *
     * @param vehicle the car
     * @param engine its engine
     * @return speed, engine speed and brake power over time
     */
    default DemandTrace demand(Vehicle vehicle, Engine engine) {
        return Demands.of(this, vehicle, engine);
    }

    /**
     * The same, worked out anew.
     *
     * @param vehicle the car
     * @param engine its engine
     * @return speed, engine speed and brake power over time
     */
    DemandTrace drive(Vehicle vehicle, Engine engine);

    /** @return the temperatures that it starts from; warmed up and not yet worked unless the duty says otherwise */
    default Start start() {
        return Start.WARM;
    }

    /**
     * Temperatures at the start.
     *
     * @param oilK oil, K
     * @param coolantK coolant, K
     */
    record Start(double oilK, double coolantK) {
        /** Warmed up, not yet worked (default). */
        public static final Start WARM = new Start(Units.kelvin(80), Units.kelvin(85));
    }

    /**
     * @param newWeather another day
     * @return the same duty on that day
     */
    Duty withWeather(Weather newWeather);
}
