package isotherm.core.findings;

import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.List;
import java.util.Optional;

/**
 * One thing that the rules have to say about a design.
 *
 * @param severity how serious it is
 * @param topic what it is about
 * @param what what is wrong, with its figure and its bound
 * @param why what that does
 * @param remedy a change that would mend it, if one is known
 */
public record Finding(Severity severity, Topic topic, Message what, Message why, Optional<Remedy> remedy) {

    /** How serious a finding is, most serious first. */
    public enum Severity {
        /** It will fail or do damage. */
        FAILS,
        /** It may fail, or costs something that the builder should know of. */
        RISK,
        /** Worth knowing. */
        NOTE,
        /** As it should be. */
        GOOD
    }

    /** The working step at which a finding can be mended. */
    public enum Station {
        /** What the car has to do. */
        DUTY,
        /** Rows, shape, thermostat. */
        CORE,
        /** Position and air. */
        PLACE,
        /** Plate, fittings, hoses. */
        PLUMB
    }

    /** What a finding is about. */
    public enum Topic implements MessageTopic {
        /** The oil gets hotter than its limit or its target. */
        TOO_HOT(Station.CORE),
        /** Hotter than anything the model was made for. */
        BEYOND_MODEL(Station.DUTY),
        /** The oil stays under its limit with little in hand. */
        MARGINAL(Station.CORE),
        /** The oil stays too cold on the road. */
        TOO_COLD(Station.CORE),
        /** The oil stays in its band. */
        HOLDS(Station.CORE),
        /** The car does not need a cooler for this duty. */
        NOT_NEEDED(Station.DUTY),
        /** The oil thins below what bearings want. */
        THIN_FILM(Station.DUTY),
        /** The oil is too thick to be drawn at the coldest start. */
        TOO_THICK(Station.DUTY),
        /** Another grade of oil would do in place of a cooler. */
        OTHER_GRADE(Station.DUTY),
        /** The gallery pressure falls under its floor. */
        PRESSURE(Station.PLUMB),
        /** The core sees more pressure at a cold start than it is made for. */
        CORE_PRESSURE(Station.CORE),
        /** The oil is cooled at the coolant's expense. */
        COOLANT_PAYS(Station.PLACE),
        /** The coolant boils. */
        COOLANT_BOILS(Station.PLACE),
        /** The air has no way out. */
        NO_WAY_OUT(Station.PLACE),
        /** Over a third of the face is shaded. */
        SHADED(Station.PLACE),
        /** The opening leaks past the core. */
        LEAKY(Station.PLACE),
        /** The thermostat opens above the target or too close under it. */
        THERMOSTAT_HIGH(Station.CORE),
        /** There is no thermostat. */
        NO_THERMOSTAT(Station.CORE),
        /** The sensor sits where a comparison with and without cooler misleads. */
        SENSOR(Station.DUTY),
        /** Air stays in the core. */
        AIR_TRAPPED(Station.CORE),
        /** More rows no longer help. */
        ROWS_SATED(Station.CORE),
        /** A fan would do. */
        FAN(Station.PLACE),
        /** The planned power is too much for this design. */
        PLANNED_POWER(Station.DUTY),
        /** An intake or intercooler breathes the core's warm air. */
        INTAKE_HEATED(Station.PLACE),
        /** Rows of the log that the duty is taken from are missing. */
        LOG_GAPS(Station.DUTY),
        /** A correlation is used outside the range for which it was fitted. */
        STRETCHED(Station.CORE);

        private final Station station;

        Topic(Station station) {
            this.station = station;
        }

        /** @return the working step at which it can be mended */
        public Station station() {
            return station;
        }

        /** @return whether only an engineer asks for it: it stays one step away, behind how this is computed */
        public boolean background() {
            return this == STRETCHED;
        }

        @Override
        public String chapter() {
            return "finding";
        }

        @Override
        public List<String> parts() {
            return this == STRETCHED ? List.of("what", "why", "range") : List.of("what", "why");
        }

        Finding of(Severity severity, Message what, Message why) {
            return new Finding(severity, this, what, why, Optional.empty());
        }
    }

    Finding mendedBy(Remedy one) {
        return new Finding(severity, topic, what, why, Optional.of(one));
    }

    Finding mendedBy(Optional<Remedy> one) {
        return new Finding(severity, topic, what, why, one);
    }
}
