package isotherm.core.sheet;

import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.List;

/** The way from a leak to a dry joint, in the order in which it is gone. */
public enum LeakStep implements MessageTopic {
    /** The engine stops. */
    STOP,
    /** It cools, and no pressure is left. */
    LET_DOWN,
    /** The joint is opened and looked at. */
    LOOK,
    /** What seals it is renewed, or its part where it has no seal of its own. */
    RENEW,
    /** It is tightened by its maker's figure. */
    TIGHTEN,
    /** The oil that came out is wiped off. */
    CLEAN,
    /** It is run and looked at again: dry. */
    DRY;

    /**
     * @param kind how the joint seals
     * @return what is done
     */
    public Message what(LeakKind kind) {
        return say("what").choose("kind", kind);
    }

    /** @return what can hurt */
    public Message caution() {
        return say("caution");
    }

    @Override
    public String chapter() {
        return "leakStep";
    }

    @Override
    public List<String> parts() {
        return List.of("what", "caution");
    }
}
