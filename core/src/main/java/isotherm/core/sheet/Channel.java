package isotherm.core.sheet;

import isotherm.core.fluid.Units;

/** What a logger may show while a car is built, in SI units. */
public enum Channel {
    /** Engine speed, 1/min. */
    RPM("engine speed"),
    /** Oil pressure in the gallery, Pa above ambient. */
    OIL_PRESSURE("oil pressure"),
    /** Oil on its way to the takeoff, K. */
    OIL("oil temperature"),
    /** Oil that comes back from the core, K. */
    OIL_RETURN("oil from the cooler"),
    /** The end of the core that is farthest from its ports, K. */
    CORE_FAR("far end of the core"),
    /** Coolant, K. */
    COOLANT("coolant temperature"),
    /** The air, K. */
    AMBIENT("air temperature");

    private final String words;

    Channel(String words) {
        this.words = words;
    }

    /** @return its name in words */
    public String words() {
        return words;
    }

    /**
     * @param si a reading in SI units
     * @return whether a sensor of this channel can give it; an open or shorted one, or a broken line, gives others
     */
    public boolean isPlausible(double si) {
        return switch (this) {
            case RPM -> si >= -200 && si <= 25_000;
            case OIL_PRESSURE -> si >= -1e5 && si <= 30e5;
            case OIL, OIL_RETURN, CORE_FAR, COOLANT -> si >= Units.kelvin(-60) && si <= Units.kelvin(250);
            case AMBIENT -> si >= Units.kelvin(-60) && si <= Units.kelvin(80);
        };
    }
}
