package isotherm.core.duty;

import isotherm.core.heat.Engine;

/** What a car has to do, on a day of some weather. */
public sealed interface Duty permits TrackDuty, ClimbDuty, CruiseDuty {
    /** @return the air on the day */
    Weather weather();

    /**
     * The duty as a demand on an engine.
     *
     * @param vehicle the car
     * @param engine its engine
     * @return speed, engine speed and brake power over time
     */
    DemandTrace demand(Vehicle vehicle, Engine engine);

    /**
     * @param newWeather another day
     * @return the same duty on that day
     */
    Duty withWeather(Weather newWeather);
}
