package isotherm.core.care;

import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Something that has to be done again and again, or once after something happened.
 *
 * @param kind which task
 * @param after what makes it due when it happens
 * @param period due again after so much time; empty when time does not count
 * @param distance due again after so far, m; empty when distance does not count
 * @param hours due again after so many hours of oil at 100 °C or their like; empty when they do not count
 * @param once whether distance counts from the build only: one look, not one again and again
 * @param happens what happens to the car when it is done; empty for most tasks
 * @param what what is done, with its figures
 */
public record Task(
        Kind kind,
        List<Happening> after,
        Optional<Period> period,
        OptionalDouble distance,
        OptionalDouble hours,
        boolean once,
        Optional<Happening> happens,
        Message what) {
    /** Defensive copy. */
    public Task {
        after = List.copyOf(after);
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
        HOSES("hoses");

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

    /** @return what it is known by in a care book */
    public String id() {
        return kind.id();
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
