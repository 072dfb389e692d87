package isotherm.core.plumb;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What the lengths of the hoses rest on, the roughest first. */
public enum Level implements MessageTopic {
    /** A wire bent along the way of each hose. */
    WIRE,
    /** Where the four ports are and which way they point: a way through free space. */
    ENDS,
    /** The bay measured, with everything that stands in the way. */
    BAY;

    @Override
    public String chapter() {
        return "plumbingLevel";
    }

    @Override
    public List<String> parts() {
        return List.of("name", "rough");
    }
}
