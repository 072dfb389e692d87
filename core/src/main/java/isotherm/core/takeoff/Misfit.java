package isotherm.core.takeoff;

import isotherm.core.message.Message;
import isotherm.core.message.MessageTopic;
import java.util.List;

/**
 * Something about a takeoff that does not fit.
 *
 * @param kind what
 * @param what what, with its figure and its bound
 * @param why what that does
 * @param remedy what to do
 */
public record Misfit(Kind kind, Message what, Message why, Message remedy) {

    /** What can fail to fit. */
    public enum Kind implements MessageTopic {
        /** The takeoff's thread is not the engine's. */
        THREAD,
        /** The gasket hangs over the engine's face. */
        FACE_GASKET,
        /** Too few turns hold plate and filter. */
        ENGAGEMENT,
        /** The stud meets the end of its thread before the gasket is clamped. */
        BOTTOMS_OUT,
        /** The filter's gasket misses the plate. */
        FILTER_GASKET,
        /** The filter meets what is beyond it. */
        FILTER_ROOM,
        /** The plate meets what is beyond it. */
        PLATE_ROOM,
        /** The filter empties overnight. */
        NO_ANTI_DRAIN_BACK,
        /** Nothing opens when the filter is blocked. */
        NO_BYPASS,
        /** The plate meets its neighbour. */
        PLATE_BESIDE,
        /** A hose end cannot be screwed on beside a neighbour. */
        PORT_TOWARDS;

        @Override
        public String chapter() {
            return "misfit";
        }

        @Override
        public List<String> parts() {
            return List.of("what", "why", "remedy");
        }
    }

    static Misfit of(Kind kind, Message what) {
        return new Misfit(kind, what, kind.say("why"), kind.say("remedy"));
    }

    Misfit because(Message reason) {
        return new Misfit(kind, what, reason, remedy);
    }

    Misfit mendedBy(Message mending) {
        return new Misfit(kind, what, why, mending);
    }
}
