package isotherm.core.sheetmetal;

import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.List;

/**
 * What cannot stay so at a bracket.
 *
 * @param kind what it is
 * @param what it, with the figure that would do
 */
public record BracketProblem(Kind kind, Message what) {
    /** What it can be. */
    public enum Kind implements MessageTopic {
        /** Its two points are one. */
        COINCIDE,
        /** A bend tighter than the sheet takes. */
        RADIUS,
        /** A hole nearer to an edge than the sheet allows. */
        EDGE,
        /** A hole too near to a bend: it is drawn out of round, and its bolt finds no seat. */
        HOLE_AT_BEND,
        /** Two bends that would overlap. */
        BENDS_OVERLAP,
        /** The two faces look at each other so that no strip joins them. */
        FOLDED_BACK,
        /** It goes through something. */
        THROUGH,
        /** A flange too narrow to be bent and drilled. */
        FLANGE,
        /** An edge that does not lie in the face that its flange lies on. */
        OFF_FACE,
        /** A panel too small for its bends. */
        NARROW;

        @Override
        public String chapter() {
            return "bracketProblem";
        }

        @Override
        public List<String> parts() {
            return List.of("what");
        }
    }
}
