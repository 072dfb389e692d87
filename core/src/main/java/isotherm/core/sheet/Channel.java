package isotherm.core.sheet;

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
}
