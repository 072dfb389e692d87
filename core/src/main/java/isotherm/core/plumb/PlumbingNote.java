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
    /** Only a share goes through it. */
    BYPASS_FILTER,
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
