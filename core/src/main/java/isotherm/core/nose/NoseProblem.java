package isotherm.core.nose;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What cannot stay so about a core's place. */
public enum NoseProblem implements MessageTopic {
    /** Two things in one place. */
    TAKEN,
    /** Too near to something. */
    RUBS,
    /** Out of the bumper's skin. */
    OUT_OF_SKIN,
    /** In the part that crushes in a light knock. */
    CRUSHED,
    /** Under the nose without a plate. */
    NO_SKID_PLATE,
    /** Tilted so far that air passes along the face. */
    TILTED,
    /** A shroud that cannot reach. */
    SHROUD_CANNOT_REACH,
    /** No opening feeds the core. */
    NOT_FED,
    /** Too few points hold it. */
    FEW_MOUNTS,
    /** No mount gives way. */
    NO_RUBBER,
    /** A mount that is not at the core. */
    MOUNT_OUTSIDE,
    /** No room for the tool. */
    NO_TOOL_ROOM;

    @Override
    public String chapter() {
        return "place";
    }

    @Override
    public List<String> parts() {
        return List.of("problem");
    }
}
