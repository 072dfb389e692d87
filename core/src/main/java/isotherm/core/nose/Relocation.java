package isotherm.core.nose;

import isotherm.core.message.MessageTopic;
import java.util.List;

/**
 * Something that makes room for a core.
 *
 * @param name what its people call it: as the drawing does, where it is drawn
 * @param what what is done with it
 * @param how where it goes, or where it is cut, in its people's words
 */
public record Relocation(String name, What what, String how) {
    /** What is done with it. */
    public enum What implements MessageTopic {
        /** It goes to another place. */
        MOVED,
        /** A part of it is cut away. */
        CUT,
        /** It stays off. */
        REMOVED;

        @Override
        public String chapter() {
            return "relocation";
        }

        @Override
        public List<String> parts() {
            return List.of("name");
        }
    }
}
