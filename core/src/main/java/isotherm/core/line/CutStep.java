package isotherm.core.line;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** A step of making a line on the bench, in the order of work. */
public enum CutStep implements MessageTopic {
    /** A made-up line of a standard length. */
    BUY_MADE_UP,
    /** A made-up line of no standard length. */
    HAVE_MADE,
    /** The cut. */
    CUT,
    /** What does not go over an end. */
    SLIDE_ON,
    /** How far the hose goes into its ends. */
    MARK_INSERTION,
    /** No chips in the hose. */
    CLEAN,
    /** Push-on ends. */
    PUSH_ON,
    /** Ends with sockets. */
    FIT_END,
    /** Two elbows against each other. */
    ORIENT,
    /** Two elbows whose way to stand is found out on the car. */
    TURN_ON_CAR,
    /** Caps on the ends. */
    CAP;

    @Override
    public String chapter() {
        return "cutStep";
    }

    @Override
    public List<String> parts() {
        return List.of("text");
    }
}
