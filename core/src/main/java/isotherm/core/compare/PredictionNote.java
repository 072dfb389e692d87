package isotherm.core.compare;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** How a reading lies against what the model expects. */
public enum PredictionNote implements MessageTopic {
    /** Nothing was read. */
    NOT_READ,
    /** It ran cooler. */
    COOLER,
    /** It ran hotter. */
    HOTTER,
    /** It lies in the interval. */
    AS_EXPECTED;

    @Override
    public String chapter() {
        return "prediction";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
