package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** The stages of a build, in the order of the work. */
public enum Stage implements MessageTopic {
    /** Preparation and tools. */
    PREPARE,
    /** What comes off. */
    STRIP,
    /** The core in its place. */
    MOUNT,
    /** The takeoff on the engine. */
    TAKEOFF,
    /** Lines on the bench. */
    BENCH,
    /** Lines on the car. */
    LINES,
    /** Fill and prime. */
    FILL,
    /** Leak check. */
    LEAK_CHECK,
    /** What goes back on. */
    REFIT,
    /** First drive. */
    FIRST_DRIVE,
    /** Second check. */
    SECOND_CHECK;

    @Override
    public String chapter() {
        return "stage";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
