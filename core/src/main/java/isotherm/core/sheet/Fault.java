package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What can be wrong while the engine is tried out. */
public enum Fault implements MessageTopic {
    /** There is no oil pressure. */
    NO_PRESSURE(true),
    /** Oil pressure falls away from where it was. */
    PRESSURE_FALLS(true),
    /** The thermostat does not open. */
    THERMOSTAT_SHUT(true),
    /** Nothing flows through the core. */
    NO_FLOW(true),
    /** The coolant gets too hot. */
    COOLANT_HOT(true),
    /** A sensor shows nothing any more. */
    SENSOR_LOST(false),
    /** The logger sends nothing any more. */
    LOGGER_SILENT(false);

    private final boolean stop;

    Fault(boolean stop) {
        this.stop = stop;
    }

    /** @return whether the engine is to be stopped at once */
    public boolean stop() {
        return stop;
    }

    @Override
    public String chapter() {
        return "alarm";
    }

    @Override
    public List<String> parts() {
        return List.of("what");
    }
}
