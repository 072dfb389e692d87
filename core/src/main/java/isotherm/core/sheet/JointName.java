package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What a joint is called where somebody says that it leaks. */
enum JointName implements MessageTopic {
    /** Between takeoff and engine. */
    TAKEOFF,
    /** Between filter and what it is screwed on. */
    FILTER,
    /** A thermostat's own. */
    THERMOSTAT,
    /** A sender's thread. */
    SENDER,
    /** One of a line. */
    LINE,
    /** A fitting of one's own at a line's port. */
    OWN,
    /** Where an exchanger sat. */
    EXCHANGER;

    @Override
    public String chapter() {
        return "jointName";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
