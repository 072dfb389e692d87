package isotherm.core.care;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** Why something is not written in a care book. */
enum CareRefusal implements MessageTopic {
    /** There is no such task. */
    NO_SUCH_TASK,
    /** Unknown event type. */
    UNKNOWN_EVENT,
    /** Give the odometer, or the hours of the oil. */
    NOTHING_DRIVEN,
    /** Say what was read. */
    NOTHING_READ,
    /** A figure that belongs to another kind of reading, or is out of its range. */
    FIGURE_UNLIKELY,
    /** Say when the task is due. */
    NO_INTERVAL,
    /** Say what is done. */
    TASK_EMPTY,
    /** Say why the entry does not count. */
    REASON_EMPTY,
    /** There is no such entry that counts. */
    NO_SUCH_ENTRY;

    @Override
    public String chapter() {
        return "careRefusal";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
