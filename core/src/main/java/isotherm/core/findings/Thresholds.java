package isotherm.core.findings;

import isotherm.core.car.Car;
import isotherm.core.fluid.Units;
import isotherm.core.hydraulics.OilThermostat;

/** Every figure at which a rule changes its mind, with its reason. All of them are defaults of ours. */
public final class Thresholds {
    /** Steady oil temperature on the road below which water and fuel stay in the oil, K. */
    public static final double TOO_COLD_K = Units.kelvin(80);
    /** Kinematic viscosity at the peak below which bearings run short of film, m²/s. */
    public static final double THIN_FILM = 6.0e-6;
    /** Coolant temperature at which a system at 1.3 bar boils at its hot spots, K. */
    public static final double BOILING_K = Units.kelvin(118);
    /** Oil beyond which nothing here was ever measured: it burns on the rings and cracks, K. */
    static final double BEYOND_K = Units.kelvin(180);
    /** Odds from which something is called likely, whatever one wants to be sure of; below the rest of it, unlikely. */
    static final double LIKELY = 0.6;
    /** Rise of the coolant for which the oil cooler is to blame, K. */
    static final double COOLANT_RISE = 2;
    /** Coolant temperature above which that rise matters, K. */
    static final double COOLANT_WARM_K = Units.kelvin(103);
    /** Share of the face above which shade is worth moving something for. */
    static final double SHADE = 1.0 / 3;
    /** Sealing below which an opening leaks. */
    static final double LEAKY = 0.7;
    /** Sealing that shroud and foam reach. */
    static final double SEALED = 0.9;
    /** Share of the face still shaded when neighbours are moved. */
    static final double CLEARED = 0.1;
    /** Outlet pressure below which air has no way out, of the ram. */
    static final double NO_WAY_OUT = 0.2;
    /** A thermostat should open at least this far under the target's upper edge, K: it takes about 10 to open fully. */
    static final double THERMOSTAT_ROOM = 15;
    /** One that is recommended opens this far under it, K: fully open with as much again to spare. */
    static final double THERMOSTAT_OPENS = 20;
    /** Air behind the core that is warmer than outside by more than this is worth a word, K. */
    static final double INTAKE_RISE = 5;
    /** Rows are sated when a quarter more brings less than this, K. */
    static final double SATED = 1.0;
    /** A fan is worth a word from this on, K. */
    static final double FAN_GAIN = 2;
    /** A cooler that takes less than this off a cold engine is not what keeps it cold, K. */
    static final double COLD_TAKEN = 2;
    /** Oil that still climbs faster than this at the end has not levelled out, K/min. */
    static final double CLIMBING = 0.5;
    /** Pressure across a loop at which its by-pass valve usually opens, Pa. */
    public static final double BYPASS_OPENS = 1.5e5;
    /** Oil is warm enough for load from here on, K. */
    public static final double WARM_K = Units.kelvin(65);

    private Thresholds() {}

    /**
     * @param odds computed, 0 to 1
     * @return the odds as they are said: never none and never all
     */
    static double said(double odds) {
        return Math.max(0.01, Math.min(0.99, odds));
    }

    /**
     * @param limits what the oil is held to
     * @return the thermostat that is recommended for it, opening at a whole number of °C
     */
    public static OilThermostat thermostat(Car.Limits limits) {
        return OilThermostat.opening(Units.kelvin(Math.floor(Units.celsius(limits.targetHighK()) - THERMOSTAT_OPENS)));
    }
}
