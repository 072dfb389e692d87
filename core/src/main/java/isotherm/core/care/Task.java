package isotherm.core.care;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.List;
import java.util.Optional;

/**
 * Something that has to be done again and again, or once after something happened.
 *
 * @param kind which task
 * @param id what it is known by in a care book
 * @param interval when it is due again
 * @param once whether distance counts from the build only: one look, not one again and again
 * @param happens what happens to the car when it is done; empty for most tasks
 * @param what what is done, with its figures
 * @param usual the interval that this one took the place of; empty where nobody set another
 * @param whose whose figure the interval is, in words; empty where it is the usual one
 */
public record Task(
        Kind kind,
        String id,
        Interval interval,
        boolean once,
        Optional<Happening> happens,
        Message what,
        Optional<Interval> usual,
        String whose) {
    /**
     * A task of the plan with its usual interval.
     *
     * @param kind which task
     * @param interval when it is due again
     * @param once whether distance counts from the build only
     * @param happens what happens to the car when it is done
     * @param what what is done, with its figures
     */
    Task(Kind kind, Interval interval, boolean once, Optional<Happening> happens, Message what) {
        this(kind, kind.id(), interval, once, happens, what, Optional.empty(), "");
    }

    /** The same by an interval of its people's own. */
    Task by(Interval own, String source) {
        return new Task(kind, id, own, once, happens, what, usual.or(() -> Optional.of(interval)), source);
    }

    /** The tasks of a car with a cooler. */
    public enum Kind implements MessageTopic {
        /** Every joint. */
        JOINTS("joints"),
        /** Every joint once more after the first drives. */
        JOINTS_AGAIN("joints-500"),
        /** The bolt that holds the takeoff. */
        CENTRE_BOLT("centre-bolt"),
        /** Joints whose makers want them tightened again at each change of the oil. */
        RETORQUE("retorque"),
        /** Oil and filter. */
        OIL("oil"),
        /** Both hoses, wherever they pass something. */
        CHAFE("chafe"),
        /** The core's fins. */
        FINS("fins"),
        /** New hoses. */
        HOSES("hoses"),
        /** The element of a by-pass filter. */
        BYPASS_ELEMENT("bypass-element"),
        /** An accumulator's gas and valve. */
        ACCUMULATOR("accumulator"),
        /** One of its people's own. */
        OWN("own");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        /** @return what it is known by in a care book */
        public String id() {
            return id;
        }

        @Override
        public String chapter() {
            return "careTask";
        }

        @Override
        public List<String> parts() {
            return List.of("what", "why", "caution");
        }
    }

    /** @return why it is done */
    public Message why() {
        return kind.say("why").with("step", Measure.TEMPERATURE_DIFFERENCE, OilLife.DOUBLING);
    }

    /** @return what can hurt */
    public Message caution() {
        return kind.say("caution");
    }

    /** What may happen to a car. */
    public enum Happening {
        /** The first drive after the build. */
        FIRST_DRIVE,
        /** Oil and filter were changed. */
        FILTER_CHANGE,
        /** A service. */
        SERVICE,
        /** A day on a track, or a long climb with a trailer. */
        HARD_DAY
    }
}
