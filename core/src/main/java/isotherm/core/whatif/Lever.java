package isotherm.core.whatif;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** A choice of a design that can be moved by one step, by itself. */
public enum Lever implements MessageTopic {
    /** Rows of the core: the next size that is made. */
    ROWS,
    /** Share of the air pressure that arrives at the core: a tenth. */
    SEALING,
    /** Share of the face that stands in shade: a tenth. */
    SHADE,
    /** Opening temperature of the oil thermostat: 5 °C; or a first thermostat. */
    THERMOSTAT,
    /** The grade of oil: the next one. */
    OIL,
    /** Where the core is. */
    PLACE,
    /** Bore of the hoses: the next size. */
    HOSE,
    /** A fan on the core. */
    FAN;

    @Override
    public String chapter() {
        return "lever";
    }

    @Override
    public List<String> parts() {
        return List.of("name", "step");
    }
}
