package isotherm.core.compare;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** Why a comparison says what it says. */
public enum ComparisonReason implements MessageTopic {
    /** Too few laps on a plateau. */
    FEW_LAPS,
    /** Too different a pace. */
    PACE,
    /** Two circuits. */
    CIRCUIT,
    /** Too different days. */
    DAYS,
    /** Sensors in places that read too differently. */
    SENSORS_APART,
    /** Sensors in different places, which was corrected by the model. */
    SENSORS_CORRECTED,
    /** Nothing that stands out. */
    NO_DIFFERENCE,
    /** How much cooler or hotter. */
    DIFFERENCE;

    @Override
    public String chapter() {
        return "comparisonReason";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
