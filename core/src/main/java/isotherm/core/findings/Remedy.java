package isotherm.core.findings;

import isotherm.core.car.Design;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.List;

/**
 * A change to the design, with what it would bring.
 *
 * @param label what to do, in the imperative
 * @param design the design after it
 * @param peakK highest oil temperature after it, K
 * @param effect the figure that it is for, before and after
 */
public record Remedy(Message label, Design design, double peakK, Message effect) {

    /** What can be done. */
    public enum Kind implements MessageTopic {
        /** Close the way round the core. */
        SEAL,
        /** A core of more rows. */
        MORE_ROWS,
        /** Both of these. */
        SEAL_AND_ROWS,
        /** A core of fewer rows. */
        FEWER_ROWS,
        /** A core with room for the planned power. */
        ROWS_FOR_PLANNED,
        /** A first core. */
        FIRST_CORE,
        /** A fan behind the core. */
        FAN,
        /** A thermostat in the plate, or one that opens earlier. */
        THERMOSTAT,
        /** No cooler. */
        LEAVE_OUT,
        /** Another grade of oil. */
        OTHER_GRADE,
        /** Another grade of oil, and the temperature as it is. */
        ACCEPT_WITH_GRADE,
        /** Hose of the next size. */
        WIDER_HOSE,
        /** Another place with a way out for the air. */
        FRONT_CORNER,
        /** A way out for the air where the core is. */
        VENT_LINER,
        /** Move what is before the core. */
        CLEAR_SHADE,
        /** Move it, and close the way round the core. */
        SEAL_AND_CLEAR,
        /** Ports up. */
        PORTS_UP;

        @Override
        public String chapter() {
            return "remedy";
        }

        @Override
        public List<String> parts() {
            return List.of("label");
        }
    }

    /** The figure that a remedy is for. */
    public enum Effect implements MessageTopic {
        /** Highest oil temperature. */
        PEAK,
        /** Highest coolant temperature. */
        COOLANT,
        /** Oil pressure at its worst point. */
        PRESSURE,
        /** Oil temperature on a cold road. */
        COLD_ROAD,
        /** Coldest oil that the pump can draw. */
        PUMPABLE,
        /** Viscosity at the peak. */
        VISCOSITY,
        /** Oil that core and hoses hold. */
        VOLUME;

        @Override
        public String chapter() {
            return "effect";
        }

        @Override
        public List<String> parts() {
            return List.of("text");
        }

        Message of(Measure measure, double before, double after) {
            return say("text").with("before", measure, before).with("after", measure, after);
        }
    }
}
