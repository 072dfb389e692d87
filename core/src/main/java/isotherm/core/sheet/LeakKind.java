package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import isotherm.core.parts.Joint;
import java.util.List;

/** What can leak, by how it seals: that decides what is looked at and what is renewed. */
public enum LeakKind implements MessageTopic {
    /** A flat face with a gasket: takeoff, filter, block. */
    GASKET,
    /** A cone on a cone. */
    CONE,
    /** An O-ring in a boss or a face. */
    O_RING,
    /** A washer under a shoulder: bonded or copper, a banjo too. */
    WASHER,
    /** A tapered thread. */
    TAPER,
    /** Where hose and end meet. */
    HOSE_END,
    /** The hose itself. */
    HOSE,
    /** The core itself. */
    CORE,
    /** Something else. */
    OTHER;

    /**
     * @param joint a joint of the circuit
     * @return how it leaks
     */
    static LeakKind of(Joint joint) {
        return switch (joint) {
            case FLARE_37 -> CONE;
            case O_RING_BOSS -> O_RING;
            case TAPER -> TAPER;
            case BSPP, METRIC, BANJO -> WASHER;
            case PUSH_ON -> HOSE_END;
        };
    }

    @Override
    public String chapter() {
        return "leakKind";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
