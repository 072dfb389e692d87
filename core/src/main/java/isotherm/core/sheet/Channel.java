package isotherm.core.sheet;

import isotherm.core.fluid.Units;
import isotherm.core.message.MessageTopic;
import java.util.List;

/** What a logger may show while a car is built, in SI units. */
public enum Channel implements MessageTopic {
    /** Engine speed, 1/min. */
    RPM,
    /** Oil pressure in the gallery, Pa above ambient. */
    OIL_PRESSURE,
    /** Oil on its way to the takeoff, K. */
    OIL,
    /** Oil that comes back from the core, K. */
    OIL_RETURN,
    /** The end of the core that is farthest from its ports, K. */
    CORE_FAR,
    /** Coolant, K. */
    COOLANT,
    /** The air, K. */
    AMBIENT;

    @Override
    public String chapter() {
        return "channel";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
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
