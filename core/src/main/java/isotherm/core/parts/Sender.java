package isotherm.core.parts;

import isotherm.core.message.MessageTopic;
import java.util.List;
import java.util.Optional;

/**
 * A sender that is screwed into the circuit.
 *
 * @param senses what it senses
 * @param site where it sits
 * @param end its thread
 * @param figure what its maker says of tightening it
 */
public record Sender(Senses senses, Site site, End end, Optional<MakersFigure> figure) {
    /** The ports for gauges of takeoffs and tees (default). */
    public static final End GAUGE_PORT = new End(Joint.TAPER, "1/8", false);
    /** Velocity heads lost in a tee that oil goes straight through. Source: Crane TP-410, run of a tee, 20 f_T at f_T 0.023. */
    public static final double TEE = 0.46;

    /** What a sender senses. */
    public enum Senses implements MessageTopic {
        /** Oil temperature. */
        TEMPERATURE,
        /** Oil pressure. */
        PRESSURE;

        @Override
        public String chapter() {
            return "senses";
        }

        @Override
        public List<String> parts() {
            return List.of("name");
        }
    }

    /** Where a sender sits. */
    public enum Site implements MessageTopic {
        /** A port for gauges of the takeoff: the oil as it leaves the engine. */
        TAKEOFF,
        /** A tee in the hose to the cooler. */
        FEED,
        /** A tee in the hose from the cooler: cooled oil. */
        RETURN;

        @Override
        public String chapter() {
            return "senderSite";
        }

        @Override
        public List<String> parts() {
            return List.of("name");
        }
    }

    /** @return whether it goes into a port for gauges without an adaptor */
    public boolean fits() {
        return end.mates(GAUGE_PORT);
    }

    /** @return how it is tightened: by its maker's figure alone where there is one */
    public Tightening tightening() {
        return Tightening.of(fits() ? GAUGE_PORT : end, figure, Practice.USUAL);
    }

    /** @return what goes on its thread */
    public String onThread() {
        return tightening().onThread((fits() ? GAUGE_PORT : end).joint().onThread());
    }

    /** @return velocity heads that its tee costs the line, on the hose's bore */
    public double heads() {
        return site == Site.TAKEOFF ? 0 : TEE;
    }
}
