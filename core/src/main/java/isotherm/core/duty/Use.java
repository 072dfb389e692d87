package isotherm.core.duty;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What a car is mainly used for: the first thing that decides how hot its oil gets. */
public enum Use implements MessageTopic {
    /** Laps of a circuit at full pace. */
    TRACK,
    /** A long grade with a trailer. */
    TOW,
    /** A mountain road without a trailer. */
    MOUNTAIN,
    /** Ordinary roads; at its hardest a motorway on a hot day. */
    ROAD;

    @Override
    public String chapter() {
        return "use";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
