package isotherm.core.care;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** Why a task is due, or when it will be. */
public enum CareReason implements MessageTopic {
    /** Something happened that asks for it. */
    HAPPENED,
    /** Its day is over. */
    SINCE,
    /** Its day is to come. */
    BY,
    /** Further than it lasts. */
    DISTANCE_OVER,
    /** So far to go. */
    DISTANCE_LEFT,
    /** Longer than the oil lasts. */
    HOURS_OVER,
    /** So long to go. */
    HOURS_LEFT,
    /** It was to be done once, and is. */
    DONE,
    /** Nobody read the odometer. */
    NO_ODOMETER,
    /** It waits for something to happen. */
    NEXT;

    @Override
    public String chapter() {
        return "careReason";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
