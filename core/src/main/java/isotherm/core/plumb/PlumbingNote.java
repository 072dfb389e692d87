package isotherm.core.plumb;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What has to be known of a plumbing beside its drawing. */
public enum PlumbingNote implements MessageTopic {
    /** Ports that trap air. */
    PORTS_DOWN,
    /** The core's maker wants the other port. */
    FEED_OTHER,
    /** Which port is fed, and why. */
    FEED_PORT,
    /** An empty loop starves the engine. */
    FILL_FIRST,
    /** Where it goes and how it is shut. */
    ACCUMULATOR,
    /** What an accumulator gives, and when it is filled. */
    ACCUMULATOR_GIVES,
    /** What a by-pass filter takes, or what one in line costs. */
    BYPASS_FILTER,
    /** What keeps an accumulator's oil from running back. */
    CHECK_VALVE,
    /** A port that no wrench reaches on the engine. */
    OUT_OF_REACH,
    /** An elbow whose taper thread does not let it point everywhere. */
    ELBOW_POINTS,
    /** What steel weighs more, and what it takes. */
    STEEL,
    /** What copper asks for. */
    COPPER,
    /** What becomes of the exchanger's coolant hoses. */
    EXCHANGER_OFF,
    /** A sender needs an adaptor of its own. */
    SENDER_ADAPTOR,
    /** Which way round it hangs. */
    REMOTE_HEAD,
    /** The takeoff has a thermostat, the design has none. */
    TAKEOFF_HAS_THERMOSTAT,
    /** The design's thermostat has no place. */
    TAKEOFF_LACKS_THERMOSTAT,
    /** The hose is not rated for the oil's limit. */
    HOSE_TOO_COOL,
    /** The hose is not rated for the pressure. */
    HOSE_TOO_WEAK;

    @Override
    public String chapter() {
        return "plumbingNote";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
